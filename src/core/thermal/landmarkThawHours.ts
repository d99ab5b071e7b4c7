/** The longest a pack counts as flat, g. */
const FLAT_G = 600;
const OVERNIGHT_HOURS = 12;
const HOURS_A_DAY = 24;
/** Large whole pieces: 24 h for each 2.0 to 2.3 kg; the low figure is the cautious one. */
const CAUTIOUS_G_A_DAY = 2000;

/**
 * Cautious hours to thaw in the refrigerator by the published landmarks: a flat 500 g pack overnight, a whole piece 24 h
 * for each 2.0 kg, never less than a day for anything thicker than flat.
 *
 * @param grams of the package; `null` when it is counted in pieces
 * @param flat frozen flat, or in loose pieces, cubes and slices
 */
export function landmarkThawHours(grams: number | null, flat: boolean): number {
  if (flat && (grams === null || grams <= FLAT_G)) return OVERNIGHT_HOURS;
  return Math.max(HOURS_A_DAY, Math.ceil(((grams ?? 0) / CAUTIOUS_G_A_DAY) * HOURS_A_DAY));
}
