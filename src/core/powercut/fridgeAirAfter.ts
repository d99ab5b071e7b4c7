import { type CutRequest, DRAWS } from './cutForecast';
import { seededNormals } from './seededNormals';
import { warmUp } from './warmUp';
import { weightedQuantiles } from './weights';

/** The refrigerator of THERMAL's table; nobody tells its litres or the room's warmth after a cut. */
const FRIDGE = { kind: 'fridge', litres: 250, iceKg: 0, waterKg: 0, ambientC: 22 } as const;
const SAMPLES = 100;
const SEED = 7;
const STEP_H = 0.1;
/** Further than any class's limit; then it is held. */
const HORIZON_H = 24;
/** A door that is opened often, or nobody knows: once an hour for half a minute. */
const OPENING_S = 30;
/** The tenth of the samples that warms fastest: the forecast's cautious side. */
const CAUTIOUS = 0.9;
/** Which of a sample's chances is the temperature at its start: it was read, so there is none. */
const START = 3;
const MOST_KEPT = 2000;

const kept = new Map<string, readonly number[]>();

function simulated(fill: number, shut: boolean, startC: number): readonly number[] {
  const steps = Math.round(HORIZON_H / STEP_H);
  const request: CutRequest = {
    ...FRIDGE,
    fill,
    startC,
    openings: shut ? [] : Array.from({ length: HORIZON_H }, (_, atH) => ({ atH, seconds: OPENING_S })),
    readings: Array.from({ length: steps }, (_, at) => ({ atH: (at + 1) * STEP_H, c: 0 })),
    hours: HORIZON_H,
    samples: SAMPLES,
    seed: SEED,
  };
  const chance = seededNormals(SEED);
  const even = new Float64Array(SAMPLES).fill(1 / SAMPLES);
  const air = Array.from({ length: steps }, () => new Float64Array(SAMPLES));
  for (let sample = 0; sample < SAMPLES; sample++) {
    const z = Float64Array.from({ length: DRAWS }, () => chance.normal());
    z[START] = 0;
    warmUp(request, z, () => {}).airAt.forEach((celsius, at) => {
      (air[at] as Float64Array)[sample] = celsius;
    });
  }
  let warmest = startC;
  return air.map((samples) => {
    warmest = Math.max(warmest, weightedQuantiles(samples, even, [CAUTIOUS])[0] ?? warmest);
    return warmest;
  });
}

/**
 * How a refrigerator's air warms on after its last reading, by the forecast's cautious tenth for its fill and doors (O1,
 * THERMAL 6). All of it as warm as what was read; it never cools again, and after a day it is held.
 *
 * @param fill 0 to 1; taken down to the next twentieth, since an emptier fridge warms sooner
 * @param shut doors known to be shut
 * @param startC the last reading, °C; taken up to the next tenth
 * @param hours how far
 * @returns points from 0 to `hours`, each as warm as the end of its step
 */
export function fridgeAirAfter(
  fill: number,
  shut: boolean,
  startC: number,
  hours: number,
): { h: number; c: number }[] {
  const cautiousFill = Math.floor(fill * 20 + 1e-9) / 20;
  const cautiousC = Math.ceil(startC * 10 - 1e-9) / 10;
  const key = `${cautiousFill}:${shut}:${cautiousC}`;
  let curve = kept.get(key);
  if (!curve) {
    curve = simulated(cautiousFill, shut, cautiousC);
    if (kept.size >= MOST_KEPT) kept.clear();
    kept.set(key, curve);
  }
  const points = curve.flatMap((c, at) => (at * STEP_H < hours ? [{ h: at * STEP_H, c }] : []));
  const last = points.at(-1)?.c ?? cautiousC;
  return [...points, { h: hours, c: last }];
}
