import { food, foods } from '../../../tests/fixtures/reference';
import { helpYourself } from '../stock/helpYourself';
import { LUNCH_SLOTS, lunchOptions } from '../stock/packLunch';
import type { StockRow } from '../stock/stockRow';
import { type Edible, mayEat, mayOffer } from './mayEat';

const TODAY = '2026-11-25';
const NOON = `${TODAY}T12:00:00.000Z`;
const hoursAgo = (hours: number): string => new Date(Date.parse(NOON) - hours * 3_600_000).toISOString();

const edible = (foodId: string, more: Partial<Edible> = {}): Edible => ({
  id: 'p',
  foodId,
  state: 'chilled',
  useBy: '2026-11-28',
  bestBy: '2026-11-27',
  condemned: false,
  counterMinutes: 0,
  counterSince: null,
  opened: false,
  ...more,
});
const ask = (found: Edible, more: Partial<Parameters<typeof mayEat>[1]> = {}) =>
  mayEat(found, { today: TODAY, at: NOON, hot: false, food: food(found.foodId), cut: null, ...more });

it.each<[string, Edible, Partial<Parameters<typeof mayEat>[1]>, string, string]>([
  ['in the cold and in its days', edible('stew'), {}, 'eat', ''],
  ['past its best', edible('stew', { bestBy: '2026-11-24' }), {}, 'look-first', 'K2'],
  ['past its use by', edible('stew', { useBy: '2026-11-24' }), {}, 'discard', 'K2'],
  ['found bad', edible('stew', { condemned: true }), {}, 'discard', 'K10'],
  ['an hour on the counter', edible('stew', { counterSince: hoursAgo(1) }), {}, 'eat', ''],
  ['four hours on the counter', edible('stew', { counterSince: hoursAgo(4) }), {}, 'discard', 'K10'],
  ['an hour on a hot day', edible('stew', { counterSince: hoursAgo(1) }), { hot: true }, 'discard', 'K10'],
  [
    'an hour, after one before',
    edible('stew', { counterSince: hoursAgo(1), counterMinutes: 60 }),
    {},
    'discard',
    'K10',
  ],
  [
    'frozen hard, ten minutes',
    edible('stew', { state: 'frozen', useBy: null, counterSince: hoursAgo(0.16), counterMinutes: 110 }),
    {},
    'eat',
    '',
  ],
  [
    'mayonnaise open for nine hours',
    edible('mayonnaise', { opened: true, counterSince: hoursAgo(9) }),
    {},
    'discard',
    'K10',
  ],
  ['mayonnaise closed for nine hours', edible('mayonnaise', { counterSince: hoursAgo(9) }), {}, 'eat', ''],
  ['bread since yesterday', edible('bread', { useBy: null, counterSince: hoursAgo(24) }), {}, 'eat', ''],
  ['a cut too long', edible('stew'), { cut: { verdict: 'discard', says: '' } }, 'discard', 'O13'],
  ['a cut that asks', edible('stew'), { cut: { verdict: 'cook-now', says: '' } }, 'ask', 'O13'],
  ['a cut that did nothing', edible('stew'), { cut: { verdict: 'keep', says: '' } }, 'eat', ''],
])('%s', (_what, found, more, may, rule) => {
  expect(ask(found, more)).toMatchObject({ may, rule });
});

it('perishable food that has been out for two hours is on no tile and in no lunch', () => {
  const rows = foods.map(
    ({ id }) =>
      ({
        ...edible(id, { id, counterSince: hoursAgo(2) }),
        amount: 1,
        unit: 'pc',
        governingDate: '2026-11-28',
      }) as StockRow,
  );
  const offered = [
    ...helpYourself(rows, food, TODAY, ask),
    ...LUNCH_SLOTS.flatMap((slot) => lunchOptions(rows, slot, food, TODAY, ask).map(({ row }) => row)),
  ];
  expect(offered.filter(({ foodId }) => food(foodId).controlled)).toEqual([]);
  expect(rows.filter((row) => food(row.foodId).controlled && mayOffer(ask(row)))).toEqual([]);
});
