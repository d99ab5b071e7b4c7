import type { Food } from '../model/food';
import { isPreparedWord, preparedFood, saysHomeMade, saysLoose } from '../foods/preparedFood';
import { findFood, type FoodIndex, type NamedFood } from '../foods/findFood';
import { MAX_LINE_LENGTH } from '../model/limits';
import { isUnit } from '../units/readAmount';
import { sayAmount } from '../units/sayAmount';
import { QuickDraft } from './quickDraft';
import type { QuickReading, QuickVocabulary } from './quickLine';
import { READERS } from './quickReaders';
import { type QuickToken, quickTokens } from './quickTokens';
import {
  FILLER_WORDS,
  FORM_WORDS,
  HAPPENED_WORDS,
  PARTS,
  PIECE_WORDS,
  PRINTED_WORDS,
  VESSEL_WORDS,
} from './quickWords';
import { findFoodRun, type FoodRun, isShopWord, readFoodWords, askWhich, wordsOf } from './readFoodWords';
import { settleAmount, type SettledAmount } from './settleAmount';
import { askAge, earliest, freezeByPlace } from './whenUnsaid';

/** A pack or a piece without a number: one ("mushrooms 250 g punnet"). */
const isVessel = (word: string): boolean => Object.hasOwn(VESSEL_WORDS, word) || PIECE_WORDS.has(word);

/** Words that mean something else in the line, unless they are all there is of the food. */
function isDetail({ lower }: QuickToken): boolean {
  return (
    Object.hasOwn(HAPPENED_WORDS, lower) ||
    Object.hasOwn(FORM_WORDS, lower) ||
    isVessel(lower) ||
    Object.hasOwn(PRINTED_WORDS, lower) ||
    isUnit(lower)
  );
}

const EACH = ['each', 'ea', 'apiece'];
const QUIET_MARKS = [',', ';', '(', ')', '.', ':', '~', '+', '&', '-', '–'];

/** What no reader took, by token. */
function readDetails(draft: QuickDraft): number[] {
  const left: number[] = [];
  let at = 0;
  while (at < draft.tokens.length) {
    const token = draft.at(at);
    if (!token || QUIET_MARKS.includes(token.text)) {
      const negative =
        token?.text === '-' && draft.at(at + 1)?.kind === 'number' && token.to === draft.at(at + 1)?.from;
      if (!negative) {
        at += 1;
        continue;
      }
    }
    if (!token) continue;
    let used = 0;
    for (const reader of READERS) {
      used = reader(draft, token, at);
      if (used > 0) break;
    }
    if (used === 0) {
      if (EACH.includes(token.lower)) draft.each = true;
      else if (!FILLER_WORDS.has(token.lower)) left.push(at);
      used = 1;
    }
    at += used;
  }
  return left;
}

/** The stretch of words that names the food: what is left around its run, else the first words left that name something. */
function foodStretch(
  draft: QuickDraft,
  left: readonly number[],
  run: { from: number; to: number } | null,
): { from: number; to: number } | null {
  const isWord = (at: number): boolean => draft.tokens[at]?.kind === 'word' && left.includes(at);
  const names = (at: number): boolean => isWord(at) && !isShopWord(draft.tokens[at]?.lower ?? '');
  const first = left.find(names) ?? left.find(isWord);
  if (!run && first === undefined) return null;
  let from = run?.from ?? first ?? 0;
  let to = run?.to ?? from + 1;
  const bridges = (at: number): boolean =>
    ['and', 'or', 'of', ','].includes(draft.tokens[at]?.lower ?? '') && isWord(at + 1);
  while (isWord(from - 1)) from -= 1;
  while (isWord(to) || bridges(to)) to += 1;
  return { from, to };
}

/** The food's run; when all else that stands there is of the shop, also a word that mostly says something else ("meatballs"). */
/** Tokens of a zone's whole name of several words ("leaf drawer"), by the zone's first token. */
function zoneNames(tokens: readonly QuickToken[], zones: readonly { name: string }[]): Map<number, number> {
  const found = new Map<number, number>();
  for (const { name } of zones) {
    const words = name.toLowerCase().split(' ');
    if (words.length < 2) continue;
    for (let at = 0; at + words.length <= tokens.length; at++)
      if (words.every((word, nth) => tokens[at + nth]?.lower === word)) found.set(at, at + words.length);
  }
  return found;
}

