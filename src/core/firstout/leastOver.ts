/**
 * Chooses some of the amounts so that their sum reaches `need` with the least over, and of those choices the one that
 * takes the earliest. All of them when they do not reach it.
 *
 * @param amounts whole numbers above 0, in first-out order
 * @returns positions, rising
 */
export function leastOver(amounts: readonly number[], need: number): number[] {
  const total = amounts.reduce((sum, amount) => sum + amount, 0);
  if (total <= need) return amounts.map((_, at) => at);
  // What stays behind must fit into total − need; the fullest such remainder leaves the least over. Sums reachable
  // from the tail, so that the walk below may choose the earliest: reach[at] has bit s when amounts[at…] can make s.
  const room = total - need;
  const mask = (1n << BigInt(room + 1)) - 1n;
  const reach: bigint[] = [];
  reach[amounts.length] = 1n;
  for (let at = amounts.length - 1; at >= 0; at--) {
    const after = reach[at + 1] ?? 1n;
    reach[at] = (after | (after << BigInt(amounts[at] ?? 0))) & mask;
  }
  let stay = (reach[0] ?? 1n).toString(2).length - 1;
  const taken: number[] = [];
  for (const [at, amount] of amounts.entries()) {
    // Take it unless what must stay behind can only be made with it.
    const canTake = ((reach[at + 1] ?? 1n) >> BigInt(stay)) & 1n;
    if (canTake === 1n) taken.push(at);
    else stay -= amount;
  }
  return taken;
}
