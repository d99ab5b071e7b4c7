import { SAFE_CHILL_C } from '../model/limits';
import { publishedLimitHours } from './publishedLimit';
import { COOLING_KINDS, type CutRequest, DRAWS } from './cutForecast';
import { openedOften } from './openedOften';
import { seededNormals } from './seededNormals';
import { warmUp } from './warmUp';
import { effectiveSize, normalised, systematicDraw, temperedPower, weightedQuantiles } from './weights';

export interface Quantiles {
  p10: number;
  p50: number;
  p90: number;
}

/** Hours until the food is above 4.4 °C; Infinity: not within the hours asked for. */
export interface CutForecast {
  publishedLimitH: number;
  to4c: Quantiles;
  safeUntilH: number;
  /** The outer food hour by hour, °C. */
  band: ({ h: number } & Quantiles)[];
  withReadings: boolean;
  /** How many samples of equal weight it rests on. */
  effectiveSamples: number;
  /** The worst heat balance of any sample, relative. */
  imbalance: number;
}

const LEAST_ESS = 50;
const ROUNDS = 4;
const KEEPS = Math.sqrt(0.75);
const JITTER = 0.5;
const LEAST_SD = 0.05;
const BIAS_K = 0.3;
const FRIDGE_GRACE_H = 2;

interface Run {
  to4c: Float64Array;
  logs: number[];
  /** Outer food, hour by hour, sample by sample. */
  outer: Float64Array;
  imbalance: number;
}

function simulate(request: CutRequest, z: Float64Array): Run {
  const { samples, hours, readings } = request;
  const across = Math.floor(hours) + 1;
  const run: Run = {
    to4c: new Float64Array(samples),
    logs: [],
    outer: new Float64Array(samples * across),
    imbalance: 0,
  };
  for (let sample = 0; sample < samples; sample++) {
    const chances = z.subarray(sample * DRAWS, (sample + 1) * DRAWS);
    const gone = warmUp(request, chances, (hour, celsius) => {
      if (hour < across) run.outer[hour * samples + sample] = celsius;
    });
    run.to4c[sample] = gone.to4c;
    run.imbalance = Math.max(run.imbalance, gone.imbalance);
    const bias = BIAS_K * (chances[7] ?? 0);
    const sum = readings.reduce(
      (all, { c }, at) => all + Math.log(1 + (c - (gone.airAt[at] ?? c) - bias) ** 2 / 4),
      0,
    );
    run.logs.push(-2.5 * sum);
  }
  return run;
}

/** Draws anew by weight, drawn together and jittered in z, so that variety is kept. */
function renewed(
  z: Float64Array,
  weights: Float64Array,
  chance: ReturnType<typeof seededNormals>,
): Float64Array {
  const count = weights.length;
  const mean = new Float64Array(DRAWS);
  const sd = new Float64Array(DRAWS);
  for (let at = 0; at < count * DRAWS; at++) {
    const k = at % DRAWS;
    mean[k] = (mean[k] as number) + (weights[Math.floor(at / DRAWS)] as number) * (z[at] as number);
  }
  for (let at = 0; at < count * DRAWS; at++) {
    const k = at % DRAWS;
    const off = (z[at] as number) - (mean[k] as number);
    sd[k] = (sd[k] as number) + (weights[Math.floor(at / DRAWS)] as number) * off * off;
  }
  const drawn = systematicDraw(weights, chance.uniform());
  const next = new Float64Array(count * DRAWS);
  drawn.forEach((from, to) => {
    for (let k = 0; k < DRAWS; k++) {
      const mu = mean[k] as number;
      const width = Math.max(LEAST_SD, Math.sqrt(sd[k] as number));
      next[to * DRAWS + k] =
        mu + KEEPS * ((z[from * DRAWS + k] as number) - mu) + JITTER * width * chance.normal();
    }
  });
  return next;
}

function quantilesOf(values: ArrayLike<number>, weights: Float64Array): Quantiles {
  const [p10 = Infinity, p50 = Infinity, p90 = Infinity] = weightedQuantiles(
    values,
    weights,
    [0.1, 0.5, 0.9],
  );
  return { p10, p50, p90 };
}

