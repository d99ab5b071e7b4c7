import type { ToldNow } from './toldNow';
import { nextFeedDays, toEntries } from './calendarFeed';

const pack = (more: Partial<ToldNow>): ToldNow => ({
  id: 'p',
  code: 'AB23',
  called: 'Trout',
  amount: 400,
  unit: 'g',
  state: 'chilled',
  nearOn: '2026-11-29',
  askOn: '2026-11-29',
  governingDate: '2026-12-03',
  useBy: '2026-12-03',
  may: 'eat',
  zoneId: 'z',
  ...more,
});
const entries = (packages: ToldNow[]) =>
  toEntries(packages, '2026-11-25', '2026-12-20', (id) => (id === 'z' ? 'Lower shelf' : 'out of the cold'));

it('tells a package when it comes near and on its last day, several of a day in one entry', () => {
  const told = entries([
    pack({}),
    pack({
      code: 'CD45',
      called: 'Kale',
      nearOn: '2026-12-03',
      askOn: '2026-12-03',
      governingDate: '2026-12-07',
    }),
  ]);
  expect(told.map(({ day }) => day)).toEqual(['2026-11-29', '2026-12-03', '2026-12-07']);
  expect(told[1]?.summary).toBe('Cold store: 1 last day · 1 coming near');
  expect(told[1]?.description).toContain('Trout 400 g, Lower shelf (AB23)');
});

it('tells today what is past and unanswered, and an answered one on the day it asks again', () => {
  const past = pack({ nearOn: '2026-11-18', askOn: '2026-11-18', governingDate: '2026-11-22' });
  const planned = pack({
    code: 'CD45',
    nearOn: '2026-11-23',
    askOn: '2026-11-26',
    governingDate: '2026-11-27',
  });
  const told = entries([past, planned]);
  expect(told.map(({ day, summary }) => [day, summary])).toEqual([
    ['2026-11-25', 'Cold store: 1 past, to be looked at or thrown out'],
    ['2026-11-26', 'Cold store: 1 to be answered'],
    ['2026-11-27', 'Cold store: 1 last day'],
  ]);
});

it('counts changes up, cancels what falls away, and brings it back', () => {
  const at = '2026-11-25T08:00:00.000Z';
  const entry = (digest: string) => ({ day: '2026-12-03', summary: '', description: '', digest });
  const first = nextFeedDays([entry('a')], [], at);
  expect(first).toMatchObject([{ sequence: 0, cancelled: false }]);
  expect(nextFeedDays([entry('a')], first, 'later')).toEqual(first);
  expect(nextFeedDays([entry('b')], first, at)).toMatchObject([{ sequence: 1, digest: 'b' }]);
  const gone = nextFeedDays([], first, at);
  expect(gone).toMatchObject([{ day: '2026-12-03', sequence: 1, cancelled: true }]);
  expect(nextFeedDays([], gone, 'later')).toEqual(gone);
  expect(nextFeedDays([entry('a')], gone, at)).toMatchObject([{ sequence: 2, cancelled: false }]);
});
