import type { Food } from '../../model/food';
import { USUAL_CONDITIONS, type Caution, type KeepingConditions } from '../../model/history';
import { datingThawHours } from '../../thermal/packageThawHours';
import type { UndatedPackage } from '../../model/undated';

/**
 * What besides its history bears on a package's dates: the one place where it is put together, for real events and for
 * what might be.
 *
 * @param toThaw the case to be judged thaws it, though its history does not yet
 */
export function conditionsOf(
  { printed, wrap, blanched, history, ...pack }: UndatedPackage,
  food: Food,
  caution: Caution,
  toThaw = false,
): KeepingConditions {
  const thaws = toThaw || history.some(({ did }) => did === 'thawing');
  return {
    ...USUAL_CONDITIONS,
    printed,
    wrap: wrap ?? USUAL_CONDITIONS.wrap,
    blanched,
    caution,
    thawHours: thaws ? datingThawHours(pack, food) : null,
  };
}
