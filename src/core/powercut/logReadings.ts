import { addDays, daysBetween } from '../calendar/calendarDate';
import type { Cut, CutPart, CutReading, Reading } from '../model/cut';
import { HARD_FROZEN_C, SAFE_CHILL_C } from '../model/limits';
import { type LogDay, logSubject } from '../model/thermometer';

const SECOND_MS = 1000;
const HOUR_MS = 3_600_000;
const DAY_MS = 86_400_000;
/** A fridge is judged by hours, a freezer by days. */
const STRETCH_MS = { fridge: HOUR_MS / 2, freezer: 2 * HOUR_MS };
/** What verdicts hang on, °C: hard frozen, safely cold, and the classes with a higher threshold of data/outage.csv. */
export const THRESHOLDS_C = [HARD_FROZEN_C, SAFE_CHILL_C, 10] as const;
/** As cold as it has to be again, °C. */
const COLD_C = { fridge: SAFE_CHILL_C, freezer: HARD_FROZEN_C };

/** The readings of a day of the log. */
export const readingsOfDay = (day: string, log: LogDay): Reading[] =>
  log.map(([second, c]) => ({ at: new Date(Date.parse(day) + second * SECOND_MS).toISOString(), c }));

/** The days (UTC) that bear on a cut: those it lasted, the one before, and the one after, by which it is cold again. */
function daysOf(cut: Pick<Cut, 'from' | 'until'>, now: string): string[] {
  const first = addDays(cut.from.slice(0, 10), -1);
  const last = addDays((cut.until ?? now).slice(0, 10), cut.until === null ? 0 : 1);
  return Array.from({ length: daysBetween(first, last) + 1 }, (_, at) => addDays(first, at));
}

/** Under which subjects the logs of these cuts are kept. */
export const logSubjectsOf = (cuts: readonly Cut[], now: string): string[] => [
  ...new Set(
    cuts.flatMap((cut) => cut.parts.flatMap(({ id }) => daysOf(cut, now).map((day) => logSubject(id, day)))),
  ),
];

/** The warmest reading of each stretch, and both sides of every crossing of a threshold: so no warm hour is lost. */
function bearing(log: readonly Reading[], fromMs: number, stretchMs: number): Reading[] {
  const kept = new Set<Reading>();
  const warmest = new Map<number, Reading>();
  for (const [nth, reading] of log.entries()) {
    const stretch = Math.floor((Date.parse(reading.at) - fromMs) / stretchMs);
    const known = warmest.get(stretch);
    if (!known || reading.c > known.c) warmest.set(stretch, reading);
    const before = log[nth - 1];
    if (before && THRESHOLDS_C.some((limit) => before.c > limit !== reading.c > limit))
      kept.add(before).add(reading);
  }
  for (const reading of warmest.values()) kept.add(reading);
  return log.filter((reading) => kept.has(reading));
}

/** Readings from the told end on while it was still warm, with the first that was cold again. */
function stillWarm(log: readonly Reading[], kind: 'fridge' | 'freezer', until: string): Reading[] {
  const after = log.filter(({ at }) => at > until);
  const cold = after.findIndex(({ c }) => c <= COLD_C[kind]);
  return cold === 0 ? [] : after.slice(0, cold < 0 ? undefined : cold + 1);
}

/**
 * What thermometers that stay in the compartments logged of these cuts, as readings of them: the last of the day before, and what
 * bears of those within, and after it until it was cold again. It follows the log and the times of the cut, whichever was told first.
 *
 * @param logOf the log of a compartment on a day (UTC), under its subject
 */
export function logReadings(
  cuts: readonly Cut[],
  logOf: (subject: string) => LogDay | null | undefined,
  now: string,
): CutReading[] {
  return cuts.flatMap((cut) =>
    cut.parts.flatMap(({ id: part, kind }) => {
      const log = daysOf(cut, now).flatMap((day) => readingsOfDay(day, logOf(logSubject(part, day)) ?? []));
      const from = Date.parse(cut.from);
      const end = cut.until ?? now;
      const before = log.findLast(({ at }) => at <= cut.from && from - Date.parse(at) <= DAY_MS);
      const within = log.filter(({ at }) => at > cut.from && at <= end);
      const after = stillWarm(log, kind, end);
      return [...(before ? [before] : []), ...bearing([...within, ...after], from, STRETCH_MS[kind])].map(
        (reading): CutReading => ({
          ...reading,
          id: `log ${cut.id} ${part} ${reading.at}`,
          cut: cut.id,
          part,
        }),
      );
    }),
  );
}

/** True for a reading that came from a log: it goes with the log. */
export const isLogged = ({ id }: Pick<CutReading, 'id'>): boolean => id.startsWith('log ');

/** O14: until when a log shows that it was still warm after the told end of a cut; `null`: it was cold, or nothing was logged. */
export function warmUntil(
  cut: Cut,
  part: Pick<CutPart, 'id' | 'kind'>,
  readings: readonly CutReading[],
): string | null {
  if (cut.until === null) return null;
  const log = readings
    .filter((one) => isLogged(one) && one.cut === cut.id && one.part === part.id)
    .sort((a, b) => (a.at < b.at ? -1 : 1));
  return stillWarm(log, part.kind, cut.until).at(-1)?.at ?? null;
}
