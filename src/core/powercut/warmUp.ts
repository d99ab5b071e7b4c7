import { SAFE_CHILL_C } from '../model/limits';
import { columnAt, enthalpyAt, heatTable } from '../thermal/heatTable';
import type { ThermalFood } from '../thermal/foodProperties';
import { MIXED } from '../thermal/warmedTo';
import { COOLING_KINDS, type CutRequest } from './cutForecast';

/** How one sample of a cut went. */
export interface WarmUp {
  /** Hours until the outer food is above 4.4 °C; Infinity: not within the hours asked for. */
  to4c: number;
  /** The air at each reading, °C. */
  airAt: number[];
  /** Heat that came in through walls and doors against heat found inside, relative. */
  imbalance: number;
}

const WATER: ThermalFood = {
  composition: { water: 1, protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0 },
  freezingPointC: -0.05,
  porosity: 0,
};
// Kept at hand: looking up globals is slow in some surroundings, and the loop below runs millions of times.
const { floor, max, min } = Math;
const NEVER = Infinity;
const ICE_ARRIVES_C = -18;
const POINTS = 4096;
const HOUR_S = 3600;
const KJ = 1000;

/** Temperature by enthalpy on an even grid, so that no search is needed in the loop. */
class EvenTable {
  private readonly low: number;
  private readonly step: number;
  private readonly T = new Float64Array(POINTS);
  private readonly table;

  constructor(food: ThermalFood) {
    this.table = heatTable(food);
    const { H } = this.table;
    this.low = H[0] ?? 0;
    this.step = ((H[H.length - 1] ?? 1) - this.low) / (POINTS - 1);
    for (let at = 0; at < POINTS; at++) {
      const enthalpy = Math.min(H[H.length - 1] ?? 1, this.low + at * this.step);
      this.T[at] = columnAt(this.table, 'T', enthalpy);
    }
  }

  celsius(enthalpy: number): number {
    const place = (enthalpy - this.low) / this.step;
    const at = place <= 0 ? 0 : place >= POINTS - 1 ? POINTS - 2 : floor(place);
    const from = this.T[at] as number;
    return from + (place - at) * ((this.T[at + 1] as number) - from);
  }

  enthalpy(celsius: number): number {
    return enthalpyAt(this.table, celsius);
  }
}

let tables: { food: EvenTable; water: EvenTable } | null = null;
const evenTables = () => (tables ??= { food: new EvenTable(MIXED), water: new EvenTable(WATER) });

/** Ice and water that a compartment can hold at all. */
const MOST_KG_PER_L = 1;

const clamp = (value: number, low: number, high: number): number => min(high, max(low, value));

/**
 * One sample of an appliance that warms without power (THERMAL 6): air with the liner, outer and inner food, packs; air
 * implicit, enthalpies explicit.
 *
 * @param z its chances, standard normals in the order of THERMAL 7
 * @param hourly is told the outer food's temperature at every whole hour
 */
