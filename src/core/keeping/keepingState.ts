import { type CalendarDate, earlier } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import type { KeepingConditions, ThawMethod, TrailLine } from '../model/history';

/** The clocks of one package while its history is told. */
export interface KeepingState {
  state: 'chilled' | 'frozen' | 'thawing' | 'room';
  startOn: CalendarDate;
  lastOn: CalendarDate;
  /** Safety date; `null` while frozen, and for foods with a quality date only. */
  useBy: CalendarDate | null;
  bestBy: CalendarDate;
  openedOn: CalendarDate | null;
  /** Days of safety left when it was frozen; what was spent stays spent (K6). */
  daysRemembered: number | null;
  /** `from`: the day it was moved down. */
  thawed: { on: CalendarDate; method: ThawMethod; from: CalendarDate } | null;
  /** It spoils though its food does not: cut, or put together with what does (L2, L3b). */
  spoils: boolean;
  /** The fewest days once thawed of all that was put to it; `null`: nothing was. */
  thawDays: number | null;
  /** Minutes out of the cold so far, in every state; one above 32 °C counts for two (K10). */
  counterMinutes: number;
  /** The same by the clock, without grace and heat. */
  clockMinutes: number;
  /** Counted ones since it was opened. */
  openedMinutes: number;
  /** Dates that nothing in the present state may pass: printed, found, spent (K9). `null`: none. */
  caps: { useBy: CalendarDate | null; bestBy: CalendarDate | null };
  /** It thawed in a freezer that does not freeze, and lies in it still (K9). */
  inFreezer: boolean;
  /** Found turning since it thawed there: the cold coming back makes nothing of it good again (K12). */
  turning: boolean;
  /** Temperature of the zone it lies in, °C. */
  celsius: number;
  /** Set by a finding or the counter: to be thrown out whatever the dates say. */
  condemned: boolean;
  /** The day its safety ended (condemned, or warm in a freezer that does not freeze); no date is later, whatever is done. */
  endsOn: CalendarDate | null;
  trail: TrailLine[];
}

/** What every rule gets to see. */
export interface KeepingCase {
  food: Food;
  conditions: KeepingConditions;
  /** True for an event that was accepted when it happened: it shortens, it is not refused any more. */
  recorded: boolean;
}

/** The date that governs: use by if there is one, else best by. */
export function governingOf(state: Pick<KeepingState, 'useBy' | 'bestBy'>): CalendarDate {
  return state.useBy ?? state.bestBy;
}

/** Begins a new set of caps, as freezing and thawing do; a condemned package keeps its own. */
export function newCaps(
  state: KeepingState,
  caps: { useBy?: CalendarDate | null; bestBy?: CalendarDate | null } = {},
): void {
  const { endsOn } = state;
  state.caps = {
    useBy: earlier(caps.useBy ?? null, endsOn),
    bestBy: earlier(caps.bestBy ?? null, endsOn),
  };
}

/** Puts an absolute limit on the date that governs: no later event stretches it. */
export function capGoverning(state: KeepingState, limit: CalendarDate): void {
  const which = state.useBy === null ? 'bestBy' : 'useBy';
  state.caps[which] = earlier(state.caps[which], limit);
}

/** Sets new dates, never past a cap, and writes the line of the trail for the rule that set them. */
export function setDates(
  state: KeepingState,
  rule: string,
  dates: { useBy: CalendarDate | null; bestBy: CalendarDate },
  says: string,
  source: string,
): void {
  const from = state.trail.length === 0 ? null : governingOf(state);
  const { caps } = state;
  state.useBy = caps.useBy === null ? dates.useBy : notAfter(dates.useBy, caps.useBy);
  state.bestBy = earlier(dates.bestBy, caps.bestBy) ?? dates.bestBy;
  state.trail.push({ rule, from, to: governingOf(state), says, source });
}

/** Writes a line that changes no date. */
export function noteRule(state: KeepingState, rule: string, says: string, source: string): void {
  const now = governingOf(state);
  state.trail.push({ rule, from: now, to: now, says, source });
}

/** A date that may only move earlier; a date that does not exist stays so. */
export function notAfter(date: CalendarDate | null, limit: CalendarDate): CalendarDate | null {
  return date === null ? null : earlier(date, limit);
}
