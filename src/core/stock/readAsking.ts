import { nearestFoods } from '../foods/findFood';
import { foodWords } from '../foods/foodKey';
import { readPackageCode } from '../labels/readPackageCode';
import type { AskedPart, Asking, KindedFood, Narrowing } from './asking';
import type { AskingVocabulary, Found, Word } from './readers/askedWords';
import { isExact, readFoods } from './readers/food';
import { readKind } from './readers/kind';
import { readPerson } from './readers/person';
import { readPlace } from './readers/place';
import { readAmountAsked } from './readers/amount';
import { readLack } from './readers/lack';
import { readAge, readCame, readDue, readMonth } from './readers/when';

/** Words that ask and say nothing of what is wanted; in plain form. */
const SAYS_NOTHING = new Set(
  'where is are be the a an any all of our my we have got do does there in on at from with and or for still what which how much many left it one thing stuff everything please find show me to eat i can old'.split(
    ' ',
  ),
);
/** Words that compare or tell when: where nothing understood them, they are no food ("more" is no morel). */
const NO_FOOD = new Set(
  'more less before after past worth than under over since until need needs eating using go going'.split(' '),
);
const EXCEPT = new Set(['not', 'except', 'without', 'no', 'but', 'excluding']);
const OLDEST = new Set(['oldest', 'eldest', 'longest']);
const FIRST = new Set(['first', 'next']);

const STATE_WORDS: Readonly<Record<string, Narrowing>> = {
  frozen: { by: 'state', states: ['frozen'] },
  chilled: { by: 'state', states: ['chilled'] },
  thawing: { by: 'state', states: ['thawing'] },
  thawed: { by: 'state', states: ['thawing'] },
  open: { by: 'opened', opened: true },
  opened: { by: 'opened', opened: true },
  begun: { by: 'opened', opened: true },
  closed: { by: 'opened', opened: false },
  unopened: { by: 'opened', opened: false },
  sealed: { by: 'opened', opened: false },
};

/**
 * Reads what somebody wants to see: "frozen, raw meat, older than 6 months", "where is the butter", "oldest in the chest", "fish",
 * "layer 1", a person's name, "lunch", a code. What is of one sort widens (beef or pork), what is of several narrows. Never throws.
 */
export function readAsking<F extends KindedFood>(text: string, vocabulary: AskingVocabulary<F>): Asking {
  const words: Word[] = [...text.matchAll(/[\p{L}\p{N}%]+/gu)].map(({ 0: word, index }) => ({
    plain: foodWords(word)[0] ?? word.toLowerCase(),
    from: index,
    to: index + word.length,
  }));
  const asking: Asking = { parts: [], oldest: false, unknown: [] };
  const { today, zones, people } = vocabulary;
  const code = text.trim();
  if (words.length === 1 && /\d/.test(code) && vocabulary.coded(readPackageCode(code)))
    return {
      ...asking,
      parts: [
        {
          from: 0,
          to: text.length,
          says: `code ${readPackageCode(code)}`,
          guessed: false,
          not: false,
          narrows: { by: 'code', code: readPackageCode(code) },
        },
      ],
    };
  let not: Word | null = null;
  for (let at = 0; at < words.length;) {
    const rest = words.slice(at);
    const [word] = rest;
    if (!word) break;
    // "no meat", "no label" are said as one.
    if (EXCEPT.has(word.plain) && rest.length > 1 && !readKind(rest, vocabulary) && !readLack(rest)) {
      not = word;
      at += word.plain === 'but' && rest[1]?.plain === 'not' ? 2 : 1;
      continue;
    }
    const exactFood = [5, 4, 3, 2].find(
      (length) =>
        length <= rest.length &&
        isExact(
          rest.slice(0, length).map(({ plain }) => plain),
          vocabulary,
        ),
    );
    const state = STATE_WORDS[word.plain];
    const found: Found | null =
      readLack(rest) ??
      readAmountAsked(rest, text) ??
      readAge(rest, today) ??
      readCame(rest, today, text) ??
      readPlace(rest, zones) ??
      (exactFood ? readFoods(rest.slice(0, exactFood), vocabulary) : null) ??
      readDue(rest, today) ??
      readPerson(rest, people) ??
      (state ? { length: 1, says: word.plain, narrows: state } : null) ??
      readKind(rest, vocabulary) ??
      readMonth(rest, today);
    const says =
      found ??
      ([OLDEST, FIRST, SAYS_NOTHING, NO_FOOD].some((words) => words.has(word.plain))
        ? null
        : readFoods(rest, vocabulary));
    if (says) {
      const last = rest[says.length - 1] ?? word;
      const part: AskedPart = {
        from: not?.from ?? word.from,
        to: last.to,
        says: `${not ? 'not ' : ''}${says.says}`,
        guessed: says.guessed ?? false,
        not: not !== null,
        narrows: says.narrows,
      };
      asking.parts.push(part);
      not = null;
      at += says.length;
      continue;
    }
    if (OLDEST.has(word.plain)) asking.oldest = true;
    else if (!SAYS_NOTHING.has(word.plain) && !FIRST.has(word.plain))
      asking.unknown.push({
        from: word.from,
        to: word.to,
        words: text.slice(word.from, word.to),
        like: nearestFoods(vocabulary.index, word.plain, 3).map(({ name }) => name),
      });
    at += 1;
  }
  return asking;
}
