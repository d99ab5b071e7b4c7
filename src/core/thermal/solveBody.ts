import { columnAt, enthalpyAt, type HeatTable, segmentOf } from './heatTable';

/** The one-dimensional body that is solved. Lengths in m, coefficients in W/(m²·K), temperatures in °C. */
export interface SolvedBody {
  /** 0 slab, 1 cylinder, 2 sphere. */
  exponent: 0 | 1 | 2;
  /** Half thickness or radius; the full thickness when `hBelow` differs. */
  radius: number;
  /** Inner radius of a hollow sphere, insulated; 0: full. */
  inner: number;
  h: number;
  /** Coefficient of the other face of a full-thickness slab; `null`: the middle is a plane of symmetry. */
  hBelow: number | null;
}

export interface SolvedCurve {
  /** Seconds until the slowest point reaches the target; `null` when it does not within 40 days. */
  seconds: number | null;
  points: { s: number; coreC: number; surfaceC: number }[];
  /** Heat moved through the faces against heat found in the cells, relative. */
  imbalance: number;
}

const CELLS = 20;
const CELLS_OF_TWO_FACES = 40;
const MOST_SECONDS = 40 * 86_400;
/** The largest change of a cell in a step: J/kg, and of all the heat between start and surroundings. */
const MOST_CHANGE = 8000;
const MOST_SHARE = 0.012;
const RESIDUAL = 0.5;
const MOST_ROUNDS = 25;
const MOST_STEPS = 200_000;

/** Cells with their volumes, the areas between them, and the conductance work arrays of one solve. */
class Cells {
  readonly n: number;
  readonly dr: number;
  readonly volume: Float64Array;
  /** Area of the face before each cell, and after the last. */
  readonly area: Float64Array;
  H: Float64Array;
  readonly theta: Float64Array;
  readonly slope: Float64Array;
  readonly T: Float64Array;
  readonly warmth: Float64Array;
  readonly k: Float64Array;

  constructor(
    readonly body: SolvedBody,
    readonly table: HeatTable,
    start: number,
  ) {
    this.n = body.hBelow === null ? CELLS : CELLS_OF_TWO_FACES;
    const { exponent, radius, inner } = body;
    this.dr = (radius - inner) / this.n;
    this.area = Float64Array.from({ length: this.n + 1 }, (_, i) => (inner + i * this.dr) ** exponent);
    this.volume = Float64Array.from({ length: this.n }, (_, i) => {
      const a = inner + i * this.dr;
      const b = a + this.dr;
      return (b ** (exponent + 1) - a ** (exponent + 1)) / (exponent + 1);
    });
    this.H = new Float64Array(this.n).fill(enthalpyAt(table, start));
    this.theta = new Float64Array(this.n);
    this.slope = new Float64Array(this.n);
    this.T = new Float64Array(this.n);
    this.warmth = new Float64Array(this.n);
    this.k = new Float64Array(this.n);
  }

  /** Reads the table at the enthalpies given: temperature, Kirchhoff's theta, and how both change with H. */
  read(H: Float64Array): void {
    const { table } = this;
    for (let i = 0; i < this.n; i++) {
      const at = segmentOf(table, H[i] as number);
      const span = (table.H[at + 1] as number) - (table.H[at] as number);
      const share = ((H[i] as number) - (table.H[at] as number)) / span;
      const dT = (table.T[at + 1] as number) - (table.T[at] as number);
      const dTheta = (table.theta[at + 1] as number) - (table.theta[at] as number);
      this.T[i] = (table.T[at] as number) + share * dT;
      this.theta[i] = (table.theta[at] as number) + share * dTheta;
      this.warmth[i] = dT / span;
      this.slope[i] = dTheta / span;
      this.k[i] = (table.k[at] as number) + share * ((table.k[at + 1] as number) - (table.k[at] as number));
    }
  }

  /** Conductance from the air to the middle of a cell at a face. */
  facing(h: number, cell: number): number {
    return 1 / (1 / h + this.dr / (2 * (this.k[cell] as number)));
  }
}

/** Solves a tridiagonal system in place; `right` becomes the answer. */
function tridiagonal(
  below: Float64Array,
  middle: Float64Array,
  above: Float64Array,
  right: Float64Array,
): void {
  const n = right.length;
  for (let i = 1; i < n; i++) {
    const factor = (below[i] as number) / (middle[i - 1] as number);
    middle[i] = (middle[i] as number) - factor * (above[i - 1] as number);
    right[i] = (right[i] as number) - factor * (right[i - 1] as number);
  }
  right[n - 1] = (right[n - 1] as number) / (middle[n - 1] as number);
  for (let i = n - 2; i >= 0; i--) {
    right[i] =
      ((right[i] as number) - (above[i] as number) * (right[i + 1] as number)) / (middle[i] as number);
  }
}

