import type { Cut, CutOpening, CutReading } from '../model/cut';
import { cutsInRow } from './cutsInRow';
import type { CutFacts } from './judgeCut';
import { warmUntil } from './logReadings';
import { openedOften } from './openedOften';

const HOUR_MS = 3_600_000;

/** Doors as they were told, unless they were counted and stood open long or often; and when it was cold again by its log (O14). */
function withCounts(cut: Cut, openings: readonly CutOpening[], readings: readonly CutReading[]): Cut {
  const parts = cut.parts.map((told) => {
    const warm = warmUntil(cut, told, readings);
    const part = warm === null ? told : { ...told, warmUntil: warm };
    const its = openings
      .filter((one) => one.cut === cut.id && one.part === part.id)
      .map(({ at, seconds }) => ({ atH: (Date.parse(at) - Date.parse(cut.from)) / HOUR_MS, seconds }))
      .sort((a, b) => a.atH - b.atH);
    return part.doors === 'shut' && openedOften(part.kind, its)
      ? { ...part, doors: 'opened' as const }
      : part;
  });
  return { ...cut, parts };
}

/** All that is kept of a cut, as it is judged: with the cuts that add up with it, and its doors as they were counted. */
export function cutFacts(
  cut: Cut,
  kept: { cuts: readonly Cut[]; readings: readonly CutReading[]; openings: readonly CutOpening[] },
): CutFacts {
  const row = cutsInRow(cut, kept.cuts);
  // What was read for a cut of long ago tells nothing of how cold this one began.
  const told = new Set([...row, cut].map(({ id }) => id));
  return {
    cut: withCounts(cut, kept.openings, kept.readings),
    earlier: row.map((one) => withCounts(one, kept.openings, kept.readings)),
    readings: kept.readings.filter((reading) => told.has(reading.cut)),
  };
}
