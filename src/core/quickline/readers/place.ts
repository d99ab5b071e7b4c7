import type { QuickDraft, Reader } from '../quickDraft';
import type { QuickToken } from '../quickTokens';
import { VESSEL_WORDS } from '../quickWords';
import { readNumber } from '../readNumber';
import { readPlaceWords, type ReadPlace } from '../readPlaceWords';

const ARROWS = ['>', '→'];
const LEADS = ['in', 'into', 'on', 'onto', 'to', 'at', 'inside'];
const COLDS = ['freezer', 'fridge'];
const MOST_WORDS = 6;
const MOST_CANDIDATES = 6;

/** Words from a token on, up to a mark, a figure that is no part of a name, or the food. */
function wordsFrom(draft: QuickDraft, at: number): QuickToken[] {
  const words: QuickToken[] = [];
  for (let next = at; words.length < MOST_WORDS; next++) {
    const word = draft.at(next);
    if (!word || word.kind === 'mark') break;
    words.push(word);
  }
  return words;
}

function take(draft: QuickDraft, token: QuickToken, words: QuickToken[], read: ReadPlace): void {
  const to = words[read.words - 1]?.to ?? token.to;
  if ('zone' in read) {
    draft.line.zone = read.zone?.id ?? null;
    draft.placed = true;
    const says = read.zone ? `to ${read.zone.name}, ${read.zone.appliance}` : 'stays on the counter';
    draft.part('place', token, to, says, read.guessed ?? false);
    return;
  }
  const names = read.candidates.map((zone) => `> ${zone.name} ${zone.appliance}`);
  const many = words.length === 0 ? 'Which zone?' : 'Several zones are called that.';
  const says = words.length > 0 && names.length === 0 ? 'There is no such zone.' : many;
  draft.fault(token, to, says, names.slice(0, MOST_CANDIDATES));
}

/** "in the freezer", where a zone is found afterwards: which is a matter of room. */
function intoFreezer(draft: QuickDraft, token: QuickToken, at: number): boolean {
  const [word, next] = [draft.at(at), draft.at(at + 1)];
  const { placedLater = false, ofStock = false } = draft.vocabulary;
  const more = next?.kind === 'word' && (Object.hasOwn(VESSEL_WORDS, next.lower) || readsOn(draft, at));
  if (!placedLater || ofStock || draft.placed || word?.lower !== 'freezer' || more) return false;
  draft.intoFreezer = true;
  draft.part('happened', token, word.to, 'to the freezer');
  return true;
}

/** True where the words behind it say which zone ("freezer drawer 2"). */
function readsOn(draft: QuickDraft, at: number): boolean {
  const read = readPlaceWords(textOf(wordsFrom(draft, at)), draft.vocabulary.zones);
  return 'zone' in read && read.words > 1;
}

const textOf = (words: QuickToken[]): string[] => words.map((word) => word.text);

/** "> layer 1", "in the door", "on the bottom shelf". */
export const readPlace: Reader = (draft, token, at) => {
  const arrow = ARROWS.includes(token.text);
  const led = LEADS.includes(token.lower);
  if (!arrow && !led) return 0;
  // "in two tubs" is how it is packed.
  if (led && readNumber(at + 1, (index) => draft.at(index))) return 0;
  const article = ['the', 'our', 'my'].includes(draft.at(at + 1)?.lower ?? '') ? 1 : 0;
  if (intoFreezer(draft, token, at + 1 + article)) return 2 + article;
  const words = wordsFrom(draft, at + 1 + article);
  const read = readPlaceWords(textOf(words), draft.vocabulary.zones);
  if (led && !('zone' in read) && (words.length === 0 || read.candidates.length === 0)) return 0;
  take(draft, token, words, read);
  return 1 + article + read.words;
};

/** A zone's whole name without anything before it: "mince 500 g layer 1". */
export const readBarePlace: Reader = (draft, token, at) => {
  if (token.kind !== 'word' || draft.placed) return 0;
  if (intoFreezer(draft, token, at)) return 1;
  const words = wordsFrom(draft, at);
  // "freezer layer 2" names a place by its cold.
  const wholeNames = !(COLDS.includes(token.lower) && readsOn(draft, at));
  const read = readPlaceWords(textOf(words), draft.vocabulary.zones, { wholeNames });
  if (!('zone' in read)) return 0;
  take(draft, token, words, read);
  return read.words;
};
