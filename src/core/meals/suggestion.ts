import { sayDueDate } from '../calendar/sayDate';
import type { CalendarDate } from '../calendar/calendarDate';
import { isMain } from './mealKind';
import { savedGrams, type WeekCase, type WeekUse } from './weekRules';

/** What a week of meals would take, meal by meal, with why. */
export interface SuggestedMeal {
  /** Of the open meal. */
  key: string;
  /** "Trout with carrots". */
  name: string;
  takes: { package: string; code: string; called: string; amount: number }[];
  /** "uses 600 g of trout, last day Thu"; empty: nothing of it presses. */
  saves: string;
}

/** A made-up name that says what is in it. */
function nameOf(called: readonly string[]): string {
  const [first = '', ...others] = called;
  return others.length === 0
    ? first
    : `${first} with ${others.map((one) => one.toLowerCase()).join(' and ')}`;
}

/** Says a solved week in words, the meals that got something only. */
export function sayWeek(kase: WeekCase, uses: readonly WeekUse[], today: CalendarDate): SuggestedMeal[] {
  const last = kase.meals.at(-1)?.on ?? '';
  return kase.meals.flatMap((meal, m): SuggestedMeal[] => {
    const its = uses
      .filter((one) => one.meal === m)
      .flatMap(({ pack, grams }) => {
        const found = kase.packs[pack];
        return found ? [{ found, grams }] : [];
      });
    if (its.length === 0) return [];
    const mains = its.filter(({ found }) => isMain(found.food));
    const sides = its.filter(({ found }) => !isMain(found.food));
    const pressing = its.filter(({ found }) => found.governingDate <= last);
    const first = pressing
      .map(({ found }) => found)
      .sort((a, b) => (a.governingDate < b.governingDate ? -1 : 1))[0];
    const saved = savedGrams(
      { ...kase, meals: kase.meals },
      uses.filter((one) => one.meal === m),
    );
    return [
      {
        key: meal.key,
        name: nameOf([...new Set([...mains, ...sides].map(({ found }) => found.called))]),
        takes: its.map(({ found, grams }) => ({
          ...{ package: found.id, code: found.code, called: found.called },
          amount: Math.max(1, Math.min(found.amount, Math.round((found.amount * grams) / found.grams))),
        })),
        saves:
          first === undefined
            ? ''
            : `${Math.round(saved)} g that would not last the week; ${first.called.toLowerCase()} first, ${sayDueDate(first.governingDate, today)}`,
      },
    ];
  });
}
