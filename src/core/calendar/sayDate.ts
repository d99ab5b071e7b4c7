import { type CalendarDate, daysBetween, weekdayOf } from './calendarDate';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
const FULL_WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

function dayAndMonth(date: CalendarDate, long: boolean): string {
  const month = MONTHS[Number(date.slice(5, 7)) - 1] ?? '';
  return `${Number(date.slice(8, 10))} ${long ? month : month.slice(0, 3)}`;
}

/** The full date, as spoken: "Friday 4 December 2026". */
export function sayFullDate(date: CalendarDate): string {
  return `${FULL_WEEKDAYS[weekdayOf(date)]} ${dayAndMonth(date, true)} ${date.slice(0, 4)}`;
}

/** For labels and tables: "4 Dec 2026". */
export function sayPlainDate(date: CalendarDate): string {
  return `${dayAndMonth(date, false)} ${date.slice(0, 4)}`;
}

/** As people say a date from where they stand: "tonight", "tomorrow", "Thu", "4 Dec", "Mar 2028" past half a year. */
export function sayDueDate(date: CalendarDate, today: CalendarDate): string {
  const days = daysBetween(today, date);
  if (days === 0) return 'tonight';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 1 && days < 7) return WEEKDAYS[weekdayOf(date)] ?? '';
  if (Math.abs(days) < 183 || date.slice(0, 4) === today.slice(0, 4)) return dayAndMonth(date, false);
  return sayPlainDate(date);
}

/** Until when a package keeps: what is frozen is not for tonight because of its date. */
export const sayKeptUntil = (date: CalendarDate, today: CalendarDate, frozen: boolean): string =>
  frozen && date === today ? 'today' : sayDueDate(date, today);

/** When something happened: "today", "yesterday", "Mon", "3 weeks ago", "4 Dec 2025". */
export function sayPastDate(date: CalendarDate, today: CalendarDate): string {
  const days = daysBetween(date, today);
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days > 1 && days < 7) return WEEKDAYS[weekdayOf(date)] ?? '';
  if (days >= 7 && days < 183) return dayAndMonth(date, false);
  return sayPlainDate(date);
}

/** Days left as words: "last day", "1 day left", "9 days", "2 days ago". */
export function sayDaysLeft(days: number): string {
  if (days === 0) return 'last day';
  if (days === 1) return '1 day left';
  if (days === -1) return '1 day ago';
  if (days <= -60) return `${Math.floor(-days / 30)} months ago`;
  if (days < 0) return `${-days} days ago`;
  if (days < 60) return `${days} days`;
  return `${Math.floor(days / 30)} months`;
}
