import { addDays, type CalendarDate } from '../calendar/calendarDate';
import { monthsBefore } from '../calendar/monthsBefore';
import { sayPlainDate } from '../calendar/sayDate';
import { type FoodIndex, foodsOfKind, foodsWithWords, nearestFoods } from '../foods/findFood';
import { foodKey, foodWords } from '../foods/foodKey';
import { readPackageCode } from '../labels/readPackageCode';
import { NUMBER_WORDS } from '../quickline/quickWords';
import kinds from './askedKinds.json';
import type { AskedPart, AskedZone, Asking, KindedFood, Narrowing } from './asking';

/** All that reading an asking needs from outside. */
export interface AskingVocabulary<F extends KindedFood> {
  today: CalendarDate;
  index: FoodIndex<F>;
  zones: readonly AskedZone[];
  people: readonly string[];
  /** Words that stand on labels of what is here. */
  labelled: (words: readonly string[]) => boolean;
  /** A package that is here carries this code. */
  coded: (code: string) => boolean;
}

interface Word {
  plain: string;
  from: number;
  to: number;
}

interface Found {
  length: number;
  says: string;
  narrows: Narrowing;
  guessed?: boolean;
}

interface Kind {
  says: string;
  words: string[];
  groups?: string[];
  tags?: string[];
  readiness?: string[];
  without?: string[];
  /** Foods that count besides, by id. */
  also?: string[];
  ready?: boolean;
}

/** Words that ask and say nothing of what is wanted; in plain form. */
const SAYS_NOTHING = new Set(
  'where is are be the a an any all of our my we have got do does there in on at from with and or for still what which how much many left it one thing stuff everything please find show me to eat i can old'.split(
    ' ',
  ),
);
/** A joining "or" or comma says nothing either: parts of one sort widen, parts of several narrow. */
const OLDEST = new Set(['oldest', 'eldest', 'longest']);
const FIRST = new Set(['first', 'next']);

const UNIT_MONTHS: Readonly<Record<string, number>> = { month: 1, year: 12 };
const UNIT_DAYS: Readonly<Record<string, number>> = { day: 1, week: 7 };
const NUMBERS: Readonly<Record<string, number>> = { ...NUMBER_WORDS, a: 1, an: 1, half: 0.5 };
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];

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

const isKind = (food: KindedFood, kind: Kind): boolean =>
  ((kind.groups?.includes(food.group) ?? true) || (kind.also?.includes(food.copyOf ?? food.id) ?? false)) &&
  (kind.tags?.some((tag) => food.dietTags.includes(tag)) ?? true) &&
  (kind.readiness?.includes(food.readiness) ?? true) &&
  !(kind.without?.some((tag) => food.dietTags.includes(tag)) ?? false);

const sameWords = (words: readonly Word[], wanted: readonly string[]): boolean =>
  wanted.length > 0 && wanted.length <= words.length && wanted.every((want, at) => words[at]?.plain === want);

/** "older than 6 months", "over a year old", "younger than 2 weeks", "older than a week". */
function readAge(words: readonly Word[], today: CalendarDate): Found | null {
  const [first, second, third, fourth] = words.map(({ plain }) => plain);
  const than = second === 'than';
  const older = first === 'older' || first === 'over' || (first === 'more' && than);
  const younger = first === 'younger' || first === 'newer' || first === 'under' || (first === 'less' && than);
  if (!older && !younger) return null;
  const [figure, unit] = than ? [third, fourth] : [second, third];
  const count = NUMBERS[figure ?? ''] ?? Number(figure);
  const [months, days] = [UNIT_MONTHS[unit ?? ''], UNIT_DAYS[unit ?? '']];
  if (!(count > 0) || count > 1000 || (months === undefined && days === undefined)) return null;
  const on =
    months === undefined
      ? addDays(today, -Math.round(count * (days ?? 1)))
      : count * months < 1
        ? addDays(today, -15)
        : monthsBefore(today, Math.round(count * months));
  const length = than ? 4 : 3;
  return {
    length: length + (words[length]?.plain === 'old' ? 1 : 0),
    says: `${older ? 'older' : 'younger'} than ${figure} ${unit}${count === 1 ? '' : 's'}`,
    narrows: older
      ? { by: 'started', from: null, to: addDays(on, -1) }
      : { by: 'started', from: addDays(on, 1), to: null },
  };
}

