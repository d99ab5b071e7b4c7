import type { CutAppliance, Reading } from './powerCut';

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

/**
 * How fast a shut refrigerator's air still warms after the last reading, K/h. The cautious tenth of the forecast
 * table in THERMAL section 6 (1.9 K in 2.4 h); it may only shorten.
 */
const FRIDGE_WARMING_K_PER_H = 0.8;

/** Start, end (until now while it lasts) and length of a cut. */
export function cutTimes(appliance: Pick<CutAppliance, 'from' | 'until'>, now: string): CutTimes {
  const fromMs = Date.parse(appliance.from);
  const endMs = Date.parse(appliance.until ?? now);
  return { fromMs, endMs, hours: (endMs - fromMs) / HOUR_MS };
}

function sorted(readings: readonly Reading[]): { ms: number; c: number }[] {
  // Of two readings at one moment the warmer comes last and so goes on: doubt shortens.
  return readings.map(({ at, c }) => ({ ms: Date.parse(at), c })).sort((a, b) => a.ms - b.ms || a.c - b.c);
}

/**
 * True when the readings cover the cut: one at or before its start or within its first quarter, and one in its last
 * quarter.
 */
export function coversCut(readings: readonly Reading[], { fromMs, endMs }: CutTimes): boolean {
  const quarter = (endMs - fromMs) / 4;
  const points = sorted(readings);
  return (
    points.some(({ ms }) => ms <= fromMs + quarter) &&
    points.some(({ ms }) => ms >= endMs - quarter && ms <= endMs)
  );
}

/**
 * The air from start to end of the cut as straight lines. Starts at the last reading before the cut; without one a
 * refrigerator at 4 °C, a freezer at its first reading. After the last reading: on to the next one after the cut when
 * there is one; else a refrigerator takes the worse of holding and warming on, a freezer holds.
 */
export function airDuringCut(appliance: CutAppliance, times: CutTimes): AirPoint[] {
  const { fromMs, endMs, hours } = times;
  const all = sorted(appliance.readings);
  const before = all.filter(({ ms }) => ms <= fromMs).at(-1);
  const inside = all.filter(({ ms }) => ms > fromMs && ms <= endMs);
  const after = all.find(({ ms }) => ms > endMs);
  const startC = before?.c ?? (appliance.kind === 'fridge' ? 4 : (inside[0]?.c ?? after?.c ?? -18));
  const points: AirPoint[] = [{ h: 0, c: startC }];
  for (const { ms, c } of inside) points.push({ h: (ms - fromMs) / HOUR_MS, c });
  const last = points.at(-1) ?? { h: 0, c: startC };
  if (last.h >= hours) return points;
  if (after) {
    const afterH = (after.ms - fromMs) / HOUR_MS;
    const atEnd = last.c + ((after.c - last.c) * (hours - last.h)) / (afterH - last.h);
    points.push({ h: hours, c: Math.max(last.c, atEnd) });
  } else {
    const warmed = appliance.kind === 'fridge' ? (hours - last.h) * FRIDGE_WARMING_K_PER_H : 0;
    points.push({ h: hours, c: last.c + warmed });
  }
  return points;
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
