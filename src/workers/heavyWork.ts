import { checkKitchen } from '../core/placement/checkKitchen';
import { searchedPlacement } from '../core/placement/searchedPlacement';
import { tidyMoves } from '../core/placement/tidyMoves';
import { solvedWeek } from '../core/meals/solvedWeek';
import { forecastCut } from '../core/powercut/forecastCut';
import { solveProgram } from './solveProgram';

/** Answers that take long enough to be worked out beside the server rather than in it. */
export const HEAVY_WORK = {
  checkKitchen,
  forecastCut,
  searchedPlacement,
  solvedWeek,
  solveProgram,
  tidyMoves,
} as const;
export type HeavyWork = typeof HEAVY_WORK;
