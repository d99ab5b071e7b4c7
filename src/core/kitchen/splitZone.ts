import { Refusal } from '../model/refusal';
import { zoneIn } from './changeZone';
import { freeName } from './addZone';
import { type ApplianceDrawing, type Axis, LEAST_MM, snap, SNAP_MM } from '../model/drawing';

/**
 * Splits a zone in two along an axis, at half of it on the 10 mm grid; the second half is new and takes its rules from the first.
 *
 * @throws Refusal D2 when the halves would be too small, D5 when zones are nested in it
 */
export function splitZone(
  drawing: ApplianceDrawing,
  id: string,
  axis: Axis,
  newId: string,
): ApplianceDrawing {
  const zone = zoneIn(drawing, id);
  if (drawing.zones.some(({ parentId }) => parentId === id)) {
    throw new Refusal('D5', `${zone.name} holds other zones; move them out before it is split.`);
  }
  const half = Math.max(snap(zone[axis.size] / 2), SNAP_MM);
  if (half < LEAST_MM || zone[axis.size] - half < LEAST_MM) {
    throw new Refusal('D2', `${zone.name} is ${zone[axis.size]} mm ${axis.sized}; too little for two.`);
  }
  const first = { ...zone, [axis.size]: half };
  const second = {
    ...zone,
    id: newId,
    name: freeName(drawing, zone.name.replace(/ \d+$/, '')),
    [axis.start]: zone[axis.start] + half,
    [axis.size]: zone[axis.size] - half,
  };
  return { ...drawing, zones: drawing.zones.flatMap((one) => (one.id === id ? [first, second] : [one])) };
}
