import type { Food } from '../model/food';
import { findFood, foodsOfKind, type NamedFood, nearestFoods } from '../foods/findFood';
import type { CalendarDate } from '../calendar/calendarDate';
import type { DiscardReason } from '../model/package';
import { sayPlainDate } from '../calendar/sayDate';
import { isUnit } from '../units/readAmount';
import type { AmountUnit } from '../units/sayAmount';
import { dateWords } from './dateWords';
import { parseQuickLine } from './parseQuickLine';
import type { QuickVocabulary, QuickZone } from './quickLine';
import { asVerbLine } from './asVerbLine';
import { NUMBER_WORDS, PIECE_WORDS } from './quickWords';

/** What is done with something that is here already. */
export type Verb = 'take' | 'open' | 'move' | 'freeze' | 'thaw' | 'bin' | 'where' | 'undo';

/** What people say when they do it, and when they have done it. */
const VERB_WORDS: Readonly<Record<Verb, string>> = {
  take: 'take took taken takes use used uses using eat ate eaten eats finish finished drink drank drunk drinks had cook cooked',
  open: 'open opened opens',
  move: 'move moved moves put shift shifted popped',
  freeze: 'freeze froze',
  thaw: 'thaw thawed defrost defrosted',
  bin: 'bin binned throw threw thrown chuck chucked toss tossed dump dumped',
  where: "where where's find",
  undo: 'undo',
};
const VERB_OF = new Map(
  Object.entries(VERB_WORDS).flatMap(([verb, words]) => words.split(' ').map((word) => [word, verb as Verb])),
);
/** Said of food that comes in too ("cooked rice 400 g", "opened milk"): a verb only of what is here. */
const SAID_OF_FOOD = new Set(['cooked', 'opened', 'froze', 'had', 'put', 'used', 'drink', 'popped']);

/** Reasons to bin, as people say them. */
const REASONS: readonly (readonly [RegExp, DiscardReason])[] = [
  [/\b(?:mould(?:y)?|mold(?:y)?|spoil(?:ed|t)|off|bad|slimy|rotten)\b/i, 'spoiled'],
  [/\b(?:freezer[- ]?burn(?:t|ed)?)\b/i, 'freezer-burnt'],
  [/\b(?:past|expired|out of date)\b/i, 'past-date'],
  [/\b(?:unwanted|not wanted|nobody wants)\b/i, 'unwanted'],
];

/** A line that does something with what is here, as typed. */
export interface VerbReading<F extends NamedFood> {
  verb: Verb;
  /** Foods that may stand in for each other. */
  foods: F[];
  /** A measured amount; `null`: packs are counted. */
  amount: { amount: number; unit: AmountUnit } | null;
  /** How many packs, or pieces of a food that lies in pieces. */
  count: number;
  /** How much of one package, 0 to 1: "half the butter", "finished the milk"; `null`: not said so. */
  share: number | null;
  zone: QuickZone | null;
  /** The day of the meal; `null`: not said. */
  on: CalendarDate | null;
  reason: DiscardReason;
  /** Why it cannot be done like this; empty when it can. */
  fault: string;
  /** Lines to pick instead. */
  candidates: string[];
}

