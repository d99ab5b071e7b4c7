import { sayPlainDate } from '../../calendar/sayDate';
import { dateWords } from '../dateWords';
import type { QuickDraft, Reader } from '../quickDraft';
import { aboutAge } from '../aboutAge';
import { readNumber } from '../readNumber';

const MOST_WORDS = 3;

/** True when a day or an age begins there: "from the garden july". */
function isWhen(draft: QuickDraft, at: number): boolean {
  const { today, dateOrder, hemisphere } = draft.vocabulary;
  const rest = draft.textFrom(draft.tokens[at]?.from ?? 0);
  return dateWords(rest, today, 'past', dateOrder) !== null || aboutAge(rest, today, hemisphere) !== null;
}

/** "for Wren", "for six", "for Friday", "from the market": words for the label, and a day if it is one. */
export const readPerson: Reader = (draft, token, at) => {
  if (token.lower !== 'for' && token.lower !== 'from') return 0;
  const { today, dateOrder } = draft.vocabulary;
  const rest = draft.textFrom(token.to);
  const read = dateWords(rest, today, token.lower === 'for' ? 'ahead' : 'past', dateOrder);
  if (read && 'date' in read && token.lower === 'for' && read.date >= today) {
    const to = token.to + read.length;
    draft.notes.push(`for ${sayPlainDate(read.date)}`);
    draft.part('note', token, to, `for ${sayPlainDate(read.date)}`);
    return draft.countTo(at, to);
  }
  if (read && 'date' in read && token.lower === 'from' && read.date <= today && !draft.start) {
    draft.start = { did: 'bought', on: read.date };
    draft.part('happened', token, token.to + read.length, `bought ${sayPlainDate(read.date)}`);
    return draft.countTo(at, token.to + read.length);
  }
  const eaters = token.lower === 'for' ? readNumber(at + 1, (index) => draft.at(index)) : null;
  let used = 1 + (eaters?.used ?? 0);
  while (!eaters && used <= MOST_WORDS && draft.at(at + used)?.kind === 'word' && !isWhen(draft, at + used))
    used += 1;
  if (used === 1) return 0;
  const last = draft.tokens[at + used - 1];
  const to = last?.to ?? token.to;
  const words = draft.text.slice(token.from, to);
  draft.notes.push(words);
  draft.part('note', token, to, words);
  return used;
};
