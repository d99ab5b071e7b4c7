import { checkKitchen } from '../core/placement/checkKitchen';
import { placementMoves } from '../core/placement/placementMoves';
import { searchedPlacement } from '../core/placement/searchedPlacement';
import { tidyMoves } from '../core/placement/tidyMoves';
import { solvedWeek } from '../core/meals/solvedWeek';
import { forecastCut } from '../core/powercut/forecastCut';
import { FILE_WORK } from './fileWork';
import { placeAll } from './placeAll';
import { solveProgram } from './solveProgram';

/** Answers that take long enough to be worked out beside the server rather than in it. */
export const HEAVY_WORK = {
  ...FILE_WORK,
  checkKitchen,
  forecastCut,
  placeAll,
  placementMoves,
  searchedPlacement,
  solvedWeek,
  solveProgram,
  tidyMoves,
} as const;
export type HeavyWork = typeof HEAVY_WORK;
