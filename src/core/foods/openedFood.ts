import type { Food } from '../model/food';

/** Fresh produce that is cut or mashed keeps for days, not weeks: what has a short figure of its own once opened. */
const MOST_CUT_DAYS = 4;

/** True for a whole fruit or vegetable that is another food once it is cut (L3b, O15). Figures: foods.csv, `opened_days`. */
export const isWholeProduce = ({ outageClass, readiness, openedDaysMax }: Food): boolean =>
  readiness === 'needs-wash' &&
  openedDaysMax !== null &&
  (outageClass === 'whole-fruit' || (outageClass === 'raw-vegetables' && openedDaysMax <= MOST_CUT_DAYS));

/** What spoils as soon as it is cut, put together with what does, or home-made: as {@link Food}, with a safety date. */
export function asControlled<F extends Pick<Food, 'controlled' | 'counterDaysMax' | 'warmHours'>>(
  food: F,
): F {
  if (food.controlled) return food;
  const { warmHours: _hours, ...others } = food;
  return { ...(others as F), controlled: true, counterDaysMax: null };
}
