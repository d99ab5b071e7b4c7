import type { Reading } from '@/core/model/cut';
import { COOLING_KINDS, DRAWS, type ForecastKind } from '@/core/powercut/cutForecast';
import { seededNormals } from '@/core/powercut/seededNormals';
import { warmUp } from '@/core/powercut/warmUp';

/** A compartment that a simulated thermometer stays in. */
export interface LoggedPart {
  kind: ForecastKind;
  litres: number;
  /** 0 to 1. */
  fill: number;
  /** What it is set to, °C. */
  setC: number;
}

/** What happens to it, and to its thermometer. Instants are ms. */
export interface LoggerPlay {
  from: number;
  to: number;
  everyMs: number;
  /** Without power from, until. */
  cuts: { from: number; until: number }[];
  /** Its clock runs fast by so many seconds a day since `from`. */
  fastSPerDay: number;
  /** Its battery is empty from then on. */
  emptyAt: number | null;
}

/** A log as the thermometer hands it over: by its own clock. */
export interface SimulatedLog {
  readings: Reading[];
  /** What its clock shows at `to`. */
  itsClock: string;
  /** Share that is left. */
  battery: number;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 86_400_000;
const DRAWN_H = 240;
const NOISE_K = 0.12;
const DROPPED = 0.02;
/** How the machine cools again, h; how it goes on and off, h and K. */
const COOLS_H = { fridge: 1, freezer: 2.5 };
const CYCLE_H = 0.8;
const SWING_K = 0.8;
const BATTERY_DAYS = 400;

/**
 * Simulates a thermometer that stays in a compartment and writes a log. With power the air goes up and down with the machine;
 * without, it warms by the model of a power cut (THERMAL 6) with parameters nobody is told, drawn from the seed. Readings are off
 * by a bias and noise, some are missing, the clock drifts, the battery runs out.
 */
export function simulatedLog(part: LoggedPart, play: LoggerPlay, seed: number): SimulatedLog {
  const chance = seededNormals(seed);
  const z = Array.from({ length: DRAWS }, () => chance.normal());
  const bias = 0.3 * (z[DRAWS - 1] ?? 0);
  const phase = chance.uniform();
  const cold = COOLING_KINDS[part.kind] === COOLING_KINDS.fridge ? 'fridge' : 'freezer';
  const running = (at: number): number =>
    part.setC + SWING_K * Math.sin(2 * Math.PI * (at / HOUR_MS / CYCLE_H + phase));
  const times: number[] = [];
  for (let at = play.from; at <= play.to; at += play.everyMs) times.push(at);
  const warmed = play.cuts.map(({ from, until }) => {
    const ends = Math.min(until, play.to);
    const within = [...times.filter((at) => at > from && at <= ends), ends];
    const hours = Math.min(DRAWN_H, Math.max(1, (ends - from) / HOUR_MS));
    const request = {
      ...{ kind: part.kind, litres: part.litres, fill: part.fill, iceKg: 0, waterKg: 0 },
      ...{ startC: running(from), ambientC: 22, openings: [], hours, samples: 1, seed },
      readings: within.map((at) => ({ atH: (at - from) / HOUR_MS, c: 0 })),
    };
    const air = warmUp(request, z, () => undefined).airAt;
    return {
      from,
      until,
      air: new Map(within.map((at, nth) => [at, air[nth] ?? part.setC])),
      end: air.at(-1),
    };
  });
  const airAt = (at: number): number => {
    const cut = warmed.findLast(({ from }) => from < at);
    if (!cut) return running(at);
    const within = cut.air.get(at);
    if (within !== undefined && at <= cut.until) return within;
    const left = Math.exp(-(at - cut.until) / HOUR_MS / COOLS_H[cold]);
    return running(at) + ((cut.end ?? part.setC) - part.setC) * left;
  };
  const byItsClock = (at: number): string =>
    new Date(at + ((at - play.from) / DAY_MS) * play.fastSPerDay * 1000).toISOString();
  const readings = times.flatMap((at): Reading[] => {
    const [noise, dropped] = [chance.normal() * NOISE_K, chance.uniform() < DROPPED];
    if (dropped || (play.emptyAt !== null && at >= play.emptyAt)) return [];
    return [{ at: byItsClock(at), c: Math.round((airAt(at) + bias + noise) * 10) / 10 }];
  });
  const empty = play.emptyAt !== null && play.emptyAt <= play.to;
  const battery = empty ? 0 : Math.max(0.05, 0.9 - (play.to - play.from) / DAY_MS / BATTERY_DAYS);
  return { readings, itsClock: byItsClock(play.to), battery: Math.round(battery * 100) / 100 };
}
