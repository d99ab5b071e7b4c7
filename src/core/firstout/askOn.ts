import { addDays, daysBetween, type CalendarDate } from '../calendar/calendarDate';
import type { PackageState } from '../model/history';
import type { Answer, LeadDays } from '../model/answer';

/** Days ahead of its date that a package asks by itself: it is due tomorrow. What comes nearer earlier stands there unasked. */
export const USUAL_LEAD: LeadDays = { chilled: 1, frozen: 1 };

/** Days ahead that a package stands on Today as coming: one more than the band "soon" (3 days chilled, 30 frozen). */
const NEAR_DAYS: LeadDays = { chilled: 4, frozen: 31 };

/** What the heads-ups need to know of a package. */
export interface AskingPackage {
  state: PackageState;
  governingDate: CalendarDate;
  answer: Answer | null;
}

/** The first day a package stands on Today: before it turns "soon", or earlier where its lead says so. */
export function nearOn({ state, governingDate }: AskingPackage, lead: LeadDays): CalendarDate {
  const ahead =
    state === 'frozen' ? Math.max(lead.frozen, NEAR_DAYS.frozen) : Math.max(lead.chilled, NEAR_DAYS.chilled);
  return addDays(governingDate, -ahead);
}

/** True when the clock that runs now has had an answer, be it old or new. */
export function isAnswered({ answer, governingDate }: AskingPackage): boolean {
  return answer !== null && answer.for === governingDate;
}

/** The day from which a package asks for an answer; on or before today it stands on top of Today. */
export function askOn(found: AskingPackage, lead: LeadDays): CalendarDate {
  if (found.answer !== null && isAnswered(found)) return found.answer.until;
  return addDays(found.governingDate, -(found.state === 'frozen' ? lead.frozen : lead.chilled));
}

export const STAGES = ['ahead', 'on-the-day', 'past'] as const;

export type Stage = (typeof STAGES)[number];

/** Which of its three heads-ups a package has reached on a day. */
export function stageOn(governingDate: CalendarDate, today: CalendarDate): Stage {
  return today < governingDate ? 'ahead' : today === governingDate ? 'on-the-day' : 'past';
}

/** A look holds for a sixth of the days the food keeps, 1 to 30; of what is frozen for a quarter of what is left, 30 to 90. */
const LOOKS_PER_LIFE = 6;
const MOST_REST_DAYS = 30;
const FROZEN_REST: readonly [least: number, most: number] = [30, 90];

/**
 * When "looked, fine" asks for another look: soon for berries, in a month for mustard.
 *
 * @param keepsDays days the food keeps in the refrigerator by the reference; `null`: nobody knows
 */
export function nextLook(found: AskingPackage, today: CalendarDate, keepsDays: number | null): CalendarDate {
  const left = Math.abs(daysBetween(today, found.governingDate));
  const rest =
    found.state === 'frozen'
      ? Math.min(FROZEN_REST[1], Math.max(FROZEN_REST[0], Math.ceil(left / 4)))
      : Math.min(MOST_REST_DAYS, Math.max(1, Math.floor((keepsDays ?? 0) / LOOKS_PER_LIFE)));
  return addDays(today, rest);
}

/** Saturday: the day on which what is frozen and comes near its date is gone through, a freezer at a time. */
const FREEZER_WEEKDAY = 6;

/** True on the day of the week for the freezers. */
export const isFreezerDay = (today: CalendarDate): boolean =>
  new Date(`${today}T12:00:00Z`).getUTCDay() === FREEZER_WEEKDAY;

/**
 * The last day on which freezing still makes sense: the use by; for a quality date the best by. `null` when there is
 * no such day any more.
 */
export function freezeUntil(
  { useBy, bestBy, state }: { useBy: CalendarDate | null; bestBy: CalendarDate; state: PackageState },
  today: CalendarDate,
): CalendarDate | null {
  if (state === 'frozen') return null;
  const last = useBy ?? bestBy;
  return last < today ? null : last;
}
