import { betterPlacement, seededChance } from './betterPlacement';
import type { Possible } from './placementModel';
import type { PlacingPackage, PlacingZone } from './placing';

const SEARCHES = 3;
const SEARCH_ROUNDS = 50_000;

/** A few searches, each from where the last one ended; the same every time, and never worse than what it begins with. */
export function searchedPlacement(
  zones: readonly PlacingZone[],
  packages: readonly PlacingPackage[],
  possible: readonly Possible[],
  begin: readonly Possible[],
): Possible[] {
  let best = [...begin];
  for (let seed = 1; seed <= SEARCHES; seed++)
    best = betterPlacement(zones, packages, possible, best, SEARCH_ROUNDS, seededChance(seed));
  return best;
}
