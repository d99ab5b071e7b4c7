import { Lying } from './lying';
import type { Possible } from './placementModel';
import type { PlacingPackage, PlacingZone } from './placing';

const MOST_ROUNDS = 40;
/** A gain that is more than rounding. */
const HAIR = 1e-9;

/** Moves a package to the best zone that takes it now. @returns true when that is better than where it lay */
function improve(lying: Lying, mine: readonly Possible[], at: number): boolean {
  const before = lying.drop(at);
  const better = mine.find(
    (one) => (before === null || one.score.points > before.score.points) && lying.mayTake(one),
  );
  if (better) lying.take(better);
  else if (before) lying.take(before);
  return better !== undefined;
}

/** Makes room for a package by moving one other, when both then lie somewhere. */
function squeeze(lying: Lying, options: readonly (readonly Possible[])[], at: number): boolean {
  for (const wanted of options[at] ?? []) {
    for (let other = 0; other < options.length; other++) {
      if (other === at || lying.took[other]?.zone !== wanted.zone) continue;
      const before = lying.drop(other);
      if (before && lying.mayTake(wanted)) {
        lying.take(wanted);
        const elsewhere = options[other]?.find((one) => one.zone !== wanted.zone && lying.mayTake(one));
        if (elsewhere) {
          lying.take(elsewhere);
          return true;
        }
        lying.drop(at);
      }
      if (before) lying.take(before);
    }
  }
  return false;
}

/** Changes places of two packages when that is better for both together. */
function swap(lying: Lying, options: readonly (readonly Possible[])[], a: number, b: number): boolean {
  const [one, two] = [lying.took[a], lying.took[b]];
  if (!one || !two || one.zone === two.zone) return false;
  const oneThere = options[a]?.find(({ zone }) => zone === two.zone);
  const twoHere = options[b]?.find(({ zone }) => zone === one.zone);
  if (!oneThere || !twoHere) return false;
  const gain = oneThere.score.points + twoHere.score.points - one.score.points - two.score.points;
  if (gain <= HAIR) return false;
  lying.drop(a);
  lying.drop(b);
  if (lying.mayTake(oneThere)) {
    lying.take(oneThere);
    if (lying.mayTake(twoHere)) {
      lying.take(twoHere);
      return true;
    }
    lying.drop(a);
  }
  lying.take(one);
  lying.take(two);
  return false;
}

/**
 * A good placement without a solver: the choosiest packages first, each to its best zone, then moves, squeezes and swaps
 * until nothing gets better. What the solver finds in its time is measured against it.
 */
export function greedyPlacement(
  zones: readonly PlacingZone[],
  packages: readonly PlacingPackage[],
  possible: readonly Possible[],
): Possible[] {
  const options = packages.map((_, at) =>
    possible.filter((one) => one.package === at).sort((a, b) => b.score.points - a.score.points),
  );
  const lying = new Lying(zones, packages);
  const order = packages
    .map((_, at) => at)
    .sort(
      (a, b) =>
        (options[a]?.length ?? 0) - (options[b]?.length ?? 0) ||
        (packages[b]?.litres ?? 0) - (packages[a]?.litres ?? 0),
    );
  for (const at of order) improve(lying, options[at] ?? [], at);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let better = false;
    for (const at of order) {
      if (lying.took[at] === null) better = squeeze(lying, options, at) || better;
      better = improve(lying, options[at] ?? [], at) || better;
      for (const other of order) if (other > at) better = swap(lying, options, at, other) || better;
    }
    if (!better) break;
  }
  return lying.took.filter((one): one is Possible => one !== null);
}
