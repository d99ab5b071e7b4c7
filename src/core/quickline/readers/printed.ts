import { type CalendarDate, daysBetween } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import type { PrintedKind } from '../../model/history';
import { dateWords } from '../dateWords';
import type { Reader } from '../quickDraft';
import { PRINTED_WORDS } from '../quickWords';

const MOST_WORDS = 4;

/** "6 days ago", "in 3 days", for a day that is not today. */
function sayAway(date: CalendarDate, today: CalendarDate): string {
  const days = daysBetween(today, date);
  if (days === 0) return 'today';
  const count = `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return days < 0 ? `${count} ago` : `in ${count}`;
}

/** "use by 3 dec", "bb 14.12.", "exp 12/26". */
export const readPrinted: Reader = (draft, token, at) => {
  let kind: PrintedKind | undefined;
  let used = 0;
  for (let count = MOST_WORDS; count > 0 && !kind; count--) {
    const words = Array.from({ length: count }, (_, next) => draft.at(at + next)?.lower ?? '-');
    kind = PRINTED_WORDS[words.join(' ').replaceAll('-', ' ').replace(/\.$/, '')];
    used = count;
  }
  const lead = draft.tokens[at + used - 1];
  if (!kind || !lead) return 0;
  const colon = draft.at(at + used)?.text === ':' ? 1 : 0;
  const from = draft.at(at + used)?.text === ':' ? lead.to + 1 : lead.to;
  const { today, dateOrder } = draft.vocabulary;
  const read = dateWords(draft.textFrom(from), today, 'ahead', dateOrder);
  const to = from + (read?.length ?? 0);
  if (!read || 'missing' in read) {
    draft.fault(
      token,
      to,
      read ? 'That date does not exist.' : 'Which date is printed? Write it after: use by 3 dec.',
    );
  } else {
    draft.line.printed = { kind, date: read.date };
    draft.part(
      'printed',
      token,
      to,
      `printed ${kind} ${sayPlainDate(read.date)}, ${sayAway(read.date, today)}`,
    );
  }
  return Math.max(used + colon, draft.countTo(at, to));
};
