import { addDays, type CalendarDate } from '../calendar/calendarDate';
import type { Job } from '../model/setting';
import kinds from './upkeepKinds.json';

/** Upkeep offered by picking. */
export interface UpkeepKind {
  name: string;
  everyDays?: number;
  /** Done once, so many days before a date. */
  ahead?: number;
  /** Due by measured frost as well. */
  frost?: boolean;
  says: string;
}

export const UPKEEP_KINDS = kinds as UpkeepKind[];

/** From this frost on an appliance is defrosted whatever the calendar says, mm; the usual advice of makers. */
export const FROST_MM = 5;

/** The day a round or upkeep is due: its own day, at once when the frost is thick, else so many days after the last time. */
export function jobDue({ dueOn, frostMm, lastOn, everyDays }: Job, today: CalendarDate): CalendarDate {
  if (dueOn !== null) return dueOn;
  if (lastOn === null || (frostMm !== null && frostMm >= FROST_MM)) return today;
  return addDays(lastOn, everyDays);
}
