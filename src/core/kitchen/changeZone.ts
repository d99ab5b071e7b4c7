import { Refusal } from '../model/refusal';
import { faultOf } from './checkDrawing';
import { type ApplianceDrawing, AXES, type Axis, type DrawnZone } from '../model/drawing';
import { overlapAlong, siblingsOf } from './boxes';

/** @throws Error when there is no such zone; a slip of the caller, never of the cook */
export function zoneIn(drawing: ApplianceDrawing, id: string): DrawnZone {
  const zone = drawing.zones.find((one) => one.id === id);
  if (!zone) throw new Error(`no zone ${id} in ${drawing.name}`);
  return zone;
}

/** The drawing with zones put in the places of those with the same ids. */
export function withZones(drawing: ApplianceDrawing, changed: readonly DrawnZone[]): ApplianceDrawing {
  const byId = new Map(changed.map((zone) => [zone.id, zone]));
  return { ...drawing, zones: drawing.zones.map((zone) => byId.get(zone.id) ?? zone) };
}

/** @throws Refusal with the first fault of these zones */
function checked(drawing: ApplianceDrawing, ids: readonly string[]): ApplianceDrawing {
  for (const id of ids) {
    const fault = faultOf(zoneIn(drawing, id), drawing);
    if (fault) throw new Refusal(fault.rule, fault.says);
  }
  return drawing;
}

/** Changes a zone: its place, measures, name, rules. @throws Refusal D1 to D6, the measure named */
export function changeZone(
  drawing: ApplianceDrawing,
  id: string,
  changes: Partial<DrawnZone>,
): ApplianceDrawing {
  return checked(withZones(drawing, [{ ...zoneIn(drawing, id), ...changes }]), [id]);
}

/** An edge of a zone: the near one (left, top, front) or the far one of an axis. */
export interface Edge {
  axis: Axis;
  far: boolean;
}

/** Zones that share an edge with this one, over a part of it. */
function beyond(zone: DrawnZone, { axis, far }: Edge, zones: readonly DrawnZone[]): DrawnZone[] {
  const edge = zone[axis.start] + (far ? zone[axis.size] : 0);
  return siblingsOf(zone, zones).filter((other) => {
    const facing = other[axis.start] + (far ? 0 : other[axis.size]);
    return facing === edge && AXES.every((one) => one === axis || overlapAlong(zone, other, one) > 0);
  });
}

const slid = (zone: DrawnZone, { axis, far }: Edge, mm: number): DrawnZone =>
  far
    ? { ...zone, [axis.size]: zone[axis.size] + mm }
    : { ...zone, [axis.start]: zone[axis.start] + mm, [axis.size]: zone[axis.size] - mm };

/**
 * Slides an edge of a zone by `mm` (to the right, down, to the back). Neighbours that share the edge give way or grow with it, as
 * two shelves do when the glass between them is set higher.
 *
 * @throws Refusal D1 to D6
 */
export function slideEdge(drawing: ApplianceDrawing, id: string, edge: Edge, mm: number): ApplianceDrawing {
  const zone = zoneIn(drawing, id);
  const neighbours = beyond(zone, edge, drawing.zones);
  const changed = [
    slid(zone, edge, mm),
    ...neighbours.map((other) => slid(other, { axis: edge.axis, far: !edge.far }, mm)),
  ];
  return checked(
    withZones(drawing, changed),
    changed.map((one) => one.id),
  );
}

/** Takes a zone out of the drawing, and what is nested in it. */
export function removeZone(drawing: ApplianceDrawing, id: string): ApplianceDrawing {
  const inner = drawing.zones.filter(({ parentId }) => parentId === id).map((zone) => zone.id);
  const without = inner.reduce(removeZone, drawing);
  return { ...without, zones: without.zones.filter((zone) => zone.id !== id) };
}
