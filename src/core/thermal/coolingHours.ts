import { bodyOfShape, type PackageShape } from './bodyOfShape';
import type { ThermalFood } from './foodProperties';
import { THAW_MEDIA } from './heatMedia';
import { heatTable } from './heatTable';
import { conductivityAt, solveBody } from './solveBody';

/** How long cooked food takes to cool in the refrigerator, its middle, on the slow side. */
export interface CoolingAnswer {
  /** Hours from 60 to 21 °C; public advice: within 2. `null`: not within 40 days. */
  to21H: number | null;
  /** Hours from 60 to 5 °C; public advice: within 6 in all. */
  to5H: number | null;
  /** Smallest full dimension. */
  depthMm: number;
  /** Both are kept. */
  inTime: boolean;
}

const HOT_C = 60;
const STAGES = [21, 5] as const;
/** Public two-stage advice for cooling cooked food. */
export const COOLING_H = { to21: 2, to5: 6 } as const;
/** A refrigerator that cools something warm is no colder than this. */
const FRIDGE_C = 3;
const BIOT_AT_C = 20;
const CAUTION = 1.1;
const SECONDS_AN_HOUR = 3600;

/**
 * Cools a vessel of cooked food from 60 °C in the refrigerator by conduction alone (THERMAL 3, low coefficient, a tenth more): what is
 * stirred or thin flows and cools sooner, so this errs to the slow side.
 *
 * @param shape of the vessel's content, @param massG grams
 */
export function coolingHours(food: ThermalFood, shape: PackageShape, massG: number | null): CoolingAnswer {
  const table = heatTable(food);
  const body = bodyOfShape(shape, massG, table.rho);
  const [low] = THAW_MEDIA.fridge.h;
  const factor = body.factor((low * body.thickness) / conductivityAt(table, BIOT_AT_C));
  const solved = {
    exponent: body.exponent,
    radius: body.thickness / 2,
    inner: 0,
    h: low * body.exposed,
    hBelow: null,
  };
  const [to21H = null, to5H = null] = STAGES.map((target) => {
    const { seconds } = solveBody(solved, table, HOT_C, FRIDGE_C, target);
    return seconds === null ? null : (seconds / factor / SECONDS_AN_HOUR) * CAUTION;
  });
  return {
    to21H,
    to5H,
    depthMm: body.thickness * 1000,
    inTime: to21H !== null && to5H !== null && to21H <= COOLING_H.to21 && to5H <= COOLING_H.to5,
  };
}

/** A pot as wide as it is filled and a little more, of so many grams of a food of density 1. */
export function potOf(massG: number): PackageShape {
  const heightMm = ((4 * massG * 1000) / (Math.PI * 1.2 ** 2)) ** (1 / 3);
  return { kind: 'tub', heightMm, diameterMm: 1.2 * heightMm };
}

/** A flat box filled to a depth, of so many grams. */
export function flatBoxOf(massG: number, depthMm: number): PackageShape {
  const sideMm = Math.sqrt((massG * 1000) / depthMm);
  return { kind: 'block', lengthMm: sideMm, widthMm: sideMm, heightMm: depthMm };
}
