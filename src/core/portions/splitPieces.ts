import { sharePrice } from './sharePrice';
import { splitEvenly } from './splitEvenly';

/**
 * Splits an amount that is made of pieces which are never cut (14 thighs into 4 packs: 4, 4, 3, 3). Each pack weighs its
 * share of the pieces; the sum is exact.
 *
 * @param total whole grams or millilitres
 * @param pieces how many the total is, at least `packs`
 * @throws RangeError for fewer pieces than packs
 */
export function splitPieces(
  total: number,
  pieces: number,
  packs: number,
): { pieces: number; amount: number }[] {
  if (pieces < packs) throw new RangeError(`${pieces} pieces do not make ${packs} packs`);
  const counts = splitEvenly(pieces, packs).reverse();
  const amounts = sharePrice(total, counts);
  return counts.map((count, at) => ({ pieces: count, amount: amounts[at] ?? 0 }));
}
