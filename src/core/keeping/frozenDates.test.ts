import { foods } from '../../../tests/fixtures/reference';
import { addMonths } from '../calendar/addMonths';
import type { Food } from '../model/food';
import { sayMonths } from './frozenDates';
import { type KeepingConditions, USUAL_CONDITIONS, WRAPS } from '../model/history';
import { judgeKeeping } from './judgeKeeping';

const ON = '2027-01-31';
const freezable = foods.filter(({ freezeFit }) => freezeFit !== 'no');
const frozen = (food: Food, conditions: Partial<KeepingConditions> = {}) =>
  judgeKeeping(
    food,
    [
      { did: 'bought', on: ON },
      { did: 'frozen', on: ON },
    ],
    ON,
    { ...USUAL_CONDITIONS, ...conditions },
  );

describe('every food that freezes', () => {
  it('keeps between its shortest and longest months, whatever the wrap; tight wraps never shorter', () => {
    for (const food of freezable) {
      const least = addMonths(ON, food.freezerMonthsMin ?? 0);
      const most = addMonths(ON, food.freezerMonthsMax ?? 0);
      const dates = WRAPS.map((wrap) => frozen(food, { wrap }).bestBy);
      expect([food.id, dates.every((date) => date >= least && date <= most)]).toEqual([food.id, true]);
      const [tray, zip, vacuum] = (['shop-tray', 'zip-bag', 'vacuum'] as const).map(
        (wrap) => frozen(food, { wrap }).bestBy,
      );
      expect([food.id, tray === least, vacuum === most]).toEqual([food.id, true, true]);
      expect((zip ?? '') >= (tray ?? '') && (zip ?? '') <= (vacuum ?? '')).toBe(true);
    }
  });

  it('has no use by, and a warmer freezer or missing blanching never makes it later', () => {
    for (const food of freezable) {
      const cold = frozen(food);
      expect(cold.useBy).toBeNull();
      for (const change of [{ freezerC: -15 }, { freezerC: -9 }, { blanched: false }]) {
        expect([food.id, frozen(food, change).bestBy <= cold.bestBy]).toEqual([food.id, true]);
      }
    }
  });

  it('warns where freezing spoils it, and where it wanted blanching', () => {
    const warned = (food: Food, words: string, conditions: Partial<KeepingConditions> = {}) =>
      frozen(food, conditions).trail.some(({ says }) => says.includes(words));
    for (const food of freezable) {
      expect([food.id, warned(food, 'for cooking only')]).toEqual([food.id, food.freezeFit === 'poor']);
      const wantsBlanching = food.blanchOptional === false && food.blanchMinutes !== null;
      expect([food.id, warned(food, 'of blanching', { blanched: false })]).toEqual([food.id, wantsBlanching]);
      if (wantsBlanching) expect(frozen(food, { blanched: false }).bestBy).toBe(addMonths(ON, 1));
    }
  });
});

it('foods that do not freeze are refused with the rule and a reason', () => {
  const unfit = foods.filter(({ freezeFit }) => freezeFit === 'no');
  expect(unfit.length).toBeGreaterThan(20);
  for (const food of unfit) {
    expect(() => frozen(food)).toThrow(expect.objectContaining({ rule: 'K5' }) as Error);
  }
});

it('says months as people do', () => {
  expect([1, 2.5, 0.5, 12, 1.47, 2.06].map(sayMonths)).toEqual([
    '1 month',
    '2½ months',
    '½ months',
    '12 months',
    '1½ months',
    '2.1 months',
  ]);
});
