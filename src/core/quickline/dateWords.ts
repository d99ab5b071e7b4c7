import { GB } from 'chrono-node/en';
import { monthsBefore } from '../calendar/monthsBefore';
import { addDays, type CalendarDate, daysBetween, isCalendarDate } from '../calendar/calendarDate';
import { isUnit } from '../units/readAmount';

/** A date at the very front of a text, with how much of the text it took. */
export type ReadDate = { date: CalendarDate; length: number } | { missing: true; length: number } | null;

/** In which order the household writes day and month in figures. */
export type DateOrder = 'dmy' | 'mdy';

/** Of a bare weekday or month: the last one, or the next one. */
export type DateWay = 'past' | 'ahead';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MONTH =
  '(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\\b\\.?';
const YEAR = String.raw`(?:,?\s+(\d{4}|'\d{2}|\d{2}(?=\s*(?:$|[>/@,;])))\b)?`;
const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})(?!\d)/;
const FIGURES = /^(\d{1,2})([./-])(\d{1,2})(?:\2(\d{4}|\d{2})(?!\d)|\.)?(?!\d|[./-]\d)/;
const MONTH_FIGURES = /^(\d{1,2})\/(20\d{2})(?!\d)/;
const ORDINALS = (
  'first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth thirteenth fourteenth fifteenth ' +
  'sixteenth seventeenth eighteenth nineteenth twentieth twenty-first twenty-second twenty-third twenty-fourth ' +
  'twenty-fifth twenty-sixth twenty-seventh twenty-eighth twenty-ninth thirtieth thirty-first'
).split(' ');
const DAY = String.raw`(?:(\d{1,2})(?:st|nd|rd|th)?|(${ORDINALS.map((word) => word.replace('-', '[\\s-]')).join('|')})\b)`;
const DAY_MONTH = new RegExp(String.raw`^${DAY}[\s-]*(?:of\s+)?${MONTH}${YEAR}`, 'i');
const MONTH_DAY = new RegExp(String.raw`^${MONTH}\s+(?:the\s+)?${DAY}(?![\d./-])(?:,?\s+(\d{4})\b)?`, 'i');
const MONTH_ONLY = new RegExp(
  String.raw`^(?:(?:in|since|early|late|mid|last|end|of|the|beginning|start)[\s-]+)*${MONTH}${YEAR}`,
  'i',
);
const WEEKDAYS: readonly (readonly [RegExp, string])[] = [
  [/\btues\b/i, 'tue'],
  [/\bweds\b/i, 'wed'],
  [/\bthur\b/i, 'thu'],
];
const LAST_NIGHT = /^(last night|this morning|this evening|tonight|just now|the day before yesterday)\b/i;
const LAST_SPAN = /^last\s+(week|month|year)\b/i;
const FORTNIGHT = /^(?:a|one)\s+fortnight\s+ago\b/i;
const LEAD = /^\s*(?:(?:on|the|from|by|since)\s+)?/i;

const twoDigits = (value: number | string): string => String(value).padStart(2, '0');

/** Farther than this from today a day without a year is no near one: it is asked about ("29 feb" in a common year). */
const NEAR_DAYS = 200;

/**
 * "last week", "last month", "last year": the earliest day of them, whether a week begins on a Sunday or on a Monday.
 *
 * @returns `null` when the text begins otherwise
 */
export function lastSpan(body: string, today: CalendarDate): { date: CalendarDate; length: number } | null {
  const found = LAST_SPAN.exec(body);
  if (!found) return null;
  const sinceSunday = new Date(`${today}T12:00:00Z`).getUTCDay();
  const month = monthsBefore(`${today.slice(0, 8)}01`, 1);
  const date = {
    week: addDays(today, -7 - Math.max(sinceSunday, (sinceSunday + 6) % 7)),
    month,
    year: `${Number(today.slice(0, 4)) - 1}-01-01`,
  }[found[1]?.toLowerCase() as 'week' | 'month' | 'year'];
  return { date, length: found[0].length };
}