const WHO = String.raw`(?:(?:i|we|i've|we've|i’ve|we’ve|have|just|already|please)\s+)*`;
const LEAD = new RegExp(
  String.raw`^\s*${WHO}(${[...VERB_OF.keys()].join('|')})(?![\p{L}\d'’-])\s*(?:out\b(?!\s+of)|away\b|off\b|up\b|is\b|are\b|s\b)*\s*`,
  'iu',
);
const THE = /^(?:the|my|our|that|this|those|these|all|another|one of the)\b\s*/i;
/** A share of what is there: never of a measure ("half a pound"). */
const SHARE =
  /^(half|a third|a quarter|two thirds|three quarters|the rest|the remainder|the last|the last bit|all|what(?:['’]s| is| was) left)\s+(?:of\s+)?(?=(?:the|my|our|that|this)\b|of\b|\p{L}+\s*$)(?:of\s+)?(?:(?:the|my|our|that|this)\b\s*)?(?!an?\b)/iu;
const SHARES: Readonly<Record<string, number>> = {
  half: 1 / 2,
  'a third': 1 / 3,
  'a quarter': 1 / 4,
  'two thirds': 2 / 3,
  'three quarters': 3 / 4,
};
/** So much that nobody said how much. */
const SOME = /^(?:some|a bit|a little|a few|most|a piece)\s+(?:more\s+)?of\s+(?:the|my|our|that|this)\s+/iu;
/** "the last egg" is one; "the last of the eggs" is what is left. */
const LAST_ONE = /^the last\s+(?!of\b|bit\b)/iu;
const FINISHED = /^finish(?:ed)?$/i;
/** What says no more of it: "because it was", "out of the freezer", "for lunch". */
const ASIDE =
  /(?:,?\s*(?:because|since|as|and)?\s*(?:it|they|that|which)\s+(?:was|were|is|are|had|has|went|looked|smelled|smelt)\b.*|\s+(?:out of|from)\s+the\s+\p{L}+|\s+for\s+(?:(?:the|my|our)\s+)?(?:breakfast|lunch|dinner|supper|tea|lunch ?box(?:es)?|kids|children))\s*$/iu;
/** Foods that are called by a verb: they come in, nothing is taken. */
const NO_VERB =
  /^\s*(?:take[\s-]?away|freeze[\s-]dried|open\s+sandwich|drinks?\s*$|cook(?:ing)?\s+(?:bacon|chorizo|wine|apples?))/i;
const MEAL = /\s+(?:(?:for|by)\s+([^>]+)|(tonight|today|tomorrow))\s*$/i;
const BEFORE = /\s+(?:yesterday|last night|this morning|at lunch|just now|out|away|up)\s*$/i;

/** "three", "a", "2 slices of": how many, before what. */
const COUNTED = new RegExp(
  String.raw`^(?:(?:an?|some|${Object.keys(NUMBER_WORDS).join('|')})\s+)?(?:(?:${[...PIECE_WORDS].join('|')})\s+of\s+)?`,
  'iu',
);

/** True when the words after a verb name something that is here. */
function isHere<F extends NamedFood>(rest: string, { foods, here = {} }: QuickVocabulary<F>): boolean {
  const [name = ''] = rest
    .replace(ASIDE, '')
    .replace(BEFORE, '')
    .replace(/^[\d.,]+\s*\p{L}{0,2}\s+(?:of\s+)?/u, '')
    .replace(COUNTED, '')
    .replace(THE, '')
    .split(/\s+(?:to|in|into|>)\s+/);
  return foodsOfKind(foods, name, Infinity).some(({ id }) => (here[id] ?? 0) > 0);
}

/**
 * The verb a line begins with, in any tense; `null`: it tells what came in. "Open milk 2 l" tells a package that came in open when it
 * says how much; "open milk" opens one, and so does "opened milk" where there is milk.
 */
export function verbOf<F extends NamedFood>(told: string, vocabulary?: QuickVocabulary<F>): Verb | null {
  const text = asVerbLine(told);
  if (NO_VERB.test(text)) return null;
  const [lead = '', word = ''] = LEAD.exec(text) ?? [];
  const verb = VERB_OF.get(word.toLowerCase()) ?? null;
  const rest = text.slice(lead.length);
  if (verb === 'undo') return /^\s*(?:that|last|it)?\s*[.!]?\s*$/i.test(rest) ? verb : null;
  if (verb === null || rest.trim() === '') return null;
  if (verb === 'open' && /\d/.test(rest)) return null;
  if (!SAID_OF_FOOD.has(word.toLowerCase()) || SHARE.test(rest)) return verb;
  return THE.test(rest) || (vocabulary !== undefined && isHere(rest, vocabulary)) ? verb : null;
}

const plainName = (name: string): string => name.toLowerCase().replaceAll(',', '');

/** The meal's day at the end of a line. @returns a fault for a day that cannot be */
function mealOf(
  rest: string,
  { today, dateOrder }: QuickVocabulary,
): { rest: string; on: CalendarDate | null; fault: string } {
  const meal = MEAL.exec(rest);
  if (!meal) return { rest, on: null, fault: '' };
  const words = meal[1] ?? meal[2] ?? '';
  const day = dateWords(words, today, 'ahead', dateOrder);
  if (!day || 'missing' in day) return { rest, on: null, fault: 'For which day is it?' };
  const fault = day.date < today ? `${sayPlainDate(day.date)} has gone by. For which day is it?` : '';
  return { rest: rest.slice(0, meal.index), on: day.date, fault };
}

/**
 * Reads "take 500 g minced venison", "take 3 stew", "move trout > layer 1", "bin yogurt mouldy", "where is the butter", "take 600 g
 * beef mince or pork mince for fri": verb, amount or count, foods that may stand in for each other, place, day. Never throws.
 */
export function readVerb<F extends NamedFood & Partial<Pick<Food, 'group' | 'fridgeDaysMax'>>>(
  told: string,
  vocabulary: QuickVocabulary<F>,
): VerbReading<F> | null {
  const text = asVerbLine(told);
  const verb = verbOf(text, vocabulary);
  if (verb === null) return null;
  const reading: VerbReading<F> = {
    verb,
    foods: [],
    amount: null,
    count: 1,
    share: null,
    zone: null,
    on: null,
    reason: 'unwanted',
    fault: '',
    candidates: [],
  };
  if (verb === 'undo') return reading;
  const [lead = '', word = ''] = LEAD.exec(text) ?? [];
  let said = text.slice(lead.length).replace(/[?.!]+\s*$/, '');
  for (const [words, reason] of verb === 'bin' ? REASONS : []) {
    if (!words.test(said)) continue;
    reading.reason = reason;
    said = said.replace(words, ' ').replace(/[(),]/g, ' ').trim();
    break;
  }
  if (verb === 'take' && SOME.test(said)) {
    const rest = said.replace(SOME, '');
    const candidates = ['a quarter', 'half', 'all'].map((part) => `${lead}${part} of the ${rest}`);
    return { ...reading, fault: 'How much of it?', candidates };
  }
  said = said.replace(LAST_ONE, 'the ');
  const [, share] = SHARE.exec(said) ?? [];
  reading.share = share === undefined ? (FINISHED.test(word) ? 1 : null) : (SHARES[share.toLowerCase()] ?? 1);
  if (verb !== 'where') said = said.replace(SHARE, '').replace(ASIDE, '').replace(BEFORE, '');
  said = said.replace(THE, '');
  const meal = mealOf(said, vocabulary);
  reading.on = meal.on;
  if (meal.fault !== '') return { ...reading, fault: meal.fault };
  const [first = '', ...others] = meal.rest.split(/\s+or\s+/i);
  const [, alone] = /^\s*\d+(?:[.,]\d+)?\s*(\p{L}+)?\s*$/u.exec(first) ?? ['', 'x'];
  const bare = alone === undefined || isUnit(alone);
  if (first.trim() === '' || bare)
    return { ...reading, fault: 'Of what? For example: take 500 g minced venison.' };
  const parsed = parseQuickLine(first, { ...vocabulary, placedLater: true, ofStock: true });
  if (!parsed.line) {
    const [fault] = parsed.faults;
    const candidates = (
      fault?.candidates.length ? fault.candidates : (fault?.unknownFood?.like.map(({ name }) => name) ?? [])
    ).map(
      (name) =>
        `${lead}${first.slice(0, fault?.from)}${plainName(name)}${first.slice(fault?.to)}${meal.on ? text.slice(lead.length + meal.rest.length) : ''}`,
    );
    return { ...reading, fault: fault?.says ?? 'That was not understood.', candidates };
  }
  const { line } = parsed;
  const food = vocabulary.foods.byId.get(line.food);
  if (food) reading.foods.push(food);
  reading.zone = vocabulary.zones.find(({ id }) => id === line.zone) ?? null;
  if (line.unit === 'pc') reading.count = line.amount;
  else reading.amount = { amount: line.amount, unit: line.unit };
  for (const name of others) {
    const found = findFood(vocabulary.foods, name);
    if (!('candidates' in found)) {
      reading.foods.push(found.found);
      continue;
    }
    const near = found.candidates.length > 0 ? found.candidates : nearestFoods(vocabulary.foods, name);
    const candidates = near.map((one) => text.replace(name, plainName(one.name)));
    return { ...reading, fault: `“${name}” is not known.`, candidates };
  }
  if (verb === 'move' && !reading.zone)
    return { ...reading, fault: 'Where to? Write it after: move trout > layer 1.' };
  return reading;
}