function runOf<F extends NamedFood>(
  index: FoodIndex<F>,
  tokens: readonly QuickToken[],
  zones: readonly { name: string }[],
): FoodRun<F> | null {
  const places = [...zoneNames(tokens, zones)];
  // A food that would take half of a zone's name is none: "turkey salad leaf drawer".
  const splits = (from: number, to: number): boolean =>
    places.some(([first, end]) => from < first && to > first && to < end);
  const run = findFoodRun(index, tokens, isDetail, splits);
  if (run) return run;
  const named = tokens.some(
    (token) =>
      token.kind === 'word' && !isDetail(token) && !isShopWord(token.lower) && !FILLER_WORDS.has(token.lower),
  );
  return named ? null : findFoodRun(index, tokens, () => false);
}

/** "… like pears": a food that is not known is kept like one that is. */
function readLike<F extends NamedFood>(
  text: string,
  { foods }: QuickVocabulary<F>,
): { from: number; to: number; food: F | null; says: string; candidates: string[] } | null {
  const found = /\s+like:?\s+([^>@/,;→]*[^>@/,;→\s])/i.exec(text);
  const name = found?.[1]?.trim() ?? '';
  if (!found || name === '') return null;
  const near = findFood(foods, name);
  const to = found.index + found[0].length;
  if (!('candidates' in near)) return { from: found.index, to, food: near.found, says: '', candidates: [] };
  return {
    from: found.index,
    to,
    food: null,
    says: `“${name}” is not known either. Like what?`,
    candidates: near.candidates
      .slice(0, 4)
      .map((one) => ` like ${one.name.toLowerCase().replaceAll(',', '')}`),
  };
}

/** The cook's own word with a capital letter, as it stands on the label. */
function sayCalled(typed: string): string {
  return typed.charAt(0).toUpperCase() + typed.slice(1);
}

/** The words of a line that may say how its food was prepared; half of a measure ("half a kilo") halves no food. */
function sayPrepared(tokens: readonly QuickToken[], stretch: { from: number; to: number } | null): string {
  const measured = (at: number): boolean => {
    const next = tokens[at + 1]?.lower ?? '';
    const word = ['a', 'an', 'the'].includes(next) ? (tokens[at + 2]?.lower ?? '') : next;
    return isUnit(word) || word === 'dozen' || Object.hasOwn(VESSEL_WORDS, word);
  };
  return tokens
    .filter(({ kind, lower }, at) => {
      const named = stretch !== null && at >= stretch.from && at < stretch.to;
      return (
        kind === 'word' &&
        (named || (isPreparedWord(lower) && !(Object.hasOwn(PARTS, lower.replace(/s$/, '')) && measured(at))))
      );
    })
    .map(({ lower }) => lower)
    .join(' ');
}

/** "frozen prawns": said before its name, it came in frozen. */
function boughtFrozen(draft: QuickDraft, from: number): boolean {
  return draft.tokens[from - 1]?.lower === 'frozen' && draft.line.frozenOn === draft.vocabulary.today;
}

/** Minor units for the whole line. A price of a measure it is not counted in stands as it was told. */
function wholePrice({ line: { priceMinor }, priceFor }: QuickDraft, settled: SettledAmount): number | null {
  if (priceMinor === null || priceFor === null) return priceMinor;
  const { amount, unit, packs } = settled;
  if (priceFor === 'each') return priceMinor * (packs > 1 ? packs : unit === 'pc' ? Math.ceil(amount) : 1);
  return priceFor.unit === unit ? Math.round((priceMinor * amount) / priceFor.amount) : priceMinor;
}

const tooLong = (text: string): QuickReading => ({
  text,
  parts: [],
  faults: [
    {
      from: 0,
      to: text.length,
      says: `This line has ${text.length} characters; ${MAX_LINE_LENGTH} can be read. Split it.`,
      candidates: [],
    },
  ],
  ownFood: null,
  line: null,
});

/**
 * Reads one typed line, its parts in any order: the food, amount or counts, packs, form, wrap, price, place, printed date,
 * what happened and when, for or from whom. Never throws; what is not understood, and what may mean two things, comes
 * back as faults with the stretch they stand at and what it may be.
 */
export function parseQuickLine<
  F extends NamedFood &
    Partial<Pick<Food, 'group' | 'fridgeDaysMax' | 'homeDaysMax' | 'outageClass' | 'readiness'>>,
