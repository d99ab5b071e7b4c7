import { Refusal } from '../model/refusal';
import { bodyOfShape, type PackageShape } from './bodyOfShape';
import type { ThermalFood } from './foodProperties';
import type { HeatMedium } from './heatMedia';
import { type HeatTable, heatTable } from './heatTable';
import { birdFloorHours } from './thermalFood';
import { conductivityAt, solveBody, type SolvedCurve } from './solveBody';

export interface HeatCase {
  way: 'freeze' | 'thaw';
  food: ThermalFood;
  massG: number | null;
  shape: PackageShape;
  startC: number;
  medium: HeatMedium;
  ambientC: number;
  /** A whole bird: in a refrigerator public advice sets the least hours. */
  wholeBird?: boolean;
}

export interface HeatAnswer {
  /** Hours until the slowest point is at −10 °C (freezing) or 0 °C (thawing); `null`: not within 40 days. */
  hoursTypical: number | null;
  hoursCautious: number | null;
  /** Smallest full dimension. */
  thicknessMm: number;
  curve: { h: number; coreC: number; surfaceC: number }[];
  /** Relative difference of the heat that came in and the heat found inside, the worse of both sides. */
  imbalance: number;
}

const FROZEN_AT_C = -10;
const THAWED_AT_C = 0;
/** Where the conductivity for Biot's number is read. */
const BIOT_AT_C = { freeze: -15, thaw: 5 } as const;
const CAUTION = 1.1;
const LEAST_THAWING_C = 0.5;
const MOST_POINTS = 60;
/** Of a bird's outer volume, the hollow left out. */
const BIRD_SOLID = 0.9;
const SECONDS_AN_HOUR = 3600;

interface Solved {
  hours: number | null;
  factor: number;
  curve: SolvedCurve;
  thickness: number;
}

function solveSide(kase: HeatCase, table: HeatTable, side: 0 | 1, ambient: number): Solved {
  const { way, medium, shape, massG, startC } = kase;
  const body = bodyOfShape(shape, massG, table.rho);
  const h = medium.h[side] * body.exposed;
  const hBelow = medium.metal && body.flatBelow ? medium.metal[side] : null;
  const meanH = hBelow === null ? h : (h + hBelow) / 2;
  const factor = body.factor((meanH * body.thickness) / conductivityAt(table, BIOT_AT_C[way]));
  const radius = hBelow === null ? body.thickness / 2 : body.thickness;
  const curve = solveBody(
    { exponent: body.exponent, radius, inner: radius * body.hollow, h, hBelow },
    body.rho === table.rho ? table : { ...table, rho: body.rho },
    startC,
    ambient,
    way === 'freeze' ? FROZEN_AT_C : THAWED_AT_C,
  );
  const hours = curve.seconds === null ? null : curve.seconds / factor / SECONDS_AN_HOUR;
  return { hours, factor, curve, thickness: body.thickness };
}

/** Surroundings moved to the slow side by what is not known of them. */
function doubted({ way, medium, ambientC }: HeatCase): number {
  if (way === 'freeze') return ambientC + medium.doubtK;
  return Math.max(LEAST_THAWING_C, ambientC - medium.doubtK);
}

function thinned({ points }: SolvedCurve, factor: number): HeatAnswer['curve'] {
  const last = points.length - 1;
  const count = Math.min(MOST_POINTS, points.length);
  return Array.from({ length: count }, (_, at) => points[Math.round((at * last) / Math.max(1, count - 1))])
    .filter((point) => point !== undefined)
    .map(({ s, coreC, surfaceC }) => ({ h: s / factor / SECONDS_AN_HOUR, coreC, surfaceC }));
}

/** Hours, at least those of public advice for whole birds in a refrigerator; a mass that nobody told follows from the size. */
function withFloor(answer: HeatAnswer, { way, medium, wholeBird, massG }: HeatCase, rho: number): HeatAnswer {
  if (way !== 'thaw' || !wholeBird || !medium.fridge) return answer;
  const metres = answer.thicknessMm / 1000;
  const floor = birdFloorHours(massG ?? (Math.PI / 6) * metres ** 3 * rho * BIRD_SOLID * 1000);
  const least = (hours: number | null, most: number): number | null => hours && Math.max(hours, most);
  return {
    ...answer,
    hoursTypical: least(answer.hoursTypical, floor.typical),
    hoursCautious: least(answer.hoursCautious, floor.cautious),
  };
}

/**
 * How long a package takes to freeze or thaw (THERMAL 3 and 4). Typical: middle figures. Cautious: low coefficients,
 * surroundings to the slow side, a tenth more.
 *
 * @throws Refusal `ambient` when it is too warm to freeze in or too cold to thaw in, `shape` for a shape that is not told
 */
export function heatHours(kase: HeatCase): HeatAnswer {
  if (kase.way === 'thaw' && kase.ambientC < 1) {
    throw new Refusal('ambient', 'Below 1 °C food does not thaw in any useful time.');
  }
  if (kase.way === 'freeze' && kase.ambientC > -12) {
    throw new Refusal('ambient', 'Warmer than −12 °C is no place to freeze in.');
  }
  const table = heatTable(kase.food);
  const typical = solveSide(kase, table, 1, kase.ambientC);
  const cautious = solveSide(kase, table, 0, doubted(kase));
  const answer = {
    hoursTypical: typical.hours,
    hoursCautious: cautious.hours === null ? null : cautious.hours * CAUTION,
    thicknessMm: typical.thickness * 1000,
    curve: thinned(typical.curve, typical.factor),
    imbalance: Math.max(typical.curve.imbalance, cautious.curve.imbalance),
  };
  return withFloor(answer, kase, table.rho);
}
