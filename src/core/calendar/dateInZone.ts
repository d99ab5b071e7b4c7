import type { CalendarDate } from './calendarDate';

const formats = new Map<string, Intl.DateTimeFormat>();

function formatFor(timeZone: string): Intl.DateTimeFormat {
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-CA', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    formats.set(timeZone, format);
  }
  return format;
}

/**
 * The calendar date of an instant in a household's time zone.
 *
 * @param instant ISO 8601 UTC
 * @param timeZone IANA name, for example `Europe/Dublin`
 * @throws RangeError when either is not valid
 */
export function dateInZone(instant: string, timeZone: string): CalendarDate {
  return formatFor(timeZone).format(new Date(instant));
}