/** Of the same day in the years around today the nearest one that exists; `null`: there is none near. */
function nearestYear(today: CalendarDate, monthDay: string): CalendarDate | null {
  const year = Number(today.slice(0, 4));
  const dates = [year - 1, year, year + 1].map((one) => `${one}-${monthDay}`).filter(isCalendarDate);
  const away = (date: CalendarDate): number => Math.abs(daysBetween(today, date));
  const [nearest] = dates.sort((a, b) => away(a) - away(b));
  return nearest !== undefined && away(nearest) <= NEAR_DAYS ? nearest : null;
}

/** The day of these figures; without a year the nearest one. */
function dayOf(
  today: CalendarDate,
  day: number | string,
  month: number | string,
  year: string | undefined,
): CalendarDate | null {
  const monthDay = `${twoDigits(month)}-${twoDigits(day)}`;
  if (year === undefined || year === '') return nearestYear(today, monthDay);
  const full = year.replace("'", '');
  const date = `${full.length === 2 ? `20${full}` : full}-${monthDay}`;
  return isCalendarDate(date) ? date : null;
}

const told = (date: CalendarDate | null, length: number): ReadDate =>
  date === null ? { missing: true, length } : { date, length };

/** A month without a day is its first day, the earliest it can be: past the last such month, ahead the next. */
function monthOf(today: CalendarDate, month: number, year: string | undefined, way: DateWay): CalendarDate {
  if (year !== undefined) return dayOf(today, 1, month, year) as CalendarDate;
  const now = Number(today.slice(0, 4));
  const here = `${now}-${twoDigits(month)}-01`;
  if (way === 'past') return here <= today ? here : `${now - 1}-${twoDigits(month)}-01`;
  return here.slice(0, 7) >= today.slice(0, 7) ? here : `${now + 1}-${twoDigits(month)}-01`;
}

const dayNumber = (figures: string | undefined, word = ''): string =>
  figures ?? String(ORDINALS.indexOf(word.toLowerCase().replace(/\s/, '-')) + 1);
const monthNumber = (word: string): number => MONTHS.indexOf(word.slice(0, 3).toLowerCase()) + 1;

/** A date in figures: 14.12., 14/12, 12/14/26 where the month goes first, 2026-12-14, 03/2027. */
function figureDate(body: string, today: CalendarDate, way: DateWay, order: DateOrder): ReadDate {
  const iso = ISO.exec(body);
  if (iso) return told(dayOf(today, iso[3] ?? '', iso[2] ?? '', iso[1]), iso[0].length);
  const monthYear = MONTH_FIGURES.exec(body);
  if (monthYear && Number(monthYear[1]) <= 12)
    return told(monthOf(today, Number(monthYear[1]), monthYear[2], way), monthYear[0].length);
  const found = FIGURES.exec(body);
  if (!found) return null;
  const [whole, first = '', mark = '', second = '', year] = found;
  const after = /^\s*(\p{L}+)/u.exec(body.slice(whole.length))?.[1];
  if (after !== undefined && isUnit(after)) return null;
  const monthFirst = order === 'mdy' && mark !== '.';
  const [day, month] = monthFirst ? [second, first] : [first, second];
  if (monthFirst && year === undefined) {
    // "03/27" where the month goes first: that day, or that month of that year where it is to come; the earlier is never too late.
    const asDay = dayOf(today, day, month, year);
    const asMonth =
      mark === '/' && Number(second) >= 20 && Number(month) <= 12
        ? monthOf(today, Number(month), second, way)
        : null;
    const both = asMonth !== null && asMonth.slice(0, 7) >= today.slice(0, 7);
    if (both && (asDay === null || asMonth < asDay)) return told(asMonth, whole.length);
    if (Number(month) > 12) return told(asDay, whole.length);
  }
  if (Number(month) <= 12 || year !== undefined) {
    const swapped = Number(month) > 12 && Number(day) <= 12;
    return told(swapped ? dayOf(today, month, day, year) : dayOf(today, day, month, year), whole.length);
  }
  // "03/27" where the day goes first: a month and a year, or the day behind the month; the earlier of the two is never too late.
  const isMonth = mark === '/' && Number(first) <= 12 && Number(first) >= 1;
  if (!isMonth) return told(null, whole.length);
  const asMonth = monthOf(today, Number(first), second, way);
  const asDay = dayOf(today, second, first, undefined);
  return told(asDay !== null && asDay < asMonth ? asDay : asMonth, whole.length);
}

