import type { Food } from '../model/food';
import { findFood, type NamedFood, nearestFoods } from '../foods/findFood';
import type { CalendarDate } from '../calendar/calendarDate';
import type { DiscardReason } from '../model/package';
import { sayPlainDate } from '../calendar/sayDate';
import { isUnit } from '../units/readAmount';
import type { AmountUnit } from '../units/sayAmount';
import { dateWords } from './dateWords';
import { parseQuickLine } from './parseQuickLine';
import type { QuickVocabulary, QuickZone } from './quickLine';

/** What is done with something that is here already. */
export type Verb = 'take' | 'open' | 'move' | 'freeze' | 'thaw' | 'bin' | 'where' | 'undo';

const VERB_WORDS: Readonly<Record<string, Verb>> = {
  take: 'take',
  use: 'take',
  eat: 'take',
  open: 'open',
  move: 'move',
  freeze: 'freeze',
  thaw: 'thaw',
  defrost: 'thaw',
  bin: 'bin',
  throw: 'bin',
  chuck: 'bin',
  where: 'where',
  find: 'where',
  undo: 'undo',
};

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
  zone: QuickZone | null;
  /** The day of the meal; `null`: not said. */
  on: CalendarDate | null;
  reason: DiscardReason;
  /** Why it cannot be done like this; empty when it can. */
  fault: string;
  /** Lines to pick instead. */
  candidates: string[];
}

const LEAD =
  /^\s*(take|use|eat|open|move|freeze|thaw|defrost|bin|throw|chuck|where|find|undo)(?![\p{L}\d-])\s*(?:out\b|away\b|is\b|are\b|the\b|my\b|our\b|s\b)*\s*/iu;
/** Foods that are called by a verb: they come in, nothing is taken. */
const NO_VERB = /^\s*(?:take[\s-]?away|freeze[\s-]dried|open\s+sandwich)/i;
const MEAL = /\s+(?:(?:for|by)\s+([^>]+)|(tonight|today|tomorrow))\s*$/i;
const OPENED = /^\s*open(?:ed)?\s/i;

/**
 * The verb a line begins with; `null`: it tells what came in. "Open milk 2 l" tells a package that came in open when it says how
 * much; "open milk" opens one.
 */
export function verbOf(text: string): Verb | null {
  if (NO_VERB.test(text)) return null;
  const verb = VERB_WORDS[LEAD.exec(text)?.[1]?.toLowerCase() ?? ''] ?? null;
  const rest = text.replace(LEAD, '');
  if (verb === 'undo') return /^\s*(?:that|last|it)?\s*[.!]?\s*$/i.test(rest) ? verb : null;
  if (rest.trim() === '') return null;
  return verb === 'open' && OPENED.test(text) && /\d/.test(rest) ? null : verb;
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
  text: string,
  vocabulary: QuickVocabulary<F>,
): VerbReading<F> | null {
  const verb = verbOf(text);
  if (verb === null) return null;
  const reading: VerbReading<F> = {
    verb,
    foods: [],
    amount: null,
    count: 1,
    zone: null,
    on: null,
    reason: 'unwanted',
    fault: '',
    candidates: [],
  };
  if (verb === 'undo') return reading;
  const lead = LEAD.exec(text)?.[0] ?? '';
  let said = text.slice(lead.length).replace(/[?.!]+\s*$/, '');
  for (const [words, reason] of verb === 'bin' ? REASONS : []) {
    if (!words.test(said)) continue;
    reading.reason = reason;
    said = said.replace(words, ' ').replace(/[(),]/g, ' ').trim();
    break;
  }
  const meal = mealOf(said, vocabulary);
  reading.on = meal.on;
  if (meal.fault !== '') return { ...reading, fault: meal.fault };
  const [first = '', ...others] = meal.rest.split(/\s+or\s+/i);
  const [, alone] = /^\s*\d+(?:[.,]\d+)?\s*(\p{L}+)?\s*$/u.exec(first) ?? ['', 'x'];
  const bare = alone === undefined || isUnit(alone);
  if (first.trim() === '' || bare)
    return { ...reading, fault: 'Of what? For example: take 500 g minced venison.' };
  const parsed = parseQuickLine(first, { ...vocabulary, placedLater: true });
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
