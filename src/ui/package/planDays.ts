import { addDays } from '@/core/calendar/calendarDate';

const MOST_PLAN_DAYS = 7;

/** The days a plan may name, from today on. */
export const planDays = (today: string, until: string): string[] =>
  Array.from({ length: MOST_PLAN_DAYS }, (_, at) => addDays(today, at)).filter((day) => day <= until);
