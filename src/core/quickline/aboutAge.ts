import { addDays, type CalendarDate, daysBetween } from '../calendar/calendarDate';
import type { Hemisphere } from '../calendar/hemisphere';
import { monthsBefore } from '../calendar/monthsBefore';
import { sayPlainDate } from '../calendar/sayDate';
import { lastSpan } from './dateWords';
import { NUMBER_WORDS } from './quickWords';

/** Since when something has been there, as far as anybody remembers: the earliest day the words can mean. */
export interface AboutAge {
  on: CalendarDate;
  length: number;
  /** The words and the day they count from. */
  says: string;
  /** Nobody knows. */
  unknown?: boolean;
}

/** Days of the year people remember food by; each the earliest it can be. */
const REMEMBERED: readonly (readonly [said: RegExp, north: string, south?: string])[] = [
  [/^(?:spring)\b/i, '03-01', '09-01'],
  [/^(?:easter)\b/i, '03-22'],
  [/^(?:summer|the holidays)\b/i, '06-01', '12-01'],
  [/^(?:autumn|fall|harvest)\b/i, '09-01', '03-01'],
  [/^(?:halloween)\b/i, '10-31'],
  [/^(?:thanksgiving)\b/i, '11-22'],
  [/^(?:winter)\b/i, '12-01', '06-01'],
  [/^(?:x-?mas|christmas)\b/i, '12-24'],
  [/^(?:new year'?s?)\b/i, '01-01'],
];
const NO_IDEA =
  /^(?:no idea|no clue|don't know|dunno|unknown(?: age)?|age unknown|ages|ages ago|forever|who knows|very old|\?+)(?=\s|$|[,;>])/i;
const LEAD = /^\s*(?:(?:about|around|since|from|last|for|ca\.?|roughly|maybe|perhaps|at|the|in)\s+)*/i;
const COUNT: Readonly<Record<string, number>> = {
  ...NUMBER_WORDS,
  a: 1,
  an: 1,
  'a couple of': 3,
  'couple of': 3,
  'a few': 5,
  few: 5,
  'half a': 0.5,
  several: 8,
};
const SPAN =
  /^(\d+|a couple of|couple of|a few|few|half a|an?|one|two|three|four|five|six|several)\s*(?:(?:or|to|-|–)\s*(\w+)\s+)?(d|days?|w|wks?|weeks?|m|mths?|months?|y|yrs?|years?)\b(?:\s+(?:old|ago|or so))*/i;

/** A season lasts three months; of a feast one still speaks as of this one for a month. */
const SEASON_DAYS = 92;

/** The last such day, this year's or the one before; said to be the last one, it is never this one. */
function lastTime(today: CalendarDate, monthDay: string, saidLast: boolean): CalendarDate {
  const year = Number(today.slice(0, 4));
  const here = `${year}-${monthDay}`;
  const latest = here <= today ? here : `${year - 1}-${monthDay}`;
  const isThis = latest.startsWith(`${year}-`) || daysBetween(latest, today) < SEASON_DAYS;
  return saidLast && isThis ? `${Number(latest.slice(0, 4)) - 1}-${monthDay}` : latest;
}

/** A number in figures or words; `null`: it is none. */
const countOf = (said: string | undefined): number | null => {
  if (said === undefined) return null;
  const count = COUNT[said.toLowerCase()] ?? Number(said);
  return Number.isFinite(count) ? count : null;
};

function spanBack(today: CalendarDate, count: number, unit: string): CalendarDate {
  const first = unit.charAt(0).toLowerCase();
  if (first === 'd') return addDays(today, -Math.ceil(count));
  if (first === 'w') return addDays(today, -Math.ceil(count * 7));
  return monthsBefore(today, Math.ceil(first === 'y' ? count * 12 : count));
}

/**
 * Reads "since spring", "xmas", "2 months", "no idea" at the front of a text: how long something has been in the cold, for
 * food nobody dated. Every one is turned into the earliest day it can mean, so that no date comes out too late; what
 * nobody knows counts as a year old.
 *
 * @param hemisphere by which seasons are told @returns `null` when there is no such age
 */
export function aboutAge(
  rest: string,
  today: CalendarDate,
  hemisphere: Hemisphere = 'north',
): AboutAge | null {
  const blank = /^\s*/.exec(rest)?.[0].length ?? 0;
  const bare = rest.slice(blank);
  const unknown = NO_IDEA.exec(bare);
  if (unknown) {
    const on = monthsBefore(today, 12);
    return {
      on,
      length: blank + unknown[0].length,
      says: `“${unknown[0].trim()}” counts as a year old, ${sayPlainDate(on)}.`,
      unknown: true,
    };
  }
  const lead = LEAD.exec(rest)?.[0].length ?? 0;
  const body = rest.slice(lead);
  const saidLast = /\blast\s+$/i.test(rest.slice(0, lead));
  const whole = saidLast ? lastSpan(`last ${body}`, today) : null;
  const span = SPAN.exec(body);
  const named = REMEMBERED.find(([said]) => said.test(body));
  const [, north = '01-01', south = north] = named ?? [];
  const found = span ?? named?.[0].exec(body);
  if (!found && !whole) return null;
  // "2 or 3 months" is three.
  const on = whole
    ? whole.date
    : span
      ? spanBack(today, Math.max(countOf(span[1]) ?? 1, countOf(span[2]) ?? 0), span[3] ?? 'd')
      : lastTime(today, hemisphere === 'south' ? south : north, saidLast);
  const length = whole ? whole.length - 'last '.length : (found?.[0].length ?? 0);
  const words = rest.slice(blank, lead + length).trim();
  return {
    on,
    length: lead + length,
    says: `“${words}” counts from the earliest day it can be, ${sayPlainDate(on)}.`,
  };
}
