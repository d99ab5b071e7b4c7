import { addDays, daysBetween, type CalendarDate } from '../calendar/calendarDate';
import type { PackageState } from '../model/history';
import type { Answer, LeadDays } from '../model/answer';

/** One day before the band turns "soon" (3 days chilled, 30 frozen). */
export const USUAL_LEAD: LeadDays = { chilled: 4, frozen: 31 };

/** What the heads-ups need to know of a package. */
export interface AskingPackage {
  state: PackageState;
  governingDate: CalendarDate;
  answer: Answer | null;
}

/** The first day a package stands on Today: its lead ahead of its date, and never after it turns "soon". */
export function nearOn({ state, governingDate }: AskingPackage, lead: LeadDays): CalendarDate {
  const ahead = state === 'frozen' ? Math.max(lead.frozen, 30) : Math.max(lead.chilled, 3);
  return addDays(governingDate, -ahead);
}

/** True when the clock that runs now has had an answer, be it old or new. */
export function isAnswered({ answer, governingDate }: AskingPackage): boolean {
  return answer !== null && answer.for === governingDate;
}

/** The day from which a package asks for an answer; on or before today it stands on top of Today. */
export function askOn(found: AskingPackage, lead: LeadDays): CalendarDate {
  return found.answer !== null && isAnswered(found) ? found.answer.until : nearOn(found, lead);
}

export const STAGES = ['ahead', 'on-the-day', 'past'] as const;

export type Stage = (typeof STAGES)[number];

/** Which of its three heads-ups a package has reached on a day. */
export function stageOn(governingDate: CalendarDate, today: CalendarDate): Stage {
  return today < governingDate ? 'ahead' : today === governingDate ? 'on-the-day' : 'past';
}

/** Days until "looked, fine" asks for another look: a third of what is left or went by, 1 to 14 (frozen: 14 to 60). */
export function nextLook(found: AskingPackage, today: CalendarDate): CalendarDate {
  const span = Math.abs(daysBetween(today, found.governingDate));
  const third = Math.ceil(span / 3);
  return addDays(
    today,
    found.state === 'frozen' ? Math.min(60, Math.max(14, third)) : Math.min(14, Math.max(1, third)),
  );
}

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
