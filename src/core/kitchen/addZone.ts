import { Refusal } from '../model/refusal';
import { nestedIn, overlapOf, roomIn, roomOf } from './boxes';
import { zoneIn } from './changeZone';
import { faultOf } from './checkDrawing';
import {
  type ApplianceDrawing,
  type Box,
  type Compartment,
  type DrawnZone,
  LEAST_MM,
  NO_RULES,
  type Side,
  type ZoneKind,
} from '../model/drawing';

/** How a new zone of a kind is called, and how high, wide and deep it wants to be; `null`: as the room is. */
const NEW_ZONES: Record<
  ZoneKind,
  { name: string; widthMm: number | null; heightMm: number; depthMm: number | null }
> = {
  shelf: { name: 'Shelf', widthMm: null, heightMm: 180, depthMm: null },
  drawer: { name: 'Drawer', widthMm: null, heightMm: 150, depthMm: null },
  door: { name: 'Door rack', widthMm: null, heightMm: 160, depthMm: null },
  bin: { name: 'Bin', widthMm: 150, heightMm: 120, depthMm: 250 },
  basket: { name: 'Basket', widthMm: 240, heightMm: 200, depthMm: 400 },
  tray: { name: 'Tray', widthMm: 250, heightMm: 50, depthMm: 200 },
  layer: { name: 'Layer', widthMm: null, heightMm: 200, depthMm: null },
};

/** A name that no zone of the drawing has: “Shelf”, “Shelf 2”. */
export function freeName(drawing: ApplianceDrawing, name: string): string {
  const taken = new Set(drawing.zones.map((zone) => zone.name.toLowerCase()));
  for (let count = 1; ; count++) {
    const tried = count === 1 ? name : `${name} ${count}`;
    if (!taken.has(tried.toLowerCase())) return tried;
  }
}

const clear = (box: Box, others: readonly Box[]): boolean =>
  others.every((other) => overlapOf(box, other) === null);

/** Grows a box from a free corner until something is in its way, no larger than wanted. */
function grown(
  corner: Pick<Box, 'xMm' | 'yMm' | 'zMm'>,
  wanted: Pick<Box, 'widthMm' | 'heightMm' | 'depthMm'>,
  room: Box,
  others: readonly Box[],
): Box | null {
  let box: Box = { ...corner, widthMm: LEAST_MM, heightMm: LEAST_MM, depthMm: LEAST_MM };
  if (!clear(box, others)) return null;
  for (const [start, size] of [
    ['xMm', 'widthMm'],
    ['zMm', 'depthMm'],
    ['yMm', 'heightMm'],
  ] as const) {
    const room_ = room[size] - corner[start];
    const stops = others
      .filter((other) => other[start] >= corner[start] && !clear({ ...box, [size]: room_ }, [other]))
      .map((other) => other[start] - corner[start]);
    box = { ...box, [size]: Math.min(wanted[size], room_, ...stops) };
  }
  return Math.min(box.widthMm, box.heightMm, box.depthMm) >= LEAST_MM && clear(box, others) ? box : null;
}

/** True when one looks in and sees another zone where the box is: behind it, or in a chest below it. */
function isHidden(box: Box, others: readonly Box[], lookedIn: 'front' | 'lid' | null): boolean {
  if (lookedIn === null) return false;
  const flat = ({ yMm, heightMm, zMm, depthMm, ...rest }: Box): Box =>
    lookedIn === 'front'
      ? { ...rest, yMm, heightMm, zMm: 0, depthMm: 1 }
      : { ...rest, yMm: 0, heightMm: 1, zMm, depthMm };
  const nearer = (other: Box): boolean => (lookedIn === 'front' ? other.zMm < box.zMm : other.yMm < box.yMm);
  return others.some((other) => nearer(other) && overlapOf(flat(box), flat(other)) !== null);
}

/** The share of its usual size that makes a zone worth having. */
const LEAST_USEFUL = 0.3;

/**
 * Where a zone of this kind may stand: never hidden behind another. In a chest, where all stands below something, only when nothing
 * is free on top.
 */
function placeFor(
  { shape }: ApplianceDrawing,
  kind: ZoneKind,
  room: Box,
  others: readonly Box[],
  wanted: Pick<Box, 'widthMm' | 'heightMm' | 'depthMm'>,
): Box | null {
  if (room.depthMm < LEAST_MM) return null;
  if (shape !== 'chest') return freePlace(room, others, wanted, 'front');
  const onTop = kind === 'layer' ? null : freePlace(room, others, wanted, 'lid');
  const volume = (box: Pick<Box, 'widthMm' | 'heightMm' | 'depthMm'>): number =>
    box.widthMm * box.heightMm * box.depthMm;
  // A sliver beside the others is no basket: then it hangs below.
  const isUseful = onTop !== null && volume(onTop) >= volume(wanted) * LEAST_USEFUL;
  return isUseful ? onTop : freePlace(room, others, wanted, null);
}

