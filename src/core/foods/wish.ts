import { Refusal } from '../model/refusal';
import type { Food } from '../model/food';
import { isWholeProduce } from './openedFood';
import { WISHES, type Wish, type WishKey } from '../model/wish';

export const WISH_WORDS: Record<WishKey, string> = {
  fridgeDays: 'days in the fridge',
  openedDays: 'days once opened',
  thawedDays: 'days once thawed',
  counterDays: 'days out of the cold',
  freezerMonths: 'months in the freezer',
  leadDays: 'days ahead to be told',
};

/** "2 days in the fridge", "1 month in the freezer". */
export function sayWished(key: WishKey, figure: number): string {
  const words = WISH_WORDS[key];
  return `${figure} ${figure === 1 ? words.replace(/^(day|month)s/, '$1') : words}`;
}

/** The longest figure of the reference that a wish is measured by; `null`: it has none. */
export function referenceFigure(food: Food, key: WishKey): number | null {
  switch (key) {
    case 'fridgeDays':
      return food.fridgeDaysMax;
    case 'openedDays':
      return food.openedDaysMax;
    case 'thawedDays':
      return food.thawedDays ?? (food.controlled ? 1 : null);
    case 'counterDays':
      return food.counterDaysMax;
    case 'freezerMonths':
      return food.freezerMonthsMax;
    case 'leadDays':
      return null;
  }
}

const SAFETY: readonly WishKey[] = ['fridgeDays', 'openedDays', 'thawedDays'];

/**
 * Checks a wish: it may shorten anything; it may lengthen quality, never safety.
 *
 * @throws Refusal `wish` with the figure that stands in the way
 */
export function checkWish(food: Food, wish: Wish): void {
  for (const key of WISHES) {
    const wished = wish[key];
    if (wished === null || key === 'leadDays') continue;
    const figure = referenceFigure(food, key);
    if (key === 'counterDays' && figure === null) {
      throw new Refusal('wish', `${food.name} has no days out of the cold: it belongs in the fridge.`);
    }
    if (key === 'freezerMonths' && food.freezeFit === 'no') {
      throw new Refusal('wish', `${food.name} does not freeze well, so there are no months to wish for.`);
    }
    const safety = food.controlled || (key === 'openedDays' && isWholeProduce(food));
    if (safety && SAFETY.includes(key) && figure !== null && wished > figure) {
      throw new Refusal(
        'wish',
        `${food.name}: ${sayWished(key, figure)} is a safety figure (after ${food.source}). A wish may make it shorter, never longer.`,
      );
    }
  }
}

/** The shortest and longest figure when a wish stands: never under the wish's own, the shortest never over the longest. */
const ranged = (least: number | null, wished: number): [number, number] => [
  Math.min(least ?? wished, wished),
  wished,
];

/** The food as this household keeps it: the reference with the wish on top. A wish that is not allowed is refused. */
export function wishedFood<F extends Food>(food: F, wish: Wish): F {
  checkWish(food, wish);
  const own = { ...food };
  const told: string[] = [];
  for (const key of WISHES) {
    const wished = wish[key];
    const figure = referenceFigure(food, key);
    if (wished === null || key === 'leadDays' || wished === figure) continue;
    told.push(`${sayWished(key, wished)}${figure === null ? '' : ` instead of ${figure}`}`);
    if (key === 'fridgeDays') [own.fridgeDaysMin, own.fridgeDaysMax] = ranged(food.fridgeDaysMin, wished);
    else if (key === 'openedDays')
      [own.openedDaysMin, own.openedDaysMax] = ranged(food.openedDaysMin, wished);
    else if (key === 'thawedDays') own.thawedDays = wished;
    else if (key === 'counterDays') own.counterDaysMax = wished;
    else if (key === 'freezerMonths') {
      [own.freezerMonthsMin, own.freezerMonthsMax] = ranged(food.freezerMonthsMin, wished);
      if (own.unblanchedMonthsMax !== null)
        own.unblanchedMonthsMax = Math.min(own.unblanchedMonthsMax, wished);
    }
  }
  if (told.length > 0) own.wished = `Your household wishes ${told.join(', ')}.`;
  return own;
}
