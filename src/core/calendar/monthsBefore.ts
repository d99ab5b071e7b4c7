import type { CalendarDate } from './calendarDate';

/** So many whole months earlier by the calendar, ending on the last day of a shorter month. @param months zero or more */
export function monthsBefore(date: CalendarDate, months: number): CalendarDate {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const lastDay = new Date(Date.UTC(year, month - months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 - months, Math.min(day, lastDay))).toISOString().slice(0, 10);
}