/** A date with a month's name: 14 Dec, the 3rd of December 2026, Dec 14, in March. */
function namedDate(body: string, today: CalendarDate, way: DateWay): ReadDate {
  const dayMonth = DAY_MONTH.exec(body);
  if (dayMonth)
    return told(
      dayOf(today, dayNumber(dayMonth[1], dayMonth[2]), monthNumber(dayMonth[3] ?? ''), dayMonth[4]),
      dayMonth[0].length,
    );
  const monthDay = MONTH_DAY.exec(body);
  const after = monthDay && /^\s*(\p{L}+)/u.exec(body.slice(monthDay[0].length))?.[1];
  if (monthDay && !(after && isUnit(after)))
    return told(
      dayOf(today, dayNumber(monthDay[2], monthDay[3]), monthNumber(monthDay[1] ?? ''), monthDay[4]),
      monthDay[0].length,
    );
  const month = MONTH_ONLY.exec(body);
  return month && told(monthOf(today, monthNumber(month[1] ?? ''), month[2], way), month[0].length);
}

/** What people say of the last day and night. */
function nearDate(body: string, today: CalendarDate): ReadDate {
  const near = LAST_NIGHT.exec(body);
  const word = near?.[1]?.toLowerCase();
  if (near) {
    const back = word === 'last night' ? 1 : word === 'the day before yesterday' ? 2 : 0;
    return { date: addDays(today, -back), length: near[0].length };
  }
  const last = lastSpan(body, today);
  if (last) return last;
  const fortnight = FORTNIGHT.exec(body);
  return fortnight && { date: addDays(today, -14), length: fortnight[0].length };
}

/**
 * Reads a date in words or figures ("3 dec", "14.12.", "tues", "yesterday", "in March", "three weeks ago") at the front of
 * `rest`. A day without a year is the nearest one, before or after today: never silently a year away; a month alone is its
 * first day.
 *
 * @param way of a bare weekday or month: `past`: the last one; `ahead`: the next one
 * @returns `missing` for what looks like a date that does not exist; `null` when there is no date
 */
export function dateWords(
  rest: string,
  today: CalendarDate,
  way: DateWay,
  order: DateOrder = 'dmy',
): ReadDate {
  const blank = /^\s*/.exec(rest)?.[0].length ?? 0;
  const near = nearDate(rest.slice(blank), today);
  if (near) return { ...near, length: blank + near.length };
  const lead = LEAD.exec(rest)?.[0].length ?? 0;
  const body = rest.slice(lead).split(/[>@→,;]/)[0] ?? '';
  const plain = nearDate(body, today) ?? figureDate(body, today, way, order) ?? namedDate(body, today, way);
  if (plain) return { ...plain, length: lead + plain.length };
  const weekday = WEEKDAYS.find(([said]) => said.test(body));
  const [said, short] = weekday ?? [null, ''];
  const asked = said ? body.replace(said, short) : body;
  const [year, month, day] = today.split('-').map(Number) as [number, number, number];
  const found = GB.parse(asked, new Date(year, month - 1, day, 12), { forwardDate: way === 'ahead' })[0];
  if (!found || found.index !== 0 || /^\d+$/.test(found.text.trim())) return null;
  const at = found.start;
  const length = lead + found.text.length + body.length - asked.length;
  const date = `${at.get('year')}-${twoDigits(at.get('month') ?? 1)}-${twoDigits(at.get('day') ?? 1)}`;
  if (at.isCertain('weekday') && !at.isCertain('day') && way === 'past' && date > today)
    return { date: addDays(date, -7), length };
  return { date, length };
}
