import { MOST_PACKS } from '../../model/limits';
import { amountFault, isUnit, readAmount } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import type { CountKind, QuickDraft, Reader } from '../quickDraft';
import type { QuickToken } from '../quickTokens';
import { PIECE_WORDS, VESSEL_WORDS } from '../quickWords';
import { numberValue } from '../../units/numberValue';
import { readAndPart, readNumber } from '../readNumber';

const TIMES = ['x', '×', '*'];
const CUBES = ['cube', 'cubes'];

/** The unit word there, "fl oz" and "fl. oz" as one, with how many tokens it takes. */
function unitAt(draft: QuickDraft, at: number): { unit: string; used: number } | null {
  const word = draft.at(at);
  if (word?.kind !== 'word') return null;
  if (/^fl\.?$/.test(word.lower) && draft.at(at + 1)?.lower === 'oz') return { unit: 'fl oz', used: 2 };
  if (/^(fluid)$/.test(word.lower) && /^(oz|ounces?)$/.test(draft.at(at + 1)?.lower ?? ''))
    return { unit: 'fl oz', used: 2 };
  return isUnit(word.lower) ? { unit: word.lower, used: 1 } : null;
}

const NO_PART = { value: 0, used: 0 };

/** "x12", "× 3": a count after the sign. */
const readTimes: Reader = (draft, token, at) => {
  const joined = /^x(\d+)$/.exec(token.lower)?.[1];
  const next = draft.at(at + 1);
  if (joined === undefined && !(TIMES.includes(token.lower) && next?.kind === 'number')) return 0;
  const n = Number(joined ?? numberValue(next?.text ?? ''));
  const to = joined === undefined ? (next?.to ?? token.to) : token.to;
  count(draft, { n, kind: 'times', word: '', first: token, to, at });
  return joined === undefined ? 2 : 1;
};

function count(draft: QuickDraft, told: QuickDraft['counts'][number]): void {
  const { n, kind, first, to } = told;
  const packs = kind === 'times' || kind === 'vessel';
  const half = n === 0.5 && kind === 'vessel';
  if (!(n > 0)) draft.fault(first, to, 'The amount must be more than zero.');
  else if (packs && !Number.isInteger(n) && !half)
    draft.fault(first, to, `Packs are whole numbers from 1 to ${MOST_PACKS}.`);
  else if (draft.counts.some((other) => other.kind === kind))
    draft.fault(first, to, 'A second amount: which one is right?');
  else draft.counts.push(told);
}

/** What a number counts: the word behind it, "of" and the like left out. */
function countedIn(draft: QuickDraft, at: number): { kind: CountKind; word: string; used: number } {
  const word = draft.at(at);
  if (word && TIMES.includes(word.lower)) return { kind: 'times', word: '', used: 1 };
  if (word && CUBES.includes(word.lower)) return { kind: 'cubes', word: word.lower, used: 1 };
  if (word && PIECE_WORDS.has(word.lower)) return { kind: 'piece', word: word.lower, used: 1 };
  if (word && Object.hasOwn(VESSEL_WORDS, word.lower)) return { kind: 'vessel', word: word.lower, used: 1 };
  return { kind: 'bare', word: '', used: 0 };
}

/** Pairs said as one amount: 2 lb 4 oz, 1 kg 200 g, 1 l 500 ml. Pounds and grams in one line are two amounts. */
const PAIRS: readonly (readonly [RegExp, RegExp])[] = [
  [/^(?:lbs?|pounds?)$/, /^(?:ozs?|ounces?)$/],
  [/^(?:kgs?|kilos?|kilograms?)$/, /^(?:g|gr|gms?|grams?|grammes?)$/],
  [/^(?:l|lt|ltr|litres?|liters?)$/, /^(?:ml|mls|cl|dl|millilitres?|milliliters)$/],
];
const areOneMeasure = (large: string, small: string): boolean =>
  PAIRS.some(([first, second]) => first.test(large) && second.test(small));

