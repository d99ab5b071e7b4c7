import { AXES, type ApplianceDrawing, type DrawnZone } from '../model/drawing';
import { overlapAlong, placedBox } from './boxes';

const [ACROSS, , BACK] = AXES;

/** Zones of a chest that must be lifted out to reach this one: all that stand above its footprint. */
export function liftedFor(zone: DrawnZone, drawing: ApplianceDrawing): DrawnZone[] {
  if (drawing.shape !== 'chest' || zone.side === 'door') return [];
  const mine = placedBox(zone, drawing.zones);
  return drawing.zones.filter((other) => {
    if (other.id === zone.id || other.compartmentId !== zone.compartmentId || other.parentId !== null)
      return false;
    if (isNestedIn(zone, other.id, drawing.zones)) return false;
    const above = placedBox(other, drawing.zones);
    return (
      above.yMm + above.heightMm <= mine.yMm &&
      overlapAlong(mine, above, ACROSS) > 0 &&
      overlapAlong(mine, above, BACK) > 0
    );
  });
}

function isNestedIn(zone: DrawnZone, id: string, zones: readonly DrawnZone[]): boolean {
  const parent = zones.find((one) => one.id === zone.parentId);
  return parent !== undefined && (parent.id === id || isNestedIn(parent, id, zones));
}

/** How many things are lifted out of a chest to reach a zone; 0 in every other shape. */
export const liftsTo = (zone: DrawnZone, drawing: ApplianceDrawing): number =>
  liftedFor(zone, drawing).length;

/** Zones that stand in front of this one at the same height, so that it is reached around them. */
export function standBefore(zone: DrawnZone, drawing: ApplianceDrawing): DrawnZone[] {
  if (drawing.shape === 'chest') return [];
  const [across, down] = AXES;
  return drawing.zones.filter(
    (other) =>
      other.id !== zone.id &&
      other.parentId === zone.parentId &&
      other.compartmentId === zone.compartmentId &&
      other.side === zone.side &&
      other.zMm + other.depthMm <= zone.zMm &&
      overlapAlong(zone, other, across) > 0 &&
      overlapAlong(zone, other, down) > 0,
  );
}