/** "from May", "of last June": the last such month. */
function readMonth(words: readonly Word[], today: CalendarDate): Found | null {
  const lead = words[0]?.plain === 'last' ? 1 : 0;
  const word = words[lead]?.plain ?? '';
  const month = MONTHS.findIndex((name) => name === word || (word.length === 3 && name.startsWith(word)));
  if (month < 0) return null;
  const here = Number(today.slice(5, 7)) - 1;
  const year = Number(today.slice(0, 4)) - (month > here ? 1 : 0);
  const two = `${month + 1}`.padStart(2, '0');
  const from = `${year}-${two}-01`;
  const next = month === 11 ? `${year + 1}-01-01` : `${year}-${`${month + 2}`.padStart(2, '0')}-01`;
  return {
    length: lead + 1,
    says: `from ${sayPlainDate(from).replace(/^\d+ /, '')}`,
    narrows: { by: 'started', from, to: addDays(next, -1) },
  };
}

const DUE: readonly (readonly [string, number])[] = [
  ['past', -1],
  ['expired', -1],
  ['out of date', -1],
  ['today', 0],
  ['tonight', 0],
  ['tomorrow', 1],
  ['soon', 3],
  ['this week', 7],
  ['within a week', 7],
  ['this month', 31],
];

/** "past", "due this week", "soon": its date is not later than that. */
function readDue(words: readonly Word[], today: CalendarDate): Found | null {
  const lead = words[0]?.plain === 'due' || words[0]?.plain === 'by' ? 1 : 0;
  const rest = words.slice(lead);
  for (const [says, days] of DUE) {
    const wanted = foodWords(says);
    if (!sameWords(rest, wanted)) continue;
    const to = addDays(today, days);
    return {
      length: lead + wanted.length,
      says: days < 0 ? 'past' : `due ${says}`,
      narrows: { by: 'due', to },
    };
  }
  return null;
}

function readPlace(words: readonly Word[], zones: readonly AskedZone[]): Found | null {
  const named = (says: string, ids: readonly (string | null)[], length: number): Found => ({
    length,
    says,
    narrows: { by: 'place', zones: new Set(ids) },
  });
  for (let length = Math.min(6, words.length); length > 0; length--) {
    const wanted = words.slice(0, length).map(({ plain }) => plain);
    const key = [...wanted].sort().join(' ');
    const own = zones.filter(
      ({ name, appliance }) => foodKey(name) === key || foodKey(`${name} ${appliance}`) === key,
    );
    if (own.length > 0)
      return named(
        own.length === 1 && own[0] ? `in ${own[0].name}` : `in ${own.length} places so called`,
        own.map(({ id }) => id),
        length,
      );
    const of = zones.filter(({ appliance }) => {
      const all = foodWords(appliance);
      return length === 1 ? all.includes(wanted[0] ?? '') : foodKey(appliance) === key;
    });
    const cold =
      wanted.length === 1 &&
      (wanted[0] === 'fridge' || wanted[0] === 'refrigerator'
        ? 'fridge'
        : wanted[0] === 'freezer'
          ? 'freezer'
          : null);
    const door = wanted.length === 1 && wanted[0] === 'door';
    // "Fridge" means all that is cold so, not only the appliance that bears the word.
    const meant = cold
      ? zones.filter((zone) => zone.cold === cold)
      : of.length > 0
        ? of
        : door
          ? zones.filter(({ side }) => side === 'door')
          : [];
    if (meant.length > 0) {
      const names = [...new Set(meant.map(({ appliance }) => appliance))];
      return named(
        cold ? `in a ${cold}` : door ? 'in a door' : `in ${names.join(' or ')}`,
        meant.map(({ id }) => id),
        length,
      );
    }
    if (key === 'counter' || key === 'out') return named('on the counter', [null], length);
  }
  return null;
}

