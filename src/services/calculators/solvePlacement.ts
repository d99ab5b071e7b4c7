import type { PlacedFood, PlacingPackage, PlacingZone } from '@/core/placement/placing';
import { solvedPlacement, type SolvedPlacement } from '@/core/placement/solvedPlacement';
import { heavy } from './heavy';

/** Up to so many looks of a package at what lies in a zone a placement is worked out here; a larger one goes to the workers whole. */
const MAX_LOOKS_HERE = 100_000;

/** Places packages, all at once (RULES 4): see {@link solvedPlacement}. */
export async function solvePlacement<Zone extends PlacingZone>(
  zones: readonly Zone[],
  contents: readonly PlacedFood[],
  packages: readonly PlacingPackage[],
  pins: ReadonlyMap<string, string | null>,
): Promise<SolvedPlacement<Zone>> {
  const looks = zones.length * packages.length * (contents.length + zones.length);
  if (looks > MAX_LOOKS_HERE)
    return (await heavy('placeAll', zones, contents, packages, pins)) as SolvedPlacement<Zone>;
  return solvedPlacement(zones, contents, packages, pins, {
    solve: (program) => heavy('solveProgram', program),
    search: (...given) => heavy('searchedPlacement', ...given),
  });
}
