import { PLAIN_WORDING, type Wording } from '@/core/units/wording';
import { retellAll } from '@/core/units/retell';
import { ourHousehold } from './household';

/** How the household that is meant measures and writes figures; plain while there is none. */
export async function ourWording(): Promise<Wording> {
  try {
    const { units, decimals } = (await ourHousehold()).settings;
    return { units, decimals };
  } catch {
    return PLAIN_WORDING;
  }
}

/** A view with all of its words as the household measures and writes them; its figures stay grams, millilitres, millimetres and °C. */
export async function inOurUnits<View>(view: View): Promise<View> {
  return retellAll(view, await ourWording());
}