>(text: string, vocabulary: QuickVocabulary<F>): QuickReading {
  if (text.length > MAX_LINE_LENGTH) return tooLong(text);
  const like = readLike(text, vocabulary);
  const tokens = quickTokens(text).filter(({ from }) => !like || from < like.from || from >= like.to);
  const [first] = tokens;
  if (!first) return { text, parts: [], faults: [], ownFood: null, line: null };
  const run = runOf(vocabulary.foods, tokens, vocabulary.zones);
  const draft = new QuickDraft(
    text,
    tokens,
    vocabulary,
    (at) => run !== null && at >= run.from && at < run.to,
  );
  const left = readDetails(draft);
  const stretch = foodStretch(draft, left, run);
  for (const at of left) {
    const token = tokens[at];
    const elsewhere = !stretch || at < stretch.from || at >= stretch.to;
    if (token && elsewhere && !isShopWord(token.lower) && !isVessel(token.lower))
      draft.fault(token, token.to, `“${token.text}” was not understood.`);
  }
  const firstOf = stretch ? tokens[stretch.from] : undefined;
  const lastOf = stretch ? tokens[stretch.to - 1] : undefined;
  const typed = firstOf && lastOf ? text.slice(firstOf.from, lastOf.to) : '';
  let food: F | null = null;
  let ownFood: QuickReading['ownFood'] = null;
  if (like && !like.food) draft.fault(like, like.to, like.says, like.candidates);
  if (!firstOf || !lastOf) draft.fault(first, first.to, 'Begin with the food: trout 1.6 kg.');
  else {
    const words = wordsOf(typed);
    const said = tokens
      .filter(
        (token, at) =>
          token.kind === 'word' &&
          !left.includes(at) &&
          !(at >= (stretch?.from ?? 0) && at < (stretch?.to ?? 0)),
      )
      .map(({ lower }) => lower);
    const rival = run?.rival;
    const read = rival ? askWhich(typed, [run.food, rival]) : readFoodWords(vocabulary, words, said);
    if (like?.food && !('guessed' in read && !read.guessed)) {
      food = like.food;
      ownFood = {
        name: sayCalled(words.filter((word) => !FILLER_WORDS.has(word.toLowerCase())).join(' ')),
        copy: food.id,
      };
      draft.part('food', firstOf, lastOf.to, `${ownFood.name}, a food of your own, kept like ${food.name}`);
    } else if ('guessed' in read) {
      food = preparedFood(read.food, sayPrepared(tokens, stretch), (id) => vocabulary.foods.byId.get(id));
      const says = read.guessed ? `${food.name} (from “${typed}”)` : food.name;
      draft.part('food', firstOf, lastOf.to, says, read.guessed);
    } else {
      draft.fault(
        firstOf,
        lastOf.to,
        read.says,
        read.phrases ? [...read.phrases] : read.candidates.map(({ name }) => name),
      );
      const fault = draft.faults.at(-1);
      const like = read.like.slice(0, read.groups ? 6 : 4).map(({ id, name }) => ({ id, name }));
      if (fault && like.length > 0)
        fault.unknownFood = {
          name: sayCalled(words.join(' ')),
          like,
          ...(read.groups ? { groups: true } : {}),
        };
    }
  }
  const settled = settleAmount(draft, {
    called: typed,
    at: stretch?.from ?? 0,
    ...(food?.group ? { group: food.group } : {}),
  });
  if (vocabulary.zoneId !== undefined && !draft.placed) draft.line.zone = vocabulary.zoneId;
  if (stretch && boughtFrozen(draft, stretch.from)) {
    draft.start = { ...(draft.start ?? { did: 'bought', on: vocabulary.today }), frozen: true };
    draft.line.frozenOn = null;
  }
  if (food) {
    askAge(draft, food, typed);
    freezeByPlace(draft, food);
  }
  if (settled && food && settled.amount < settled.packs) {
    draft.fault(
      first,
      text.length,
      `${sayAmount(settled.amount, settled.unit)} does not make ${settled.packs} packs.`,
    );
  }
  const parts = [...draft.parts].sort((a, b) => a.from - b.from);
  if (!food || !settled || draft.faults.length > 0)
    return { text, parts, faults: draft.faults, ownFood: null, line: null };
  const homeMade = saysHomeMade(typed) && draft.start?.did !== 'harvested';
  const start = draft.start ?? {
    did: homeMade ? ('cooked' as const) : ('bought' as const),
    on: earliest(draft),
  };
  if (saysLoose(typed) && typeof food.homeDaysMax === 'number' && start.did === 'bought') start.loose = true;
  return {
    text,
    parts,
    faults: [],
    ownFood,
    line: {
      ...draft.line,
      priceMinor: wholePrice(draft, settled),
      packs: settled.packs,
      food: ownFood?.name ?? food.id,
      // A slip of the pen does not go onto the label.
      called: draft.parts.some(({ meaning, guessed }) => meaning === 'food' && guessed)
        ? (food.name.split(',')[0] ?? food.name)
        : sayCalled(typed),
      amount: settled.amount,
      unit: settled.unit,
      start: {
        ...start,
        ...(draft.about === '' ? {} : { about: draft.about }),
        ...(draft.unknownAge ? { unknown: true } : {}),
      },
      note: draft.notes.join(', '),
    },
  };
}
