import { readFileSync } from 'node:fs';
import { dateInZone } from '@/core/calendar/dateInZone';

/**
 * The one clock. Tests and demonstrations set it by configuration: `CLOCK` holds an instant that stands still,
 * `CLOCK_FILE` names a file that holds one and may change while the server runs.
 */
export function now(): string {
  const file = process.env.CLOCK_FILE;
  const set = file ? readFileSync(file, 'utf8').trim() : process.env.CLOCK;
  return set ? new Date(set).toISOString() : new Date().toISOString();
}

/** Today in a household's time zone. */
export function todayIn(timeZone: string): string {
  return dateInZone(now(), timeZone);
}
