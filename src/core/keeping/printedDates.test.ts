import { foods } from '../../../tests/fixtures/reference';
import { addDays, earlier } from '../calendar/calendarDate';
import { type PrintedDate, USUAL_CONDITIONS } from '../model/history';
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
