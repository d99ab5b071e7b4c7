import { type CalendarDate, addDays } from './calendarDate';

/** Floating sums such as 2.3 − 2 come out a hair under; a figure this close below a whole day is that day. */
const HAIR = 1e-9;

/**
 * Adds months as the keeping rules count them (K5): whole months by the calendar, ending on the last day of a
 * shorter month, then the fraction × 30 days, rounded down.
 *
 * @param date start
 * @param months zero or more, fractions allowed
 * @throws RangeError when `months` is negative or not a number
 */
export function addMonths(date: CalendarDate, months: number): CalendarDate {
  if (!(months >= 0)) throw new RangeError(`months must be zero or more, not ${months}`);
  const whole = Math.floor(months + HAIR);
  const extraDays = Math.floor(Math.max(0, months - whole) * 30 + HAIR);
  const year = Number(date.slice(0, 4));
  const month = Number(date.slice(5, 7)) - 1 + whole;
  const day = Number(date.slice(8, 10));
  const lastDay = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  const landed = new Date(Date.UTC(year, month, Math.min(day, lastDay))).toISOString().slice(0, 10);
  return extraDays === 0 ? landed : addDays(landed, extraDays);
}