function readPerson(words: readonly Word[], people: readonly string[]): Found | null {
  for (const name of people) {
    const wanted = foodWords(name);
    const [first = ''] = wanted;
    const whole = sameWords(words, wanted);
    if (!whole && words[0]?.plain !== first) continue;
    return { length: whole ? wanted.length : 1, says: `${name}’s`, narrows: { by: 'person', whose: name } };
  }
  if (sameWords(words, ['hand', 'off']) || sameWords(words, ['promised']) || sameWords(words, ['kept']))
    return { length: words[0]?.plain === 'hand' ? 2 : 1, says: 'hands off', narrows: { by: 'handsOff' } };
  return null;
}

function readKind<F extends KindedFood>(
  words: readonly Word[],
  { index }: AskingVocabulary<F>,
): Found | null {
  let best: Found | null = null;
  for (const kind of kinds as Kind[])
    for (const words_ of kind.words) {
      const wanted = words_.split(' ');
      if (wanted.length <= (best?.length ?? 0) || !sameWords(words, wanted)) continue;
      const foods = [...index.byId.values()].filter((food) => isKind(food, kind));
      const by = kind.ready ? 'ready' : kind.readiness || kind.without ? 'trait' : 'kind';
      best = {
        length: wanted.length,
        says: kind.says,
        narrows: { by, foods: new Set(foods.map(({ id }) => id)) },
      };
    }
  return best;
}

const MOST_FOODS = 80;

/** Every food that is so called, and whatever bears the words on its label. */
function foodPart<F extends KindedFood>(
  wanted: readonly string[],
  { index, labelled }: AskingVocabulary<F>,
): Omit<Found, 'length'> | null {
  const text = wanted.join(' ');
  const exact = index.byKey.get(foodKey(text));
  const whole = foodsOfKind(index, text, MOST_FOODS);
  const found =
    exact || whole.length > 0
      ? [...(exact ? [exact] : []), ...whole]
      : foodsWithWords(index, text, MOST_FOODS);
  if (found.length === 0 && !labelled(wanted)) return null;
  const foods = new Set(found.map(({ id }) => id));
  return { says: text, narrows: { by: 'food', foods, words: wanted } };
}

const isExact = <F extends KindedFood>(words: readonly string[], { index }: AskingVocabulary<F>): boolean =>
  index.byKey.has([...words].sort().join(' '));

/** The stretch of words from here on that are no other part, as foods: as many together as mean one. */
function readFoods<F extends KindedFood>(
  words: readonly Word[],
  vocabulary: AskingVocabulary<F>,
): Found | null {
  for (let length = Math.min(5, words.length); length > 0; length--) {
    const part = foodPart(
      words.slice(0, length).map(({ plain }) => plain),
      vocabulary,
    );
    if (part) return { ...part, length };
  }
  const [word] = words;
  if (!word) return null;
  const near = nearestFoods(vocabulary.index, word.plain, 3);
  const [slip] = near;
  if (!slip || word.plain.length < 4) return null;
  const found = foodPart(foodWords(slip.name).slice(0, 1), vocabulary) ?? null;
  return found && { ...found, says: foodWords(slip.name)[0] ?? slip.name, length: 1, guessed: true };
}

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
          narrows: { by: 'code', code: readPackageCode(code) },
        },
      ],
    };
  for (let at = 0; at < words.length;) {
    const rest = words.slice(at);
    const [word] = rest;
    if (!word) break;
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
      readAge(rest, today) ??
      readPlace(rest, zones) ??
      (exactFood ? readFoods(rest.slice(0, exactFood), vocabulary) : null) ??
      readDue(rest, today) ??
      readPerson(rest, people) ??
      (state ? { length: 1, says: word.plain, narrows: state } : null) ??
      readKind(rest, vocabulary) ??
      readMonth(rest, today);
    const says =
      found ??
      (OLDEST.has(word.plain) || FIRST.has(word.plain) || SAYS_NOTHING.has(word.plain)
        ? null
        : readFoods(rest, vocabulary));
    if (says) {
      const last = rest[says.length - 1] ?? word;
      const part: AskedPart = {
        from: word.from,
        to: last.to,
        says: says.says,
        guessed: says.guessed ?? false,
        narrows: says.narrows,
      };
      asking.parts.push(part);
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
