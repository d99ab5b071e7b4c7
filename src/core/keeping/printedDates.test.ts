import { foods } from '../../../tests/fixtures/reference';
import { addDays, earlier } from '../calendar/calendarDate';
import { type Caution, type PrintedDate, USUAL_CONDITIONS } from '../model/history';
import { judgeKeeping } from './judgeKeeping';

const ON = '2027-03-01';
const kept = (food: (typeof foods)[number], printed: PrintedDate | null) =>
  judgeKeeping(food, [{ did: 'bought', on: ON }], ON, { ...USUAL_CONDITIONS, printed });

const raw = foods.filter(({ readiness }) => readiness === 'raw-animal');
const others = foods.filter(({ readiness }) => readiness !== 'raw-animal');

describe.each([1, 6, 30])('a date printed %d days on', (days) => {
  const date = addDays(ON, days);

  it('use-by: on raw animal food the earlier counts, on any other the maker’s', () => {
    for (const food of raw) {
      const ours = kept(food, null).useBy;
      expect([food.id, kept(food, { kind: 'use-by', date }).useBy]).toEqual([food.id, earlier(ours, date)]);
    }
    for (const food of others) {
      expect([food.id, kept(food, { kind: 'use-by', date }).useBy]).toEqual([food.id, date]);
    }
  });

  it('freeze-by does as use-by, sell-by does nothing', () => {
    for (const food of foods) {
      expect(kept(food, { kind: 'freeze-by', date }).useBy).toBe(kept(food, { kind: 'use-by', date }).useBy);
      const { trail: _told, ...sellBy } = kept(food, { kind: 'sell-by', date });
      const { trail: _plain, ...plain } = kept(food, null);
      expect(sellBy).toEqual(plain);
    }
  });

  it('best-before becomes the best by; it never moves a raw use by, and no use by earlier', () => {
    for (const food of foods) {
      const ours = kept(food, null);
      const told = kept(food, { kind: 'best-before', date });
      expect([food.id, told.bestBy]).toEqual([food.id, date]);
      if (food.readiness === 'raw-animal') expect([food.id, told.useBy]).toEqual([food.id, ours.useBy]);
      else if (ours.useBy !== null) {
        expect([food.id, told.useBy]).toEqual([food.id, ours.useBy < date ? date : ours.useBy]);
      }
    }
  });

  it('opening always falls back to the opened figure', () => {
    for (const food of foods.filter(({ openedDaysMax }) => openedDaysMax !== null)) {
      const told = judgeKeeping(
        food,
        [
          { did: 'bought', on: ON },
          { did: 'opened', on: ON },
        ],
        ON,
        { ...USUAL_CONDITIONS, printed: { kind: 'best-before', date } },
      );
      const limit = addDays(ON, food.openedDaysMax ?? 0);
      expect([food.id, told.governing.date <= limit]).toEqual([food.id, true]);
    }
  });
});

it('frozen, a printed date has no say any more', () => {
  for (const food of foods.filter(({ freezeFit }) => freezeFit !== 'no')) {
    const history = [
      { did: 'bought' as const, on: ON },
      { did: 'frozen' as const, on: ON },
    ];
    const printed = { kind: 'use-by' as const, date: addDays(ON, 1) };
    const told = judgeKeeping(food, history, ON, { ...USUAL_CONDITIONS, printed });
    expect([food.id, told.useBy, told.bestBy]).toEqual([
      food.id,
      null,
      judgeKeeping(food, history, ON, USUAL_CONDITIONS).bestBy,
    ]);
  }
});

describe('in a house that goes by the maker’s own date (K3c)', () => {
  const by = (food: (typeof foods)[number], printed: PrintedDate, caution: Caution, openedOn?: string) =>
    judgeKeeping(
      food,
      [
        { did: 'bought', on: ON },
        ...(openedOn === undefined ? [] : [{ did: 'opened' as const, on: openedOn }]),
      ],
      openedOn ?? ON,
      { ...USUAL_CONDITIONS, printed, caution },
    );

  it.each([1, 6, 30])('raw food printed %d days on: its use-by while closed, two weeks at most', (days) => {
    const printed: PrintedDate = { kind: 'use-by', date: addDays(ON, days) };
    for (const food of raw) {
      const closed = addDays(ON, Math.min(days, 14));
      expect([food.id, by(food, printed, 'printed').useBy]).toEqual([food.id, closed]);
      expect(by(food, printed, 'printed').trail.map(({ rule }) => rule)).toContain('K3c');
      expect(by(food, printed, 'careful').governing.date <= kept(food, printed).governing.date).toBe(true);
      // Opened, it has no more than our days from then.
      const most = food.openedDaysMax ?? food.fridgeDaysMax ?? 0;
      const opened = by(food, printed, 'printed', addDays(ON, 1)).useBy ?? '';
      expect([food.id, opened]).toEqual([food.id, earlier(closed, addDays(ON, 1 + most))]);
      // Nobody’s word but the maker’s.
      const own = [{ did: 'harvested' as const, on: ON }];
      const conditions = { ...USUAL_CONDITIONS, printed };
      expect(judgeKeeping(food, own, ON, { ...conditions, caution: 'printed' })).toEqual(
        judgeKeeping(food, own, ON, conditions),
      );
    }
    for (const food of others.filter(({ outageClass }) => outageClass !== 'eggs-in-shell'))
      expect(by(food, printed, 'printed')).toEqual(kept(food, printed));
  });

  it.each([
    [10, 12],
    [60, 35],
  ])('eggs printed %d days on are good for %d', (printed, days) => {
    const [eggs] = others.filter(({ outageClass }) => outageClass === 'eggs-in-shell');
    expect(by(eggs!, { kind: 'best-before', date: addDays(ON, printed) }, 'printed').useBy).toBe(
      addDays(ON, days),
    );
  });
});