/** The first free place for a box, from the top, then the left, then the front; made smaller where it must be. */
function freePlace(
  room: Box,
  others: readonly Box[],
  wanted: Pick<Box, 'widthMm' | 'heightMm' | 'depthMm'>,
  lookedIn: 'front' | 'lid' | null,
): Box | null {
  const starts = (start: 'xMm' | 'yMm' | 'zMm', size: 'widthMm' | 'heightMm' | 'depthMm'): number[] =>
    [...new Set([0, ...others.map((other) => other[start] + other[size])])]
      .filter((mm) => mm + LEAST_MM <= room[size])
      .sort((a, b) => a - b);
  let best: Box | null = null;
  let bestShare = 0;
  for (const yMm of starts('yMm', 'heightMm')) {
    for (const xMm of starts('xMm', 'widthMm')) {
      for (const zMm of starts('zMm', 'depthMm')) {
        const box = grown({ xMm, yMm, zMm }, wanted, room, others);
        if (!box || isHidden(box, others, lookedIn)) continue;
        const share =
          (box.widthMm / wanted.widthMm) * (box.heightMm / wanted.heightMm) * (box.depthMm / wanted.depthMm);
        if (share > bestShare + 1e-9) [best, bestShare] = [box, share];
      }
    }
  }
  return best;
}

/** Where a new zone shall go: into a zone, or into a compartment or its door. */
export type Into = { zone: string } | { compartment: string; side: Side };

function placeIn(
  drawing: ApplianceDrawing,
  into: Into,
): { parent: DrawnZone | null; inside: Compartment; side: Side } {
  const parent = 'zone' in into ? zoneIn(drawing, into.zone) : null;
  const id = parent ? parent.compartmentId : 'zone' in into ? '' : into.compartment;
  const inside = drawing.compartments.find((one) => one.id === id);
  if (!inside) throw new Error(`no compartment ${id}`);
  return { parent, inside, side: parent ? parent.side : 'zone' in into ? 'body' : into.side };
}

/**
 * Adds a zone of a kind where there is room for it, at its usual size or as large as still goes in. A rack goes to the door.
 *
 * @throws Refusal D3 when there is no room left
 */
export function addZone(drawing: ApplianceDrawing, kind: ZoneKind, into: Into, id: string): ApplianceDrawing {
  const { parent, inside, side: told } = placeIn(drawing, into);
  const side = kind === 'door' && !parent ? 'door' : told;
  const base = { parentId: parent?.id ?? null, compartmentId: inside.id, side };
  const room = roomOf(base, drawing) ?? roomIn(inside, side);
  const { name, widthMm, heightMm, depthMm } = NEW_ZONES[kind];
  const others = drawing.zones.filter(
    (zone) => zone.parentId === base.parentId && zone.compartmentId === inside.id && zone.side === side,
  );
  const wanted = {
    widthMm: Math.min(widthMm ?? room.widthMm, room.widthMm),
    heightMm: Math.min(heightMm, room.heightMm),
    depthMm: Math.min(depthMm ?? room.depthMm, room.depthMm),
  };
  const place = placeFor(drawing, kind, room, others, wanted);
  const where = parent ? parent.name : side === 'door' ? 'the door' : inside.name || drawing.name;
  if (!place)
    throw new Refusal(
      'D3',
      `There is no room left in ${where} for a ${name.toLowerCase()}. Make a zone smaller, or split one.`,
    );
  const zone: DrawnZone = {
    ...NO_RULES,
    ...base,
    ...place,
    id,
    name: freeName(drawing, name),
    purpose: '',
    kind,
    humidity: null,
    leakproof: kind === 'bin' || kind === 'tray',
  };
  return { ...drawing, zones: [...drawing.zones, zone] };
}

/**
 * Puts a zone somewhere else: `<compartment> body`, `<compartment> door` or `<zone> zone`; to the first place that is free there,
 * smaller where it must be. What is nested in it goes with it.
 *
 * @throws Refusal D3 when there is no room, D5 when it would lie in itself
 */
export function freePlaceFor(drawing: ApplianceDrawing, id: string, place: string): ApplianceDrawing {
  const zone = zoneIn(drawing, id);
  const [target = '', what] = place.split(' ');
  const into: Into =
    what === 'zone' ? { zone: target } : { compartment: target, side: what === 'door' ? 'door' : 'body' };
  const { parent, inside, side } = placeIn(drawing, into);
  const inner = nestedIn(id, drawing.zones).map((one) => one.id);
  if (parent && (parent.id === id || inner.includes(parent.id))) {
    throw new Refusal('D5', `${zone.name} cannot lie in itself, nor in what lies in it.`);
  }
  const base = { parentId: parent?.id ?? null, compartmentId: inside.id, side };
  const room = roomOf(base, drawing) ?? roomIn(inside, side);
  const others = drawing.zones.filter(
    (one) =>
      one.id !== id && one.parentId === base.parentId && one.compartmentId === inside.id && one.side === side,
  );
  const wanted = {
    widthMm: Math.min(zone.widthMm, room.widthMm),
    heightMm: Math.min(zone.heightMm, room.heightMm),
    depthMm: Math.min(zone.depthMm, room.depthMm),
  };
  const found = placeFor(drawing, zone.kind, room, others, wanted);
  if (!found) throw new Refusal('D3', `There is no room left there for ${zone.name}.`);
  const moved = drawing.zones.map((one) =>
    one.id === id
      ? { ...one, ...base, ...found }
      : inner.includes(one.id)
        ? { ...one, compartmentId: inside.id, side }
        : one,
  );
  const after = { ...drawing, zones: moved };
  for (const one of [id, ...inner]) {
    const fault = faultOf(zoneIn(after, one), after);
    if (fault) throw new Refusal(fault.rule, fault.says);
  }
  return after;
}
