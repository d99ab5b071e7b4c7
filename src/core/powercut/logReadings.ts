import { addDays, daysBetween } from '../calendar/calendarDate';
import type { Cut, CutReading, Reading } from '../model/cut';
import { SAFE_CHILL_C } from '../model/limits';
import { type LogDay, logSubject } from '../model/thermometer';

const SECOND_MS = 1000;
const HOUR_MS = 3_600_000;
const DAY_MS = 86_400_000;
/** A fridge is judged by hours, a freezer by days. */
const STRETCH_MS = { fridge: HOUR_MS / 2, freezer: 2 * HOUR_MS };

/** The readings of a day of the log. */
export const readingsOfDay = (day: string, log: LogDay): Reading[] =>
  log.map(([second, c]) => ({ at: new Date(Date.parse(day) + second * SECOND_MS).toISOString(), c }));

/** The days (UTC) that bear on a cut: those it lasted, and the one before. */
function daysOf(cut: Pick<Cut, 'from' | 'until'>, now: string): string[] {
  const first = addDays(cut.from.slice(0, 10), -1);
  const many = daysBetween(first, (cut.until ?? now).slice(0, 10)) + 1;
  return Array.from({ length: many }, (_, at) => addDays(first, at));
}

/** Under which subjects the logs of these cuts are kept. */
export const logSubjectsOf = (cuts: readonly Cut[], now: string): string[] => [
  ...new Set(
    cuts.flatMap((cut) => cut.parts.flatMap(({ id }) => daysOf(cut, now).map((day) => logSubject(id, day)))),
  ),
];

/** The warmest reading of each stretch, and the first that was too warm: a colder one beside it proves nothing. */
function bearing(log: readonly Reading[], fromMs: number, stretchMs: number): Reading[] {
  const warmest = new Map<number, Reading>();
  for (const reading of log) {
    const stretch = Math.floor((Date.parse(reading.at) - fromMs) / stretchMs);
    const known = warmest.get(stretch);
    if (!known || reading.c > known.c) warmest.set(stretch, reading);
  }
  const warm = log.find(({ c }) => c > SAFE_CHILL_C);
  return [...new Set([...warmest.values(), ...(warm ? [warm] : [])])].sort((a, b) => (a.at < b.at ? -1 : 1));
}

/**
 * What thermometers that stay in the compartments logged of these cuts, as readings of them: the last of the day before, and what
 * bears of those within. It follows the log and the times of the cut, whichever was told first.
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
      const before = log.findLast(({ at }) => at <= cut.from && from - Date.parse(at) <= DAY_MS);
      const within = log.filter(({ at }) => at > cut.from && at <= (cut.until ?? now));
      return [...(before ? [before] : []), ...bearing(within, from, STRETCH_MS[kind])].map(
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
