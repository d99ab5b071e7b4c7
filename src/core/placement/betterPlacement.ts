import { Lying } from './lying';
import { type Possible, worthOf } from './placementModel';
import type { PlacingPackage, PlacingZone } from './placing';

/** How warm the search begins, in points: how much worse a step may be; it cools to none. */
const WARM = 10;
/** Every so many steps a whole zone is emptied, so that it may change what it is for. */
const EMPTY_EVERY = 4;
const MOST_AT_ONCE = 4;

/** Numbers between 0 and 1 that look like chance and are the same for the same seed (a linear congruential generator). */
export function seededChance(seed: number): () => number {
  let state = seed % 2_147_483_648;
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state / 2_147_483_648;
  };
}

/**
 * Makes a placement better by taking a few packages out, or emptying a zone, and laying them again, as in simulated
 * annealing: at first a step may be a little worse, at the end none may. Never worse than what it began with.
 *
 * @param rounds steps to try; 30,000 take about half a second for 60 packages
 * @param chance numbers from 0 to 1, passed in
 */
export function betterPlacement(
  zones: readonly PlacingZone[],
  packages: readonly PlacingPackage[],
  possible: readonly Possible[],
  begin: readonly Possible[],
  rounds: number,
  chance: () => number,
): Possible[] {
  const options = packages.map((_, at) =>
    possible.filter((one) => one.package === at).sort((a, b) => b.score.points - a.score.points),
  );
  const lying = new Lying(zones, packages);
  for (const one of begin) lying.take(one);
  const pick = (most: number): number => Math.floor(chance() * most);
  const worth = (one: Possible | null): number => (one === null ? 0 : worthOf(one));
  let now = begin.reduce((sum, one) => sum + worthOf(one), 0);
  let best = now;
  let bestTook = [...lying.took];
  for (let round = 0; round < rounds && packages.length > 0; round++) {
    const warmth = WARM * (1 - round / rounds);
    const taken: number[] = [];
    if (round % EMPTY_EVERY === 0) {
      const zone = lying.took[pick(packages.length)]?.zone;
      lying.took.forEach((one, at) => one !== null && one.zone === zone && taken.push(at));
    }
    for (let count = 1 + pick(MOST_AT_ONCE); count > 0; count--) {
      const at = pick(packages.length);
      if (!taken.includes(at)) taken.push(at);
    }
    const before = taken.map((at) => lying.drop(at));
    const order = taken.map((at) => ({ at, by: chance() })).sort((a, b) => a.by - b.by);
    let after = 0;
    for (const { at } of order) {
      // Now and then the second best is taken, to make room for another.
      const skip = chance() < 0.15 ? 1 : 0;
      const may = options[at]?.filter((one) => lying.mayTake(one)).slice(0, skip + 1) ?? [];
      const one = may[skip] ?? may[0];
      if (!one) continue;
      lying.take(one);
      after += worth(one);
    }
    const gain = after - before.reduce((sum, one) => sum + worth(one), 0);
    if (gain >= 0 || chance() < Math.exp(gain / Math.max(warmth, 1e-6))) {
      now += gain;
      if (now > best + 1e-9) {
        best = now;
        bestTook = [...lying.took];
      }
    } else {
      taken.forEach((at) => lying.drop(at));
      before.forEach((one) => one !== null && lying.take(one));
    }
  }
  return bestTook.filter((one): one is Possible => one !== null);
}