/** Every number of the line that is not a date or a price: measured amounts and counts. */
export const readAmountWords: Reader = (draft, token, at) => {
  const times = readTimes(draft, token, at);
  if (times > 0) return times;
  // "bottle of wine", "punnet of berries": one of them.
  const alone = countedIn(draft, at);
  if (alone.word !== '' && !alone.word.endsWith('s') && draft.at(at + 1)?.lower === 'of') {
    count(draft, { n: 1, ...alone, first: token, to: token.to, at });
    return 2;
  }
  const negative = token.text === '-' || token.text === '−';
  const figureAt = negative ? at + 1 : at;
  const figure = readNumber(figureAt, (index) => draft.at(index));
  if (!figure || (negative && figure.word)) return 0;
  const unit = unitAt(draft, figureAt + figure.used);
  const half = unit ? readAndPart(figureAt + figure.used + unit.used, (index) => draft.at(index)) : NO_PART;
  const lastAt = figureAt + figure.used + (unit?.used ?? 0) + half.used - 1;
  const to = draft.tokens[lastAt]?.to ?? token.to;
  if (unit) {
    const grams = /^(g|gr|gm|grams?|ml)$/.test(unit.unit);
    const value = (grams ? numberValue(figure.text, true) || figure.value : figure.value) + half.value;
    const read = readAmount(value * (negative ? -1 : 1), unit.unit, draft.vocabulary.units);
    const fault = read && amountFault(read.amount, read.unit);
    if (!read || fault) draft.fault(token, to, fault ?? 'That is no amount.');
    else if (read.unit === 'pc') count(draft, { n: value, kind: 'piece', word: '', first: token, to, at });
    else {
      const before = draft.amounts.at(-1);
      // "2 lb 4 oz" is one amount.
      if (
        before &&
        before.unit === read.unit &&
        areOneMeasure(before.said, unit.unit) &&
        before.to <= token.from &&
        at - before.at <= 3 &&
        read.amount < before.amount &&
        /^\s*$/.test(draft.text.slice(before.to, token.from))
      ) {
        before.amount += read.amount;
        before.to = to;
      } else draft.amounts.push({ ...read, said: unit.unit, first: token, to, at });
    }
    return lastAt - at + 1;
  }
  const kind = countedIn(draft, figureAt + figure.used);
  const end = figureAt + figure.used + kind.used;
  if (figure.word && kind.kind === 'bare' && figure.value === 1) return token.lower === 'one' ? 1 : 0;
  const until = draft.tokens[end - 1]?.to ?? to;
  count(draft, {
    n: negative ? -figure.value : figure.value,
    kind: kind.kind,
    word: kind.word,
    first: token,
    to: until,
    at,
  });
  return end - at;
};

const SPLITS = ['split', 'divided', 'portioned'];
const INTO = ['into', 'in', 'by'];

/** How many tokens say that it is split: "/", "×" before all else, "split into", "into" before a bare number. */
function splitLead(draft: QuickDraft, token: QuickToken, at: number): number {
  const next = draft.at(at + 1);
  if (token.text === '/') return 1;
  if (token.text === '×' && next?.kind === 'number')
    return draft.amounts.length === 0 && draft.counts.length === 0 ? 1 : 0;
  if (SPLITS.includes(token.lower)) return INTO.includes(next?.lower ?? '') ? 2 : 1;
  const figure = token.lower === 'into' ? readNumber(at + 1, (index) => draft.at(index)) : null;
  return figure && figure.value > 1 && countedIn(draft, at + 1 + figure.used).kind === 'bare' ? 1 : 0;
}

/** "/ 4", "/ 500 g each", "/ 4 people", "split into 3": how the whole is split. */
export const readPacks: Reader = (draft, token, at) => {
  const lead = splitLead(draft, token, at);
  if (lead === 0) return 0;
  const figure = readNumber(at + lead, (index) => draft.at(index));
  if (!figure) {
    draft.fault(token, token.to, 'How many packs? Write a number after it.');
    return lead;
  }
  const after = at + lead + figure.used;
  const unit = unitAt(draft, after);
  const word = draft.at(after);
  const told = unit
    ? unit.used
    : word && (Object.hasOwn(VESSEL_WORDS, word.lower) || PEOPLE.has(word.lower))
      ? 1
      : 0;
  const to = draft.tokens[after + told - 1]?.to ?? token.to;
  if (unit) {
    const size = readAmount(figure.value, unit.unit, draft.vocabulary.units);
    if (size && size.amount > 0) draft.split = { size: size.amount, unit: size.unit };
    if (size) draft.part('packs', token, to, `packs of ${sayAmount(size.amount, size.unit)}`);
  } else if (word && PEOPLE.has(word.lower)) {
    draft.split = { people: figure.value };
    draft.part('packs', token, to, `packs for ${figure.value}`);
  } else if (!Number.isInteger(figure.value) || figure.value < 1)
    draft.fault(token, to, 'Packs are counted in whole numbers from 1.');
  else if (figure.value > MOST_PACKS)
    draft.fault(token, to, `${figure.value} packs in one line: ${MOST_PACKS} at most.`);
  else {
    draft.split = { packs: figure.value };
    const wrap = told === 1 && word ? VESSEL_WORDS[word.lower] : null;
    if (wrap) draft.line.wrap = wrap;
    draft.part('packs', token, to, figure.value === 1 ? 'one pack' : `${figure.value} packs`);
  }
  return lead + figure.used + told;
};

const PEOPLE = new Set(['people', 'person', 'persons', 'eaters', 'eater', 'adults', 'heads', 'folk', 'ppl']);
