import fc from 'fast-check';
import { food, foods } from '../../../tests/fixtures/reference';
import { USUAL_CONDITIONS, type HistoryEvent } from '../model/history';
import { judgeKeeping } from '../keeping/judgeKeeping';
import { checkWish, wishedFood } from './wish';
import { NO_WISH, type Wish } from '../model/wish';

const wish = (more: Partial<Wish>): Wish => ({ ...NO_WISH, ...more });

it('shortens anything, and says so', () => {
  const own = wishedFood(food('beef-steak'), wish({ fridgeDays: 2, freezerMonths: 1 }));
  expect(own).toMatchObject({ fridgeDaysMax: 2, fridgeDaysMin: 2, freezerMonthsMax: 1, freezerMonthsMin: 1 });
  expect(own.wished).toMatch(/2 days in the fridge instead of 5, 1 month in the freezer instead of 12/);
  expect(wishedFood(food('beef-steak'), NO_WISH).wished).toBeUndefined();
});

it('lengthens quality, never safety', () => {
  expect(wishedFood(food('jam'), wish({ openedDays: 400 })).openedDaysMax).toBe(400);
  expect(wishedFood(food('ground-beef'), wish({ freezerMonths: 9 })).freezerMonthsMax).toBe(9);
  for (const key of ['fridgeDays', 'thawedDays'] as const) {
    expect(() => checkWish(food('ground-beef'), wish({ [key]: 30 }))).toThrow(/safety figure/);
  }
  expect(() => checkWish(food('milk'), wish({ openedDays: 30 }))).toThrow(/never longer/);
  expect(() => checkWish(food('milk'), wish({ counterDays: 1 }))).toThrow(/belongs in the fridge/);
  expect(() => checkWish(food('lettuce'), wish({ freezerMonths: 1 }))).toThrow(/does not freeze/);
});

it('no wish that is let through moves a safety date later', () => {
  const figure = fc.option(fc.integer({ min: 0, max: 60 }));
  const anyWish = fc.record({
    fridgeDays: figure,
    openedDays: figure,
    thawedDays: figure,
    counterDays: fc.constant(null),
    freezerMonths: figure,
    leadDays: figure,
  });
  const histories: HistoryEvent[][] = [
    [{ did: 'bought', on: '2027-03-01' }],
    [
      { did: 'bought', on: '2027-03-01' },
      { did: 'opened', on: '2027-03-01' },
    ],
    [
      { did: 'bought', on: '2027-03-01' },
      { did: 'frozen', on: '2027-03-01' },
      { did: 'thawed', on: '2027-04-01', method: 'fridge' },
    ],
  ];
  fc.assert(
    fc.property(fc.constantFrom(...foods), anyWish, fc.constantFrom(...histories), (of, wanted, history) => {
      const useBy = (kept: typeof of): string | null | undefined => {
        try {
          return judgeKeeping(kept, history, '2028-01-01', USUAL_CONDITIONS).useBy;
        } catch {
          return undefined;
        }
      };
      let own: typeof of;
      try {
        own = wishedFood(of, wanted);
      } catch {
        return;
      }
      const [before, after] = [useBy(of), useBy(own)];
      if (before && after !== undefined) expect(after !== null && after <= before).toBe(true);
    }),
    { numRuns: 2000 },
  );
});
