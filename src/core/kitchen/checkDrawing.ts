import { MOST_ZONES } from '../model/limits';
import { overlapOf, roomOf, siblingsOf } from './boxes';
import { type ApplianceDrawing, AXES, type DrawnZone, LEAST_MM } from '../model/drawing';
import { clashingWords } from './zoneWords';

/** What is wrong with a drawing, the measure named. */
export interface DrawingFault {
  /** `D1` name, `D2` a measure, `D3` larger than its room, `D4` overlap, `D5` nesting, `D6` rules that shut everything out. */
  rule: 'D1' | 'D2' | 'D3' | 'D4' | 'D5' | 'D6';
  /** The zone or compartment; empty: the appliance. */
  subject: string;
  says: string;
}

const MOST_MM = 3000;

/** True when a zone is nested, however deep, in itself or in what is not there. */
function nestsWrongly(zone: DrawnZone, zones: readonly DrawnZone[]): boolean {
  const seen = new Set([zone.id]);
  for (let at = zone; at.parentId !== null;) {
    const parent = zones.find(({ id }) => id === at.parentId);
    if (!parent || seen.has(parent.id)) return true;
    if (parent.compartmentId !== zone.compartmentId || parent.side !== zone.side) return true;
    seen.add(parent.id);
    at = parent;
  }
  return false;
}

function measureFault(zone: DrawnZone): string | null {
  for (const { size, sized } of AXES) {
    if (zone[size] < LEAST_MM)
      return `${zone.name} is ${zone[size]} mm ${sized}; at least ${LEAST_MM} mm is needed.`;
  }
  const low = AXES.find(({ start }) => zone[start] < 0);
  return low ? `${zone.name} reaches ${-zone[low.start]} mm past the ${low.from}.` : null;
}

function roomFault(zone: DrawnZone, drawing: ApplianceDrawing): string | null {
  const room = roomOf(zone, drawing);
  if (!room) return `${zone.name} lies in no compartment of ${drawing.name}.`;
  for (const { start, size, sized } of AXES) {
    const most = room[size];
    if (zone[size] > most) return `${zone.name} is ${zone[size]} mm ${sized}; there are ${most} mm inside.`;
    const over = zone[start] + zone[size] - most;
    if (over > 0) {
      return `${zone.name} sticks out by ${over} mm: it ends at ${zone[start] + zone[size]} mm, the room at ${most} mm (${sized}).`;
    }
  }
  return null;
}

/** What is wrong with one zone by itself and in its room; `null`: nothing. */
function zoneFault(zone: DrawnZone, drawing: ApplianceDrawing): DrawingFault | null {
  const fault = (rule: DrawingFault['rule'], says: string): DrawingFault => ({
    rule,
    subject: zone.id,
    says,
  });
  if (zone.name.trim() === '') return fault('D1', 'A zone needs a name.');
  const twin = drawing.zones.find(
    ({ id, name }) => id !== zone.id && name.trim().toLowerCase() === zone.name.trim().toLowerCase(),
  );
  if (twin) return fault('D1', `Two zones of ${drawing.name} are called “${zone.name}”.`);
  if (nestsWrongly(zone, drawing.zones))
    return fault('D5', `${zone.name} cannot lie in itself, nor in what lies in it.`);
  const measure = measureFault(zone);
  if (measure) return fault('D2', measure);
  const room = roomFault(zone, drawing);
  if (room) return fault('D3', room);
  const rule = clashingWords(zone.only, zone.never);
  return rule === null ? null : fault('D6', `${zone.name} would take nothing: ${rule}`);
}

/** How two zones get in each other's way; `null` when they do not. */
function overlapFault(a: DrawnZone, b: DrawnZone): DrawingFault | null {
  const overlap = overlapOf(a, b);
  if (!overlap) return null;
  return {
    rule: 'D4',
    subject: a.id,
    says: `${a.name} and ${b.name} overlap by ${overlap.mm} mm (${overlap.axis.sized}).`,
  };
}

/** The first thing wrong with one zone, its neighbours and what is nested in it counted in; `null`: nothing. */
export function faultOf(zone: DrawnZone, drawing: ApplianceDrawing): DrawingFault | null {
  const own = zoneFault(zone, drawing);
  if (own) return own;
  for (const other of siblingsOf(zone, drawing.zones)) {
    const overlap = overlapFault(zone, other);
    if (overlap) return overlap;
  }
  for (const inner of drawing.zones.filter(({ parentId }) => parentId === zone.id)) {
    const says = roomFault(inner, drawing);
    if (says) return { rule: 'D3', subject: inner.id, says };
  }
  return null;
}

/**
 * Everything that is wrong with a drawing: names, measures, zones that stick out of their room or overlap, nesting that
 * cannot be, rules that contradict each other. Empty: it may be saved.
 */
export function checkDrawing(drawing: ApplianceDrawing): DrawingFault[] {
  const faults: DrawingFault[] = [];
  const whole = (rule: DrawingFault['rule'], says: string): number =>
    faults.push({ rule, subject: '', says });
  if (drawing.name.trim() === '') whole('D1', 'The appliance needs a name.');
  if (drawing.compartments.length === 0) whole('D2', `${drawing.name} has no compartment.`);
  if (drawing.zones.length > MOST_ZONES)
    whole('D2', `${drawing.zones.length} zones; at most ${MOST_ZONES} are drawn.`);
  for (const inside of drawing.compartments) {
    const least = Math.min(inside.widthMm, inside.heightMm, inside.depthMm);
    const most = Math.max(inside.widthMm, inside.heightMm, inside.depthMm);
    const called = inside.name === '' ? drawing.name : inside.name;
    if (least < LEAST_MM || most > MOST_MM || inside.doorMm < 0) {
      faults.push({
        rule: 'D2',
        subject: inside.id,
        says: `${called} measures ${inside.widthMm} × ${inside.heightMm} × ${inside.depthMm} mm inside; ${LEAST_MM} to ${MOST_MM} mm each way can be.`,
      });
    }
  }
  const sound: DrawnZone[] = [];
  for (const zone of drawing.zones) {
    const fault = zoneFault(zone, drawing);
    if (fault) faults.push(fault);
    else {
      const other = siblingsOf(zone, sound).find((one) => overlapOf(zone, one) !== null);
      const overlap = other ? overlapFault(zone, other) : null;
      if (overlap) faults.push(overlap);
      sound.push(zone);
    }
  }
  return faults;
}
