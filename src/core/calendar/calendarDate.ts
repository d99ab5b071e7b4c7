/**
 * Calendar dates without a time zone, written `YYYY-MM-DD` (proleptic Gregorian, years 1900 to 2199).
 * The core computes in whole days; time zones belong to the edges (see `dateInZone.ts`).
 */
export type CalendarDate = string;

const DAY_MS = 86_400_000;
/** Dates already written out, by day number: the same few thousand come again and again. */
const datesByDay: CalendarDate[] = [];
const MOST_KEPT = 84_000;
const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;

/** True when `text` is a date that exists, written `YYYY-MM-DD` (so not 2027-02-30). */
export function isCalendarDate(text: string): boolean {
  const match = SHAPE.exec(text);
  if (!match) return false;
  const year = Number(match[1]);
  if (year < 1900 || year > 2199) return false;
  return dateOfDay(dayNumber(text)) === text;
}

/** The digits of a date from one offset to another as a number, without cutting the text up. */
function figure(date: CalendarDate, from: number, to: number): number {
  let value = 0;
  for (let at = from; at < to; at++) value = value * 10 + date.charCodeAt(at) - 48;
  return value;
}

/** Whole days since 1970-01-01. The caller vouches for the date's shape. */
export function dayNumber(date: CalendarDate): number {
  return Date.UTC(figure(date, 0, 4), figure(date, 5, 7) - 1, figure(date, 8, 10)) / DAY_MS;
}

/** The date of a day number; inverse of {@link dayNumber}. */
export function dateOfDay(day: number): CalendarDate {
  let date = datesByDay[day];
  if (date === undefined) {
    date = new Date(day * DAY_MS).toISOString().slice(0, 10);
    if (day >= 0 && day < MOST_KEPT) datesByDay[day] = date;
  }
  return date;
}

/** 0 Sunday to 6 Saturday. */
export const weekdayOf = (date: CalendarDate): number => (((dayNumber(date) + 4) % 7) + 7) % 7;

/** `date` moved by whole `days` (negative goes back). */
export function addDays(date: CalendarDate, days: number): CalendarDate {
  return dateOfDay(dayNumber(date) + days);
}

/** Whole days from `from` to `to`; negative when `to` is earlier. */
export function daysBetween(from: CalendarDate, to: CalendarDate): number {
  return dayNumber(to) - dayNumber(from);
}

/** The earlier of two dates; `null` means "no date" and never wins. */
export function earlier(a: CalendarDate | null, b: CalendarDate | null): CalendarDate | null {
  if (a === null) return b;
  if (b === null) return a;
  return a <= b ? a : b;
}

/** The later of two dates. */
export function later(a: CalendarDate, b: CalendarDate): CalendarDate {
  return a >= b ? a : b;
}
