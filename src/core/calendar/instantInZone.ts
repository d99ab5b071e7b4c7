import { TZDate } from '@date-fns/tz';
import type { CalendarDate } from './calendarDate';

/**
 * The instant at which the clocks of a time zone show a time on a day. In the hour that is skipped in spring the time
 * after it counts, in the hour that comes twice in autumn one of the two.
 *
 * @param time `HH:MM`
 * @param timeZone IANA name
 * @returns ISO 8601 UTC
 */
export function instantInZone(date: CalendarDate, time: string, timeZone: string): string {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const [hours, minutes] = time.split(':').map(Number) as [number, number];
  return new Date(new TZDate(year, month - 1, day, hours, minutes, timeZone).getTime()).toISOString();
}