/** One implicit step by Newton on H. @returns the new enthalpies and the heat that came in, or `null` */
function step(cells: Cells, ambient: number, dt: number): { H: Float64Array; heat: number } | null {
  const { n, dr, area, volume, body, table } = cells;
  const { rho } = table;
  const H = Float64Array.from(cells.H);
  const below = new Float64Array(n);
  const middle = new Float64Array(n);
  const above = new Float64Array(n);
  const right = new Float64Array(n);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    cells.read(H);
    const last = n - 1;
    const outer = (area[n] as number) * cells.facing(body.h, last);
    const lower = body.hBelow === null ? 0 : (area[0] as number) * cells.facing(body.hBelow, 0);
    let worst = 0;
    for (let i = 0; i < n; i++) {
      const mass = (rho * (volume[i] as number)) / dt;
      const before = i === 0 ? 0 : (area[i] as number) / dr;
      const after = i === last ? 0 : (area[i + 1] as number) / dr;
      let inflow = 0;
      if (i > 0) inflow += before * ((cells.theta[i - 1] as number) - (cells.theta[i] as number));
      if (i < last) inflow += after * ((cells.theta[i + 1] as number) - (cells.theta[i] as number));
      let self = (before + after) * (cells.slope[i] as number);
      if (i === last) {
        inflow += outer * (ambient - (cells.T[i] as number));
        self += outer * (cells.warmth[i] as number);
      }
      if (i === 0 && lower > 0) {
        inflow += lower * (ambient - (cells.T[i] as number));
        self += lower * (cells.warmth[i] as number);
      }
      const residual = inflow - mass * ((H[i] as number) - (cells.H[i] as number));
      worst = Math.max(worst, Math.abs(residual / mass));
      right[i] = residual;
      middle[i] = mass + self;
      below[i] = i === 0 ? 0 : -before * (cells.slope[i - 1] as number);
      above[i] = i === last ? 0 : -after * (cells.slope[i + 1] as number);
    }
    if (worst <= RESIDUAL) {
      const heat =
        dt * (outer * (ambient - (cells.T[last] as number)) + lower * (ambient - (cells.T[0] as number)));
      return { H, heat };
    }
    tridiagonal(below, middle, above, right);
    for (let i = 0; i < n; i++) H[i] = (H[i] as number) + (right[i] as number);
  }
  return null;
}

/** Temperature of the slowest point: the centre, or the extreme cell of a hollow body or of one with two faces. */
function slowest(cells: Cells, warming: boolean): number {
  const { T, body } = cells;
  if (body.hBelow !== null || body.inner > 0) return warming ? Math.min(...T) : Math.max(...T);
  const [first = 0, second = 0] = T;
  return first - (second - first) / 8;
}

/** Temperature at the outer face; of two faces the warmer. */
function surface(cells: Cells, ambient: number): number {
  const face = (h: number, cell: number): number => {
    const inflow = cells.facing(h, cell) * (ambient - (cells.T[cell] as number));
    return ambient - inflow / h;
  };
  const outer = face(cells.body.h, cells.n - 1);
  return cells.body.hBelow === null ? outer : Math.max(outer, face(cells.body.hBelow, 0));
}

/**
 * Heats or cools a body until its slowest point reaches a target (THERMAL 3): enthalpy form, Kirchhoff's transformation,
 * implicit Euler with Newton and a step that follows the change of enthalpy.
 *
 * @param start evenly through the body, °C
 * @throws Error when the heat that came in and the heat found inside differ by more than half a per cent
 */
export function solveBody(
  body: SolvedBody,
  table: HeatTable,
  start: number,
  ambient: number,
  target: number,
): SolvedCurve {
  const warming = ambient > start;
  const cells = new Cells(body, table, start);
  cells.read(cells.H);
  const begun = cells.H[0] as number;
  const most = Math.min(MOST_CHANGE, MOST_SHARE * Math.abs(enthalpyAt(table, ambient) - begun));
  const reached = (celsius: number): boolean => (warming ? celsius >= target : celsius <= target);
  let core = slowest(cells, warming);
  const points = [{ s: 0, coreC: core, surfaceC: surface(cells, ambient) }];
  if (reached(core)) return { seconds: 0, points, imbalance: 0 };
  const shell = (table.rho * (cells.volume[cells.n - 1] as number)) / (cells.area[cells.n] as number);
  let dt = Math.max(
    0.01,
    (0.25 * most * shell) / (Math.max(body.h, body.hBelow ?? 0) * Math.abs(ambient - start)),
  );
  let s = 0;
  let heat = 0;
  const moved = (): number =>
    cells.volume.reduce((sum, v, i) => sum + table.rho * v * ((cells.H[i] as number) - begun), 0);
  const imbalance = (): number => (heat === 0 ? 0 : Math.abs(moved() - heat) / Math.abs(heat));
  for (let steps = 0; steps < MOST_STEPS && s < MOST_SECONDS; steps++) {
    const next = step(cells, ambient, dt);
    if (!next) {
      dt /= 2;
      continue;
    }
    const change = next.H.reduce((most, h, i) => Math.max(most, Math.abs(h - (cells.H[i] as number))), 0);
    if (change > most) {
      dt *= 0.6;
      continue;
    }
    cells.H = next.H;
    cells.read(cells.H);
    heat += next.heat;
    s += dt;
    const now = slowest(cells, warming);
    if (reached(now)) {
      if (imbalance() > 0.005) throw new Error(`heat balance off by ${(imbalance() * 100).toFixed(2)} %`);
      const seconds = s - dt + dt * ((target - core) / (now - core));
      points.push({ s: seconds, coreC: target, surfaceC: surface(cells, ambient) });
      return { seconds, points, imbalance: imbalance() };
    }
    core = now;
    points.push({ s, coreC: core, surfaceC: surface(cells, ambient) });
    if (change < most / 2) dt *= 1.3;
  }
  return { seconds: null, points, imbalance: imbalance() };
}

/** Conductivity of the food at a temperature, for Biot's number. */
export function conductivityAt(table: HeatTable, celsius: number): number {
  return columnAt(table, 'k', enthalpyAt(table, celsius));
}