export function warmUp(
  request: CutRequest,
  z: ArrayLike<number>,
  hourly: (hour: number, celsius: number) => void,
): WarmUp {
  const { food, water } = evenTables();
  const fridge = request.kind === 'fridge';
  const kind = COOLING_KINDS[request.kind];
  const chance = (at: number): number => z[at] ?? 0;
  const [u5 = 1, uMid = 1, u95 = 1] = kind.u;
  const volume = request.litres / 1000;
  const s = volume ** (2 / 3);
  const full = kind.packKgPerL * request.litres;
  const u = uMid * Math.exp((Math.log(u95 / u5) / 3.29) * chance(0));
  const mass = Math.max(request.fill, 0.05) * full * Math.exp(0.2 * chance(1));
  const room = request.ambientC + 2 * chance(2);
  const spread = request.startC === null ? (fridge ? 0.8 : 2) : fridge ? 0.5 : 1;
  const begun = request.startC ?? kind.startC;
  const start = clamp(
    begun + spread * chance(3),
    fridge ? -0.5 : -35,
    fridge ? Math.max(12, begun) : Math.max(-3, begun),
  );
  const outerMid = fridge ? 0.4 : clamp(0.14 * (200 / request.litres) ** (1 / 3), 0.08, 0.35);
  const outer = clamp(outerMid * Math.exp((fridge ? 0.2 : 0.25) * chance(4)), 0.05, 0.7);
  const hIn = 6.5 * Math.exp(0.25 * chance(5));
  const doorFactor = Math.exp(0.4 * chance(6));
  const g = s * (0.4 + 0.6 * Math.min(1, mass / full));
  // What does not fit cannot cool: a litre holds a kilo at most. Less of it warms sooner, so this only shortens.
  const fits = Math.min(
    1,
    (MOST_KG_PER_L * request.litres) / Math.max(1e-9, request.iceKg + request.waterKg),
  );
  const [ice, still] = [request.iceKg * fits, request.waterKg * fits];
  const packs = fridge ? ice : ice + still;
  const bottles = fridge ? 1 + (1.2 * still) / mass : 1;
  const Mo = outer * mass * bottles;
  const Mi = (1 - outer) * mass * bottles;
  const Gao = (fridge ? 4 : 4.5) * hIn * g;
  const Gai = fridge ? 0.5 * Gao : 0;
  const Gap = 0.7 * 6 * 0.055 * packs;
  const Gop = 0.3 * 12 * 0.055 * packs;
  const frozenGoi = fridge ? 3 * s : 2.5 * g * 5;
  const UA = u * s * (request.walls ?? 1);
  const Ca = 55_000 * s;
  const most =
    0.4 *
    1800 *
    Math.min(
      Mo / (Gao + frozenGoi + Gop),
      Mi / (Gai + frozenGoi),
      packs > 0 ? packs / (Gap + Gop) : Infinity,
    );
  const base = fridge ? 60 : 300;
  const dt = base / Math.max(1, Math.ceil(base / most));

  let Ta = start;
  let Ho = food.enthalpy(start);
  let Hi = Ho;
  let Hp = water.enthalpy(fridge ? ICE_ARRIVES_C : start);
  let To = start;
  let Ti = start;
  let Tp = fridge ? ICE_ARRIVES_C : start;
  const stored = (): number => Ca * Ta + Mo * Ho + Mi * Hi + packs * Hp;
  const before = stored();
  let heat = 0;
  let to4c = start > SAFE_CHILL_C ? 0 : NEVER;
  const airAt: number[] = [];
  let nextReading = 0;
  let nextOpening = 0;
  const last = request.readings.at(-1)?.atH ?? 0;
  const steps = Math.ceil((Math.max(request.hours, last) * HOUR_S) / dt - 1e-9);
  const anHour = Math.round(HOUR_S / dt);
  hourly(0, To);
  while (nextReading < request.readings.length && (request.readings[nextReading]?.atH ?? 0) <= 0) {
    airAt.push(Ta);
    nextReading += 1;
  }
  const inertia = Ca / dt;
  for (let step = 1; step <= steps; step++) {
    const end = (step * dt) / HOUR_S;
    let doorJ = 0;
    while (nextOpening < request.openings.length) {
      const opening = request.openings[nextOpening];
      if (!opening || opening.atH >= end) break;
      const warm = clamp((room - Ta) / kind.refK, 0, 1.5);
      doorJ += volume * kind.doorKJPerM3 * KJ * (0.6 + (0.4 * opening.seconds) / 20) * warm * doorFactor;
      nextOpening += 1;
    }
    const sum = inertia + UA + Gao + Gai + Gap;
    const shut = (inertia * Ta + UA * room + Gao * To + Gai * Ti + Gap * Tp) / sum;
    const opened = doorJ === 0 ? shut : min(max(room, shut), shut + doorJ / dt / sum);
    const air = opened;
    heat += dt * (UA * (room - air) + (opened - shut) * sum);
    const goi = fridge ? frozenGoi : 2.5 * g * (1 + 4 * clamp((-1 - To) / 2, 0, 1));
    const toInner = goi * (To - Ti);
    const toPacks = Gop * (To - Tp);
    const was = To;
    Ho += (dt * (Gao * (air - To) - toInner - toPacks)) / Mo;
    Hi += (dt * (Gai * (air - Ti) + toInner)) / Mi;
    if (packs > 0) Hp += (dt * (Gap * (air - Tp) + toPacks)) / packs;
    const oldAir = Ta;
    Ta = air;
    To = food.celsius(Ho);
    Ti = food.celsius(Hi);
    if (packs > 0) Tp = water.celsius(Hp);
    if (to4c === NEVER && To > SAFE_CHILL_C) {
      to4c = end - (dt / HOUR_S) * (1 - (SAFE_CHILL_C - was) / (To - was));
    }
    while (nextReading < request.readings.length) {
      const at = request.readings[nextReading]?.atH ?? NEVER;
      if (at > end + 1e-12) break;
      airAt.push(oldAir + (Ta - oldAir) * (1 - ((end - at) * HOUR_S) / dt));
      nextReading += 1;
    }
    if (step % anHour === 0) hourly(step / anHour, To);
  }
  const imbalance = heat === 0 ? 0 : Math.abs(stored() - before - heat) / Math.abs(heat);
  return { to4c: to4c <= request.hours ? to4c : NEVER, airAt, imbalance };
}
