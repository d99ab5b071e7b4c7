import { fridgeAirAfter } from './fridgeAirAfter';
import type { Reading } from '../model/cut';
import type { CutAppliance } from './powerCut';

/** A point of the air temperature inside, hours after the cut began. */
export interface AirPoint {
  h: number;
  c: number;
}

export interface CutTimes {
  fromMs: number;
  endMs: number;
  hours: number;
}

const HOUR_MS = 3_600_000;

/** A limit counts as reached a minute early, so that rounding never decides for the milder side. */
const A_MINUTE_H = 1 / 60;
const HAIR = 1e-9;

/** True when hours reach a limit, or are within a minute of it (O1, O2, O4b). */
export const reaches = (hours: number, limitHours: number): boolean =>
  hours >= limitHours - A_MINUTE_H - HAIR;

/** Start, end (until now while it lasts) and length of a cut. */
export function cutTimes(appliance: Pick<CutAppliance, 'from' | 'until'>, now: string): CutTimes {
  const fromMs = Date.parse(appliance.from);
  const endMs = Date.parse(appliance.until ?? now);
  return { fromMs, endMs, hours: (endMs - fromMs) / HOUR_MS };
}

/** Readings up to the end of the cut, in order: what was read after the power came back, or is still to come, never counts. */
function sorted(readings: readonly Reading[], endMs: number): { ms: number; c: number }[] {
  // Of two readings at one moment the warmer comes last and so goes on: doubt shortens.
  return readings
    .map(({ at, c }) => ({ ms: Date.parse(at), c }))
    .filter(({ ms }) => ms <= endMs)
    .sort((a, b) => a.ms - b.ms || a.c - b.c);
}

/**
 * True when the readings cover the cut: one at or before its start or within its first quarter, and one in its last
 * quarter.
 */
export function coversCut(readings: readonly Reading[], { fromMs, endMs }: CutTimes): boolean {
  const quarter = (endMs - fromMs) / 4;
  const points = sorted(readings, endMs);
  return points.some(({ ms }) => ms <= fromMs + quarter) && points.some(({ ms }) => ms >= endMs - quarter);
}

/**
 * The air from start to end of the cut as straight lines. Starts at the last reading before the cut; without one a
 * refrigerator at 4 °C, a freezer at its first reading. After the last reading a refrigerator takes the worse of holding it and
 * the forecast for its fill and doors; a freezer holds.
 */
export function airDuringCut(appliance: CutAppliance, times: CutTimes): AirPoint[] {
  const { fromMs, endMs, hours } = times;
  const all = sorted(appliance.readings, endMs);
  const before = all.filter(({ ms }) => ms <= fromMs).at(-1);
  const inside = all.filter(({ ms }) => ms > fromMs);
  const startC = before?.c ?? (appliance.kind === 'fridge' ? 4 : (inside[0]?.c ?? -18));
  const points: AirPoint[] = [{ h: 0, c: startC }];
  for (const { ms, c } of inside) points.push({ h: (ms - fromMs) / HOUR_MS, c });
  const last = points.at(-1) ?? { h: 0, c: startC };
  if (last.h >= hours) return points;
  if (appliance.kind === 'freezer') return [...points, { h: hours, c: last.c }];
  const after = fridgeAirAfter(appliance.fill, appliance.doors === 'shut', last.c, hours - last.h);
  return [...points, ...after.map(({ h, c }) => ({ h: last.h + h, c: Math.max(last.c, c) }))];
}

/** Hours above a temperature along straight lines. */
export function hoursAbove(points: readonly AirPoint[], thresholdC: number): number {
  let hours = 0;
  for (let at = 1; at < points.length; at++) {
    const a = points[at - 1];
    const b = points[at];
    if (!a || !b) continue;
    const span = b.h - a.h;
    if (a.c > thresholdC && b.c > thresholdC) hours += span;
    else if (a.c > thresholdC || b.c > thresholdC) {
      hours += (span * (Math.max(a.c, b.c) - thresholdC)) / Math.abs(b.c - a.c);
    }
  }
  return hours;
}

/** The warmest point. */
export function warmest(points: readonly AirPoint[]): number {
  return points.reduce((most, { c }) => Math.max(most, c), -Infinity);
}
