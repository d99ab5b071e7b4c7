import { sayPlainDate } from '../../calendar/sayDate';
import { isStart, START_WORDS } from '../../keeping/startDates';
import { aboutAge } from '../aboutAge';
import { dateWords } from '../dateWords';
import type { QuickDraft, Reader, ToldDay } from '../quickDraft';
import type { QuickToken } from '../quickTokens';
import { HAPPENED_WORDS, SHOP_FROZEN } from '../quickWords';

/** What begins with a figure and is a date all the same: 14 Dec, 14.12., 3 weeks ago, 2026-11-03, 3/12/26. */
const DATE_BY_FIGURE =
  /^(?:\d{1,2}(?:st|nd|rd|th)?[\s-]*(?:of\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)|\d+\s*(?:days?|weeks?|wks?|months?|mths?|years?|yrs?)\b|\d{1,2}\.\d{1,2}\.(?:\d{2,4})?(?!\d)|\d{4}-\d{1,2}-\d{1,2}|\d{1,2}\/\d{1,2}\/\d{2,4})/i;

/** A day on which something happened, read at an offset; one still to come is a fault, and asked about. */
function readDay(draft: QuickDraft, token: QuickToken, from: number): ToldDay {
  const { today, dateOrder, hemisphere } = draft.vocabulary;
  const rest = draft.textFrom(from);
  const read = dateWords(rest, today, 'past', dateOrder);
  if (read && 'date' in read && read.date <= today)
    return { on: read.date, to: from + read.length, bad: false, about: '' };
  const age = aboutAge(rest, today, hemisphere);
  if (age?.unknown) draft.unknownAge = true;
  if (age) return { on: age.on, to: from + age.length, bad: false, about: age.says };
  if (!read) return { on: today, to: from, bad: false, about: '' };
  const to = from + read.length;
  if ('missing' in read) draft.fault(token, to, 'That date does not exist.');
  else draft.fault(token, to, `${sayPlainDate(read.date)} is still to come: not yet.`);
  return { on: today, to, bad: true, about: '' };
}

/** "bought frozen mon", "shop-frozen": from a freezer into ours. */
export const readBoughtFrozen: Reader = (draft, token, at) => {
  const next = draft.at(at + 1);
  const joined = SHOP_FROZEN.includes(token.lower);
  const apart = next?.lower === 'frozen' && (token.lower === 'bought' || token.lower === 'given');
  if (!joined && !apart) return 0;
  const last = joined ? token : (next ?? token);
  const { on, to, bad, about } = readDay(draft, token, last.to);
  const used = joined ? 1 : 2;
  if (!bad) {
    draft.start = { did: token.lower === 'given' ? 'given' : 'bought', on, frozen: true };
    draft.about = about || draft.about;
    draft.part('happened', token, to, `bought frozen ${sayPlainDate(on)}`);
  }
  return used + draft.countTo(at + used, to);
};

/** "opened", "cooked yesterday", "frozen since spring". */
export const readHappened: Reader = (draft, token, at) => {
  const did = Object.hasOwn(HAPPENED_WORDS, token.lower) ? HAPPENED_WORDS[token.lower] : undefined;
  if (!did) return 0;
  const { on, to, bad, about } = readDay(draft, token, token.to);
  if (!bad) {
    if (isStart(did)) draft.start = { did, on };
    else if (did === 'opened') draft.line.openedOn = on;
    else draft.line.frozenOn = on;
    draft.about = about || draft.about;
    draft.part(
      'happened',
      token,
      to,
      `${isStart(did) ? START_WORDS[did] : did} ${sayPlainDate(on)}`,
      about !== '',
    );
  }
  return 1 + draft.countTo(at + 1, to);
};

/** A date by itself: the day it came in. One still to come is a printed date, and asked which. */
export const readBareDate: Reader = (draft, token, at) => {
  if (draft.start || token.kind === 'mark') return 0;
  const rest = draft.textFrom(token.from);
  if (token.kind === 'number' && !DATE_BY_FIGURE.test(rest)) return 0;
  const { today, dateOrder, hemisphere } = draft.vocabulary;
  const read = dateWords(rest, today, 'past', dateOrder);
  const age = !read || 'missing' in read ? aboutAge(rest, today, hemisphere) : null;
  if (!age && !read) return 0;
  if (!age && read && 'date' in read && read.date > today) {
    const words = rest.slice(0, read.length).trim();
    draft.fault(token, token.from + read.length, `${sayPlainDate(read.date)} is to come: what is it?`, [
      `use by ${words}`,
      `best before ${words}`,
    ]);
    return Math.max(1, draft.countTo(at, token.from + read.length));
  }
  const { on, to, bad, about } = readDay(draft, token, token.from);
  if (!bad) {
    draft.start = { did: 'bought', on };
    draft.about = about || draft.about;
    draft.part(
      'happened',
      token,
      to,
      about === '' ? `bought ${sayPlainDate(on)}` : `since ${sayPlainDate(on)}`,
      about !== '',
    );
  }
  return Math.max(1, draft.countTo(at, to));
};
