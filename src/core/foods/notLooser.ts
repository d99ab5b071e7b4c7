import type { Food } from '../model/food';

const SAFETY = [
  'fridgeDaysMin',
  'fridgeDaysMax',
  'homeDaysMin',
  'homeDaysMax',
  'openedDaysMin',
  'openedDaysMax',
  'thawedDays',
] as const;

/**
 * An own food beside the reference food it was copied from, as that stands now: never looser for safety. A figure that grew
 * stricter in the reference since holds for the copy too, and so does its class.
 */
export function notLooser<F extends Food>(own: F, reference: Food): F {
  const { controlled, outageClass, warmHours } = reference;
  if (!controlled) return own;
  const stricter: F = { ...own, controlled, outageClass };
  if (warmHours === undefined) delete stricter.warmHours;
  for (const key of SAFETY) {
    const [mine, theirs] = [own[key], reference[key]];
    if (theirs !== null) stricter[key] = mine === null ? theirs : Math.min(mine, theirs);
  }
  return stricter;
}
