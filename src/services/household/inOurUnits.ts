import type { UnitSystem } from '@/core/units/readAmount';
import { retellAll } from '@/core/units/retell';
import { ourHousehold } from './household';

/** How the household that is meant measures; metric while there is none. */
export async function ourUnits(): Promise<UnitSystem> {
  try {
    return (await ourHousehold()).settings.units;
  } catch {
    return 'metric';
  }
}

/** A view with all of its words as the household measures; its figures stay grams, millilitres, millimetres and °C. */
export async function inOurUnits<View>(view: View): Promise<View> {
  return retellAll(view, await ourUnits());
}
