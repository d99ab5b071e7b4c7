import type { QuickToken } from './quickTokens';
import { numberValue } from '../units/numberValue';
import { NUMBER_WORDS } from './quickWords';

/** A number and how many tokens it took. */
export interface ReadNumber {
  value: number;
  used: number;
  /** The figures as typed, for what 1.000 may mean. */
  text: string;
  /** A word, not a figure: it counts only before something that can be counted. */
  word: boolean;
}

const ARTICLES = ['a', 'an'];

/** "3", "1 ½", "a dozen", "half a dozen", "two dozen", "half a", "a couple of" at a token; `null` when it is none. */
export function readNumber(at: number, token: (index: number) => QuickToken | undefined): ReadNumber | null {
  const first = token(at);
  if (!first) return null;
  const article = ARTICLES.includes(first.lower);
  const lead = article ? token(at + 1) : first;
  let used = article ? 2 : 1;
  const isWord = lead !== undefined && lead.kind === 'word' && Object.hasOwn(NUMBER_WORDS, lead.lower);
  let value: number;
  if (first.kind === 'number') value = numberValue(first.text);
  else if (isWord) value = NUMBER_WORDS[lead.lower] ?? 1;
  else if (article || first.lower === 'dozen') {
    value = 1;
    used = article ? 1 : 0;
  } else return null;
  if (isWord && ARTICLES.includes(token(at + used)?.lower ?? '')) used += 1;
  if (isWord && token(at + used)?.lower === 'of') used += 1;
  if (/^doz(en)?\.?$/.test(token(at + used)?.lower ?? '')) {
    value *= 12;
    used += 1;
    return { value, used, text: '', word: false };
  }
  return { value, used, text: first.text, word: first.kind !== 'number' };
}
