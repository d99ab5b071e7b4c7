import {
  type ApplianceDrawing,
  AXES,
  type Axis,
  type Box,
  type Compartment,
  type DrawnZone,
} from '../model/drawing';

/** The room that a zone must lie in: its parent zone, else its compartment or the compartment's door. */
export function roomOf(
  zone: Pick<DrawnZone, 'parentId' | 'compartmentId' | 'side'>,
  drawing: ApplianceDrawing,
): Box | null {
  const parent = drawing.zones.find(({ id }) => id === zone.parentId);
  if (parent) return { ...parent, xMm: 0, yMm: 0, zMm: 0 };
  const inside = drawing.compartments.find(({ id }) => id === zone.compartmentId);
  return inside ? roomIn(inside, zone.side) : null;
}

/** The room of a compartment or of its door, mm. */
export function roomIn(inside: Compartment, side: DrawnZone['side']): Box {
  const { widthMm, heightMm, depthMm, doorMm } = inside;
  return { xMm: 0, yMm: 0, zMm: 0, widthMm, heightMm, depthMm: side === 'door' ? doorMm : depthMm };
}

/** Zones that lie in the same room. */
export function siblingsOf(zone: DrawnZone, zones: readonly DrawnZone[]): DrawnZone[] {
  return zones.filter(
    (other) =>
      other.id !== zone.id &&
      other.parentId === zone.parentId &&
      other.compartmentId === zone.compartmentId &&
      other.side === zone.side,
  );
}

/** Zones nested in a zone, their own nested ones too. */
export function nestedIn(id: string, zones: readonly DrawnZone[]): DrawnZone[] {
  const mine = zones.filter(({ parentId }) => parentId === id);
  return mine.flatMap((zone) => [zone, ...nestedIn(zone.id, zones)]);
}

/** How far two boxes reach into each other along an axis, mm; not above 0 when they do not. */
export const overlapAlong = (a: Box, b: Box, { start, size }: Axis): number =>
  Math.min(a[start] + a[size], b[start] + b[size]) - Math.max(a[start], b[start]);

/** The axis along which two boxes overlap least, with the mm; `null` when they do not overlap. */
export function overlapOf(a: Box, b: Box): { axis: Axis; mm: number } | null {
  const along = AXES.map((axis) => ({ axis, mm: overlapAlong(a, b, axis) }));
  if (along.some(({ mm }) => mm <= 0)) return null;
  return along.reduce((least, one) => (one.mm < least.mm ? one : least));
}

/** The zone's box in its compartment (or door), wherever it is nested, mm. */
export function placedBox(zone: DrawnZone, zones: readonly DrawnZone[]): Box {
  const { xMm, yMm, zMm, widthMm, heightMm, depthMm } = zone;
  const parent = zones.find(({ id }) => id === zone.parentId);
  if (!parent) return { xMm, yMm, zMm, widthMm, heightMm, depthMm };
  const outer = placedBox(parent, zones);
  return { xMm: outer.xMm + xMm, yMm: outer.yMm + yMm, zMm: outer.zMm + zMm, widthMm, heightMm, depthMm };
}

const MM3_PER_LITRE = 1_000_000;

export const boxLitres = ({ widthMm, heightMm, depthMm }: Box): number =>
  (widthMm * heightMm * depthMm) / MM3_PER_LITRE;

/** Litres of a zone that no zone nested in it takes, to a tenth, never below a tenth. */
export function ownLitres(zone: DrawnZone, zones: readonly DrawnZone[]): number {
  const inner = zones
    .filter(({ parentId }) => parentId === zone.id)
    .reduce((sum, one) => sum + boxLitres(one), 0);
  return Math.max(0.1, Math.round((boxLitres(zone) - inner) * 10) / 10);
}
