import { type ApplianceDrawing, type DrawnZone, LEAST_MM, snap } from '../model/drawing';
import { Refusal } from '../model/refusal';

/** Insulated walls of a household appliance, mm a side: foam of usual thickness with its two skins. */
const WALL_MM = 45;
/** Litres of food room that a kitchen appliance may have. */
const LEAST_LITRES = 20;
const MOST_LITRES = 900;

/** What a cook knows of an appliance without measuring inside: the litres on its plate, or its outside. */
export type ToldSize = { litres: number } | { outsideMm: [wide: number, high: number, deep: number] };

/** The litres of its compartments together. */
export const litresOf = ({ compartments }: Pick<ApplianceDrawing, 'compartments'>): number =>
  compartments.reduce((sum, { widthMm, heightMm, depthMm }) => sum + (widthMm * heightMm * depthMm) / 1e6, 0);

type Factors = [wide: number, high: number, deep: number];

/** By how much each direction grows. @throws Refusal D2 for a size no kitchen appliance has */
function factorsFor(drawing: ApplianceDrawing, size: ToldSize): Factors {
  const { compartments } = drawing;
  if ('litres' in size) {
    if (!(size.litres >= LEAST_LITRES && size.litres <= MOST_LITRES))
      throw new Refusal(
        'D2',
        `Litres from ${LEAST_LITRES} to ${MOST_LITRES}: they stand on the plate inside the door.`,
      );
    const factor = Math.cbrt(size.litres / litresOf(drawing));
    return [factor, factor, factor];
  }
  const wide = Math.max(...compartments.map(({ xMm, widthMm }) => xMm + widthMm));
  const high = Math.max(...compartments.map(({ yMm, heightMm }) => yMm + heightMm));
  const deep = Math.max(...compartments.map(({ depthMm, doorMm }) => depthMm + doorMm));
  const factors = [wide, high, deep].map((inside, at) => ((size.outsideMm[at] ?? 0) - 2 * WALL_MM) / inside);
  if (factors.some((factor) => !(factor > 0.3 && factor < 3)))
    throw new Refusal(
      'D2',
      'Those measures fit no such appliance: outside, wide × high × deep, in centimetres.',
    );
  return factors as Factors;
}

/** A stretch scaled by both its ends, so that what touched still touches. */
function stretched(start: number, size: number, factor: number): [start: number, size: number] {
  const from = snap(start * factor);
  return [from, Math.max(LEAST_MM, snap((start + size) * factor) - from)];
}

/**
 * The same appliance at the size it really has: all of its zones grow or shrink with it. Shelves are spread as usual for the
 * shape; measuring each of them can follow.
 *
 * @param size litres of the appliance, or its outside in mm
 * @throws Refusal D2 for a size that cannot be
 */
export function sizeAppliance(drawing: ApplianceDrawing, size: ToldSize): ApplianceDrawing {
  const factors = factorsFor(drawing, size);
  if (!('litres' in size)) return scaled(drawing, factors);
  // The grid takes a little or gives a little: of heights about the right one the nearest in litres.
  const tries = TRIED.map((more) => scaled(drawing, [factors[0], factors[1] * more, factors[2]]));
  const off = (one: ApplianceDrawing): number => Math.abs(litresOf(one) - size.litres);
  return tries.reduce((best, one) => (off(one) < off(best) ? one : best));
}

const TRIED = [1, 0.97, 1.03, 0.94, 1.06, 0.9, 1.1, 0.87, 1.14];

function scaled(drawing: ApplianceDrawing, [wide, high, deep]: Factors): ApplianceDrawing {
  const grown = (zone: DrawnZone): DrawnZone => {
    const [xMm, widthMm] = stretched(zone.xMm, zone.widthMm, wide);
    const [yMm, heightMm] = stretched(zone.yMm, zone.heightMm, high);
    const [zMm, depthMm] = stretched(zone.zMm, zone.depthMm, deep);
    return { ...zone, xMm, widthMm, yMm, heightMm, zMm, depthMm };
  };
  return {
    ...drawing,
    compartments: drawing.compartments.map((inside) => {
      const doorMm = inside.doorMm === 0 ? 0 : Math.max(LEAST_MM, snap(inside.doorMm * deep));
      return {
        ...inside,
        xMm: snap(inside.xMm * wide),
        yMm: snap(inside.yMm * high),
        widthMm: snap(inside.widthMm * wide),
        heightMm: snap(inside.heightMm * high),
        depthMm: snap(inside.depthMm * deep),
        doorMm,
      };
    }),
    zones: drawing.zones.map(grown),
  };
}

/**
 * A chest with so many baskets hanging side by side under its lid, as wide as they go; its layers stay.
 *
 * @param count 0 to 6
 */
export function withBaskets(drawing: ApplianceDrawing, count: number, newId: () => string): ApplianceDrawing {
  const [first] = drawing.zones.filter(({ kind }) => kind === 'basket');
  const inside = drawing.compartments.find(({ id }) => id === first?.compartmentId);
  if (!first || !inside) return drawing;
  const edge = (at: number): number => snap((inside.widthMm * at) / count);
  const baskets = Array.from({ length: count }, (_, at): DrawnZone => ({
    ...first,
    id: at === 0 ? first.id : newId(),
    name: count === 1 ? first.name : `Basket ${at + 1}`,
    purpose: at === 0 ? first.purpose : '',
    xMm: edge(at),
    widthMm: count === 1 ? first.widthMm : edge(at + 1) - edge(at),
  }));
  return { ...drawing, zones: [...baskets, ...drawing.zones.filter(({ kind }) => kind !== 'basket')] };
}
