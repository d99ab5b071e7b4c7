import type { PlacedFood, PlacingPackage, PlacingZone } from '../core/placement/placing';
import { searchedPlacement } from '../core/placement/searchedPlacement';
import { solvedPlacement, type SolvedPlacement } from '../core/placement/solvedPlacement';
import { solveProgram } from './solveProgram';

/** A whole placement, its model too, worked out in a worker. */
export const placeAll = (
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
  packages: readonly PlacingPackage[],
  pins: ReadonlyMap<string, string | null>,
): Promise<SolvedPlacement<PlacingZone>> =>
  solvedPlacement(zones, contents, packages, pins, { solve: solveProgram, search: searchedPlacement });
