import { conductivity, density, enthalpy, type ThermalFood } from './foodProperties';

/** A food by enthalpy: arrays rise together. H in J/kg, T in °C, k in W/(m·K), theta = ∫k dT in W/m. */
export interface HeatTable {
  T: Float64Array;
  H: Float64Array;
  k: Float64Array;
  theta: Float64Array;
  /** Density the solver uses: the unfrozen food at 0.01 °C, kg/m³. */
  rho: number;
}

const FROZEN_POINTS = 600;
const THAWED_POINTS = 200;
const COLDEST_C = -70;
const WARMEST_C = 60;
const DENSITY_AT_C = 0.01;

/** Temperatures of the table: close together at the freezing point, where most of the heat goes. */
function temperatures(freezingPointC: number): number[] {
  const least = 1e-4 * Math.abs(freezingPointC);
  const most = freezingPointC - COLDEST_C;
  const frozen = Array.from(
    { length: FROZEN_POINTS },
    (_, step) => freezingPointC - most * (least / most) ** (step / (FROZEN_POINTS - 1)),
  );
  const thawed = Array.from(
    { length: THAWED_POINTS },
    (_, step) => freezingPointC + ((WARMEST_C - freezingPointC) * step) / (THAWED_POINTS - 1),
  );
  return [...frozen, ...thawed];
}

/** Builds a table from what a food is at any temperature. */
export function tabulate(
  steps: readonly number[],
  of: { enthalpyJ(celsius: number): number; conductivity(celsius: number): number; rho: number },
): HeatTable {
  const T = Float64Array.from(steps);
  const H = Float64Array.from(steps, (celsius) => of.enthalpyJ(celsius));
  const k = Float64Array.from(steps, (celsius) => of.conductivity(celsius));
  const theta = new Float64Array(steps.length);
  for (let i = 1; i < steps.length; i++) {
    theta[i] = (theta[i - 1] ?? 0) + (((k[i] ?? 0) + (k[i - 1] ?? 0)) / 2) * ((T[i] ?? 0) - (T[i - 1] ?? 0));
  }
  return { T, H, k, theta, rho: of.rho };
}

const kept = new Map<string, HeatTable>();
const MOST_KEPT = 200;

/** The table of a food; kept by composition, since the same foods come again and again. */
export function heatTable(food: ThermalFood): HeatTable {
  const key = JSON.stringify([Object.values(food.composition), food.freezingPointC, food.porosity]);
  const known = kept.get(key);
  if (known) return known;
  const table = tabulate(temperatures(food.freezingPointC), {
    enthalpyJ: (celsius) => enthalpy(food, celsius) * 1000,
    conductivity: (celsius) => conductivity(food, celsius),
    rho: density(food, DENSITY_AT_C),
  });
  if (kept.size >= MOST_KEPT) kept.clear();
  kept.set(key, table);
  return table;
}

/** The segment of the table that holds an enthalpy: beginning at its lower end. */
export function segmentOf({ H }: HeatTable, enthalpyJ: number): number {
  let low = 0;
  let high = H.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((H[middle] ?? 0) <= enthalpyJ) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A column of the table at an enthalpy, along a straight line. */
export function columnAt(table: HeatTable, column: 'T' | 'k' | 'theta', enthalpyJ: number): number {
  const i = segmentOf(table, enthalpyJ);
  const from = table.H[i] ?? 0;
  const share = (enthalpyJ - from) / ((table.H[i + 1] ?? 1) - from);
  const low = table[column][i] ?? 0;
  return low + share * ((table[column][i + 1] ?? 0) - low);
}

/** Enthalpy in J/kg at a temperature, by the table. */
export function enthalpyAt({ T, H }: HeatTable, celsius: number): number {
  let low = 0;
  let high = T.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((T[middle] ?? 0) <= celsius) low = middle;
    else high = middle - 1;
  }
  const from = T[low] ?? 0;
  const share = (celsius - from) / ((T[low + 1] ?? 1) - from);
  const base = H[low] ?? 0;
  return base + share * ((H[low + 1] ?? 0) - base);
}
