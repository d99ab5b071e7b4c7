import { AsyncLocalStorage } from 'node:async_hooks';
import { readFileSync } from 'node:fs';
import { dateInZone } from '@/core/calendar/dateInZone';

/** The instant at which a piece of work happens, for that work alone. */
const workingAt = new AsyncLocalStorage<string>();

/**
 * Runs `work` as at an instant, so that the demo's history is recorded when it happened. Everybody else's clock goes on.
 *
 * @param instant ISO 8601, UTC
 */
export const atInstant = <Result>(instant: string, work: () => Promise<Result>): Promise<Result> =>
  workingAt.run(instant, work);

/**
 * The one clock. Tests and demonstrations set it by configuration: `CLOCK` holds an instant that stands still,
 * `CLOCK_FILE` names a file that holds one and may change while the server runs.
 */
export function now(): string {
  const file = process.env.CLOCK_FILE;
  const set = workingAt.getStore() ?? (file ? readFileSync(file, 'utf8').trim() : process.env.CLOCK);
  return set ? new Date(set).toISOString() : new Date().toISOString();
}

/** Today in a household's time zone. */
export function todayIn(timeZone: string): string {
  return dateInZone(now(), timeZone);
}
