import type { QuickToken } from './quickTokens';
import { numberValue } from '../units/numberValue';
import { NUMBER_WORDS, PARTS } from './quickWords';

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
const TENS = /^(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:-(\p{L}+))?$/u;

/** The value of one number word: "five", "forty", "twenty-five". */
function wordValue(token: QuickToken | undefined): number | undefined {
  if (token?.kind !== 'word') return undefined;
  const [, tens = '', one] = TENS.exec(token.lower) ?? [];
  const word = tens === '' ? token.lower : tens;
  if (!Object.hasOwn(NUMBER_WORDS, word)) return undefined;
  return (NUMBER_WORDS[word] ?? 0) + (one === undefined ? 0 : (NUMBER_WORDS[one] ?? 0));
}

type At = (index: number) => QuickToken | undefined;

/** "and a half", "and three quarters" after a number or a measure; `used` 0: nothing of the kind. */
export function readAndPart(at: number, token: At): { value: number; used: number } {
  if (token(at)?.lower !== 'and') return { value: 0, used: 0 };
  const article = ARTICLES.includes(token(at + 1)?.lower ?? '') ? 1 : 0;
  const part =
    article === 1 ? { value: PARTS[token(at + 2)?.lower ?? ''], used: 3 } : readParts(at + 1, token, 2);
  return part.value === undefined ? { value: 0, used: 0 } : { value: part.value, used: part.used };
}

/** "three quarters", "two thirds". */
function readParts(at: number, token: At, lead: number): { value: number | undefined; used: number } {
  const many = wordValue(token(at));
  const part = PARTS[token(at + 1)?.lower.replace(/s$/, '') ?? ''];
  return { value: many === undefined || part === undefined ? undefined : many * part, used: 1 + lead };
}

/** "five hundred", "two hundred and fifty", "one hundred twenty": a whole number in words. */
function readWhole(at: number, token: At): { value: number; used: number } | null {
  let value = wordValue(token(at));
  if (value === undefined) return null;
  let used = 1;
  const more = (most: number): void => {
    const next = wordValue(token(at + used));
    if (next === undefined || next < 1 || next >= most) return;
    value = (value ?? 0) + next;
    used += 1;
  };
  if (value >= 20 && value < 100) more(10);
  if (token(at + used)?.lower !== 'hundred') return { value, used };
  value *= 100;
  used += 1;
  const and = token(at + used)?.lower === 'and' && (wordValue(token(at + used + 1)) ?? 0) >= 1;
  if (and) used += 1;
  more(100);
  if (value % 100 >= 20) more(10);
  return { value, used };
}

/**
 * "3", "1 ½", "one and a half", "two hundred and fifty", "a dozen", "half a dozen", "three quarters of a", "a couple of" at a token; `null`
 * when it is none.
 */
export function readNumber(at: number, token: At): ReadNumber | null {
  const first = token(at);
  if (!first) return null;
  const article = ARTICLES.includes(first.lower) ? 1 : 0;
  let value: number;
  let used = article;
  let word = true;
  const parts = readParts(at, token, 1);
  const whole = readWhole(at + article, token);
  if (first.kind === 'number') {
    value = numberValue(first.text);
    used = 1;
    word = false;
  } else if (parts.value !== undefined) ({ value = 0, used } = parts);
  else if (whole) {
    value = whole.value;
    used += whole.used;
  } else if (article === 1 && token(at + 1)?.lower === 'hundred') {
    value = 100;
    used = 2;
  } else if (article === 1 || first.lower === 'dozen') value = 1;
  else return null;
  const counted = token(at + used);
  if (whole || !word) {
    const part = readAndPart(at + used, token);
    value += part.value;
    used += part.used;
  }
  if (word && used > article) {
    if (counted?.lower === 'of' || token(at + used)?.lower === 'of') used += 1;
    if (ARTICLES.includes(token(at + used)?.lower ?? '')) used += 1;
    if (token(at + used)?.lower === 'of') used += 1;
  }
  if (/^doz(en)?\.?$/.test(token(at + used)?.lower ?? ''))
    return { value: value * 12, used: used + 1, text: '', word: false };
  return { value, used, text: first.text, word };
}
