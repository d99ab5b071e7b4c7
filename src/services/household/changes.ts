import type { CalendarDate } from '@/core/calendar/calendarDate';
import { now, todayIn } from '../door/clock';
import { sql } from '@/store/database';
import { readLatest } from '@/store/commands';
import { ourHousehold } from './household';
import { keptSince } from './kept';

/** How often something was told in this household, and the last of it: what open pages ask to stay live. */
export interface ChangesView {
  /** The kitchen's time, ISO 8601. */
  at: string;
  /** The day in the household: with a new one everything is judged anew. */
  today: CalendarDate;
  changes: number;
  latest: { id: string; says: string; told_by: string | null } | null;
}

/** Read from the store at every asking, so that it holds over several copies of the server; two small reads. */
export async function readChanges(): Promise<ChangesView> {
  const household = await ourHousehold();
  const latest = await keptSince(household, 'latest', () => readLatest(sql(), household.id));
  return {
    at: now(),
    today: todayIn(household.timeZone),
    changes: household.changes,
    latest: latest && { id: latest.id, says: latest.says, told_by: latest.toldBy },
  };
}
