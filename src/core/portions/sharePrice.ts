/**
 * Shares a price by amount in whole minor units (cents): each share rounded down, what is left goes to the largest
 * remainders, ties to the earlier share. The shares add up to the price exactly.
 *
 * @param priceMinor whole minor units, zero or more
 * @param amounts zero or more each, at least one above zero
 * @throws RangeError when there is nothing to share over
 */
export function sharePrice(priceMinor: number, amounts: readonly number[]): number[] {
  const total = amounts.reduce((sum, amount) => sum + amount, 0);
  if (!Number.isInteger(priceMinor) || priceMinor < 0) throw new RangeError(`${priceMinor} is not a price`);
  if (!(total > 0) || amounts.some((amount) => amount < 0)) throw new RangeError('no amounts to share over');
  const exact = amounts.map((amount) => (priceMinor * amount) / total);
  const shares = exact.map(Math.floor);
  let left = priceMinor - shares.reduce((sum, share) => sum + share, 0);
  const byRemainder = exact
    .map((value, at) => ({ at, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.at - b.at);
  for (const { at } of byRemainder) {
    if (left <= 0) break;
    shares[at] = (shares[at] ?? 0) + 1;
    left -= 1;
  }
  return shares;
}