const sooner = (a: Quantiles, b: Quantiles): Quantiles => ({
  p10: Math.min(a.p10, b.p10),
  p50: Math.min(a.p50, b.p50),
  p90: Math.min(a.p90, b.p90),
});

/** When the straight line to the first reading above 4.4 °C passes it; Infinity: there is none. */
function measuredCrossing({ readings, startC, kind }: CutRequest): number {
  const at = readings.findIndex(({ c }) => c > SAFE_CHILL_C);
  const found = readings[at];
  if (!found) return Infinity;
  const before = readings[at - 1] ?? {
    atH: 0,
    c: Math.min(startC ?? COOLING_KINDS[kind].startC, SAFE_CHILL_C),
  };
  if (before.c >= SAFE_CHILL_C) return before.atH;
  return before.atH + ((found.atH - before.atH) * (SAFE_CHILL_C - before.c)) / (found.c - before.c);
}

/**
 * The forecast of a power cut (THERMAL 6 and 7): samples of what is not known, weighted by the readings; measured beats
 * model, doubt shortens, and nothing goes beyond the published limit.
 */
export function forecastCut(request: CutRequest): CutForecast {
  const ordered: CutRequest = {
    ...request,
    readings: [...request.readings].sort((a, b) => a.atH - b.atH),
    openings: [...request.openings].sort((a, b) => a.atH - b.atH),
  };
  const { samples, readings, kind, fill } = ordered;
  const fridge = kind === 'fridge';
  const publishedLimitH = publishedLimitHours({
    kind: fridge ? 'fridge' : 'freezer',
    fill,
    doors: openedOften(fridge ? 'fridge' : 'freezer', ordered.openings) ? 'opened' : 'shut',
  });
  // However short a look is asked for: what is told to be safe is simulated to the published limit.
  ordered.hours = Math.max(request.hours, Math.ceil(publishedLimitH));
  const chance = seededNormals(ordered.seed);
  let z: Float64Array = Float64Array.from({ length: samples * DRAWS }, () => chance.normal());
  let run = simulate(ordered, z);
  let imbalance = run.imbalance;
  const even = new Float64Array(samples).fill(1 / samples);
  const prior = quantilesOf(run.to4c, even);
  let power = 1;
  let weights = readings.length === 0 ? even : normalised(run.logs);
  let doubtful = false;
  for (let round = 0; round < ROUNDS && effectiveSize(weights) < LEAST_ESS; round++) {
    const beta = temperedPower(run.logs, power, samples / 4);
    z = renewed(z, normalised(run.logs.map((log) => log * beta)), chance);
    power -= beta;
    run = simulate(ordered, z);
    imbalance = Math.max(imbalance, run.imbalance);
    weights = normalised(run.logs.map((log) => log * power));
  }
  if (effectiveSize(weights) < LEAST_ESS) {
    doubtful = true;
    weights = normalised(run.logs.map((log) => log * temperedPower(run.logs, power, LEAST_ESS)));
  }
  const posterior = quantilesOf(run.to4c, weights);
  const modelled = doubtful ? sooner(prior, posterior) : posterior;
  const to4c = { ...modelled, p10: Math.min(modelled.p10, measuredCrossing(ordered)) };
  const within = (at: number): number => (at <= request.hours ? at : Infinity);
  const band = Array.from({ length: Math.floor(request.hours) + 1 }, (_, h) => ({
    h,
    ...quantilesOf(run.outer.subarray(h * samples, (h + 1) * samples), weights),
  }));
  return {
    publishedLimitH,
    to4c: { p10: within(to4c.p10), p50: within(to4c.p50), p90: within(to4c.p90) },
    safeUntilH: Math.min(publishedLimitH, to4c.p10 + (fridge ? FRIDGE_GRACE_H : 0)),
    band,
    withReadings: readings.length > 0,
    effectiveSamples: effectiveSize(weights),
    imbalance,
  };
}
