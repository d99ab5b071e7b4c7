import { findFood, type FoodIndex, type NamedFood, nearestFoods } from '../foods/findFood';
import { foodKey } from '../foods/foodKey';
import type { QuickToken } from './quickTokens';

const LONGEST_NAME = 8;

export type ReadFood<F extends NamedFood> =
  { food: F; tokens: number } | { food: null; tokens: number; candidates: F[]; says: string };

/**
 * Reads the food at the front of the line: the longest run of words that is a name or alias; else everything up to
 * the first number or mark, matched by part of a name, else the nearest names as candidates.
 */
export function readFoodWords<F extends NamedFood>(
  index: FoodIndex<F>,
  tokens: readonly QuickToken[],
  isEnd: (token: QuickToken, at: number) => boolean,
): ReadFood<F> {
  const phrase = (count: number): string =>
    tokens
      .slice(0, count)
      .map((token) => token.text)
      .join(' ');
  const end = tokens.findIndex(isEnd);
  const count = end < 0 ? tokens.length : end;
  for (let run = Math.min(tokens.length, LONGEST_NAME); run > 0; run--) {
    if (tokens[run - 1]?.kind === 'mark') continue;
    const food = index.byKey.get(foodKey(phrase(run)));
    if (!food || foodKey(phrase(run)) === '') continue;
    // "tomato paste" is more than its first word, when only one food has both.
    const longer = run < count ? findFood(index, phrase(count)).found : null;
    return longer ? { food: longer, tokens: count } : { food, tokens: run };
  }
  if (count === 0)
    return { food: null, tokens: 0, candidates: [], says: 'Begin with the food: trout 1.6 kg.' };
  const found = findFood(index, phrase(count));
  if (!('candidates' in found)) return { food: found.found, tokens: count };
  const near = found.candidates.length > 0 ? found.candidates : nearestFoods(index, tokens[0]?.text ?? '');
  return {
    food: null,
    tokens: count,
    candidates: near,
    says:
      found.reason === 'ambiguous'
        ? `“${phrase(count)}” may be several foods.`
        : near.length > 0
          ? `“${phrase(count)}” is not known. Did you mean one of these?`
          : `“${phrase(count)}” is not known as a food.`,
  };
}
