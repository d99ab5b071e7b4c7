import type { Eater } from '../model/meal';
import { portionGrams } from '../portions/portionGrams';

/** What a dinner is put together from: the first is its main, the others lie beside it. */
export interface DinnerPart {
  group: string;
  /** What there is of it, g or ml. */
  amount: number;
}

/**
 * How much of each part everybody's dinner gets, by appetite. What does not go round is shared in the same proportions; what is
 * over stays where it is.
 *
 * @returns for each eater the whole grams of each part, never more in sum than there is
 */
export function dinnerPortions(
  parts: readonly DinnerPart[],
  eaters: readonly Pick<Eater, 'appetite'>[],
): number[][] {
  const wanted = eaters.map(({ appetite }) =>
    parts.map(({ group }, at) => portionGrams(group, appetite, at === 0 ? 'main' : 'side')),
  );
  const shares = parts.map(({ amount }, at) => {
    const all = wanted.reduce((sum, one) => sum + (one[at] ?? 0), 0);
    return all > amount ? amount / all : 1;
  });
  return wanted.map((one) => one.map((grams, at) => Math.floor(grams * (shares[at] ?? 1))));
}
