import type { ApplianceShape, DrawnZone } from '../model/drawing';

/** Front edges of shelves and drawers are about this high, and a lid label is read from arm's length, mm. */
const EDGE_HIGH_MM = 26;
const LID_HIGH_MM = 40;
const WIDEST_MM = 120;
const NARROWEST_MM = 60;
/** It ends so far before the edge of the zone. */
const CLEAR_MM = 10;

/**
 * How wide and high the label of a zone is, mm, measured from the drawing: along the front edge of a shelf, drawer or rack; larger
 * where it is read from above, in a chest.
 *
 * @param widest that the paper takes, mm
 */
export function labelMm(
  zone: Pick<DrawnZone, 'widthMm' | 'heightMm' | 'kind'>,
  shape: ApplianceShape,
  widest: number,
): [wide: number, high: number] {
  const fromAbove = shape === 'chest';
  const wide = Math.min(widest, WIDEST_MM, Math.max(NARROWEST_MM, zone.widthMm - 2 * CLEAR_MM));
  const high = fromAbove ? LID_HIGH_MM : Math.min(EDGE_HIGH_MM, Math.max(14, zone.heightMm / 4));
  return [wide, high];
}
