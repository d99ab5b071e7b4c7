import { SAFE_CHILL_C } from './limits';
/** Power-cut classes. Figures: data/outage.csv, after public outage charts. */

export type OutageVerdict =
  'keep' | 'eat-soon' | 'check' | 'refreeze' | 'refreeze-quality-loss' | 'cook-now' | 'discard';

/** What the tables may say of frozen food that softened. */
export const FREEZER_VERDICTS = ['refreeze', 'refreeze-quality-loss', 'discard'] as const;
export type FreezerVerdict = (typeof FREEZER_VERDICTS)[number];

export interface OutageClass {
  id: string;
  title: string;
  examples: string;
  fridgeVerdict: 'discard' | 'keep';
  /** °C and hours; `null` where the class keeps. */
  fridgeThresholdC: number | null;
  fridgeLimitHours: number | null;
  freezerIcyVerdict: FreezerVerdict;
  freezerThawedVerdict: FreezerVerdict;
  /** Hours above 4.4 °C; `null` where a thawed one is not discarded. */
  freezerThawedLimitHours: number | null;
  mouldCheck: boolean;
  note: string;
  source: string;
}

/** Hours that a food not controlled may stand out of the cold once open: those of a class with a higher threshold (K10). */
export function warmHoursOf(outageClass: OutageClass | undefined): { warmHours?: number } {
  if (!outageClass || outageClass.fridgeVerdict !== 'discard' || isControlled(outageClass)) return {};
  return outageClass.fridgeLimitHours === null ? {} : { warmHours: outageClass.fridgeLimitHours };
}

/** Rule K1: thrown out once held above 4.4 °C, so it has a safety date. */
export function isControlled(outageClass: OutageClass): boolean {
  return outageClass.fridgeVerdict === 'discard' && outageClass.fridgeThresholdC === SAFE_CHILL_C;
}
