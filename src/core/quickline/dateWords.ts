import { GB } from 'chrono-node/en';
import { addDays, type CalendarDate, daysBetween, isCalendarDate } from '../calendar/calendarDate';

const LOOKS_LIKE_DATE =
  /^\d{1,4}([./-]\d{1,2}([./-]\d{1,4})?|\s*(st|nd|rd|th)?\s+(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec))/i;

/** A date at the very front of a text, with how much of the text it took. */
export type ReadDate = { date: CalendarDate; length: number } | { missing: true; length: number } | null;

function twoDigits(value: number): string {
  return String(value).padStart(2, '0');
}

/** Of the same day in the years around today the nearest one that exists. */
function nearestYear(today: CalendarDate, monthDay: string): CalendarDate | null {
  const year = Number(today.slice(0, 4));
  const dates = [year - 1, year, year + 1].map((one) => `${one}-${monthDay}`).filter(isCalendarDate);
  const away = (date: CalendarDate): number => Math.abs(daysBetween(today, date));
  return dates.sort((a, b) => away(a) - away(b))[0] ?? null;
}

/**
 * Reads a date in words or figures ("3 dec", "mon", "yesterday", "3/12/26") at the front of `rest`, day before month. A date
 * without a year is the nearest one, before or after today: never silently a year away.
 *
 * @param way of a bare weekday: `past`: the last one; `ahead`: the next one
 * @returns `missing` for what looks like a date that does not exist; `null` when there is no date
 */
export function dateWords(rest: string, today: CalendarDate, way: 'past' | 'ahead'): ReadDate {
  const lead = /^\s*(?:on\s+|the\s+)?/i.exec(rest)?.[0].length ?? 0;
  const body = rest.slice(lead).split(/[>@→]/)[0] ?? '';
  const [year, month, day] = today.split('-').map(Number) as [number, number, number];
  const found = GB.parse(body, new Date(year, month - 1, day, 12), { forwardDate: way === 'ahead' })[0];
  if (!found || found.index !== 0) {
    const shape = LOOKS_LIKE_DATE.exec(body);
    return shape ? { missing: true, length: lead + shape[0].length } : null;
  }
  const at = found.start;
  const length = lead + found.text.length;
  const monthDay = `${twoDigits(at.get('month') ?? 1)}-${twoDigits(at.get('day') ?? 1)}`;
  const date = `${at.get('year')}-${monthDay}`;
  if (at.isCertain('weekday') && !at.isCertain('day')) {
    return { date: way === 'past' && date > today ? addDays(date, -7) : date, length };
  }
  if (!at.isCertain('month') || !at.isCertain('day') || at.isCertain('year')) return { date, length };
  const nearest = nearestYear(today, monthDay);
  return nearest === null ? { missing: true, length } : { date: nearest, length };
}
