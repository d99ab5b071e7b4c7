import type { CalendarDate } from '../calendar/calendarDate';

/** What a cook may answer to a heads-up without the package leaving its clock. */
export const ANSWERS = ['eat-tonight', 'plan', 'looked-fine', 'drop'] as const;

export type AnswerKind = (typeof ANSWERS)[number];

/** An answer, and until when it stands. It is for one clock: another governing date asks anew. */
export interface Answer {
  what: Exclude<AnswerKind, 'drop'>;
  on: CalendarDate;
  /** The day it is to be eaten, for “eat tonight” and a plan; of answers of before not known. */
  day?: CalendarDate;
  /** The day the package asks again. */
  until: CalendarDate;
  /** The governing date it was given for. */
  for: CalendarDate;
}

/** How many days before its date a package raises its first heads-up, chilled and frozen. */
export interface LeadDays {
  chilled: number;
  frozen: number;
}
