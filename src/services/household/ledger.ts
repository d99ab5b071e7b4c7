import { addDays } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { instantInZone } from '@/core/calendar/instantInZone';
import { sayPastDate } from '@/core/calendar/sayDate';
import { sql } from '@/store/database';
import { readLedger } from '@/store/ledger';
import { todayIn } from '../door/clock';
import { ourHousehold } from './household';
import { DOOR } from '../door/readCommands';
import { Problem } from '../door/problem';
import { countPassedUnanswered } from '../today/today';

/** Small steps that the ledger's list does not show one by one. */
const UNLISTED = [...DOOR.values()].filter(({ kind }) => kind.unlisted).map(({ kind }) => kind.type);

export interface LedgerLine {
  id: string;
  type: string;
  at: string;
  /** "today", "Mon", "4 Dec". */
  day_words: string;
  time_words: string;
  says: string;
  codes: string[];
  undone: boolean;
  undoes: string | null;
  /** What the door noticed, such as a clock set back. */
  note: string;
  /** Who told it; `null`: nobody said. */
  told_by: string | null;
}

export interface LedgerView {
  /** Dates that went by with no answer in the last 12 months. */
  passed_unanswered: number;
  entries: LedgerLine[];
  next: string | null;
}

/** The instants between which a day of the household lies. */
function dayOf(on: string | undefined, timeZone: string): { from: string | null; until: string | null } {
  if (on === undefined) return { from: null, until: null };
  return {
    from: instantInZone(on, '00:00', timeZone),
    until: instantInZone(addDays(on, 1), '00:00', timeZone),
  };
}

/** The ledger, newest first, a page at a time. */
export async function readLedgerPage(query: {
  q?: string | undefined;
  on?: string | undefined;
  after?: string | undefined;
  limit?: number | undefined;
}): Promise<LedgerView> {
  const household = await ourHousehold();
  const limit = query.limit ?? 50;
  const [recordedAt, id] = query.after?.split('_') ?? [];
  if (query.after !== undefined && (!recordedAt || !id || Number.isNaN(Date.parse(recordedAt)))) {
    throw new Problem(400, 'invalid', '“after” is not a key this list gave.');
  }
  const entries = await readLedger(
    sql(),
    household.id,
    recordedAt && id ? { recordedAt, id } : null,
    limit + 1,
    UNLISTED,
    { words: query.q?.trim() ?? '', ...dayOf(query.on, household.timeZone) },
  );
  const page = entries.slice(0, limit);
  const last = page.at(-1);
  const today = todayIn(household.timeZone);
  const clock = new Intl.DateTimeFormat('en-GB', {
    timeZone: household.timeZone,
    hour: '2-digit',
    minute: '2-digit',
  });
  return {
    passed_unanswered: await countPassedUnanswered(household.id, today),
    entries: page.map((entry) => ({
      id: entry.id,
      type: entry.type,
      at: entry.at,
      day_words: sayPastDate(dateInZone(entry.at, household.timeZone), today),
      time_words: clock.format(new Date(entry.at)),
      says: entry.says,
      codes: entry.codes,
      undone: entry.undone,
      undoes: entry.undoes,
      note: entry.note,
      told_by: entry.toldBy,
    })),
    next: entries.length > limit && last ? `${last.recordedAt}_${last.id}` : null,
  };
}
