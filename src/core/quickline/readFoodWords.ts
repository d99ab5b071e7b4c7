import {
  foodsOfKind,
  foodsWithWords,
  type FoodIndex,
  type NamedFood,
  nearestFoods,
  slipOf,
} from '../foods/findFood';
import { foodKey, foodWords } from '../foods/foodKey';
import { isNoFood } from '../foods/isNoFood';
import { isOtherFood, likeFood, mayBe } from '../foods/likeFood';
import likeness from '../foods/likeness.json';
import { type RankedFood, rankFoods, standsIn } from '../foods/rankFoods';
import type { QuickVocabulary } from './quickLine';
import type { QuickToken } from './quickTokens';
import { FILLER_WORDS, NUMBER_WORDS, PIECE_WORDS, VESSEL_WORDS } from './quickWords';
import shopWords from './shopWords.json';

const LONGEST_NAME = 8;
const SHOP_WORDS: ReadonlySet<string> = new Set(shopWords.words);
/** What is said of a food elsewhere in the line and may be of its name. */
const STATE_WORDS = new Set(
  'raw cooked opened sliced slices patties frozen whole block smoked jar carton tub tray bag stick pot'.split(
    ' ',
  ),
);
/** Said behind a food of how it was sold ("grapes bunch"): it leaves the food what it is. */
const PACKED_IN = /^(?:punnet|bunch|bag|pack|packet|bottle|head|tray|tub|jar|carton|box)(?:e?s)?$/i;
const LEFTOVER = /^left-?overs?$/i;

/** What the words of a food name. `guessed`: a slip of the pen was read over. */
export type NamedHere<F extends RankedFood> =
  | { food: F; guessed: boolean }
  | {
      food: null;
      candidates: F[];
      /** The same in words of a line, where a food's own name would say less. */
      phrases?: readonly string[];
      says: string;
      /** What it may be kept like. `groups`: one of each kind of food, none of them likelier than another. */
      like: F[];
      groups?: boolean;
    };

/** Where a food's name stands among the tokens; `rival`: another as long overlaps it, and is another food. */
export interface FoodRun<F extends RankedFood> {
  from: number;
  to: number;
  food: F;
  rival: F | null;
}

function runAt<F extends RankedFood>(
  index: FoodIndex<F>,
  taken: readonly QuickToken[],
  isDetail: (token: QuickToken) => boolean,
): F | undefined {
  const [first] = taken;
  const last = taken.at(-1);
  if (!first || !last || first.kind !== 'word' || last.kind !== 'word') return undefined;
  if (taken.some(({ kind, text }) => kind === 'mark' && text !== ',')) return undefined;
  if (taken.length === 1 && isDetail(first)) return undefined;
  if (taken.length === 2 && Object.hasOwn(NUMBER_WORDS, last.lower)) return undefined;
  return index.byKey.get(foodKey(taken.map(({ text }) => text).join(' ')));
}

/**
 * The longest run of tokens that is a food's name or alias, so that no other reader takes its words ("frozen peas", "6 chicken
 * thighs"). Of two as long the first.
 *
 * @param isDetail words that are no food when they stand alone @param splits a run that would take half of something else
 */
export function findFoodRun<F extends RankedFood>(
  index: FoodIndex<F>,
  tokens: readonly QuickToken[],
  isDetail: (token: QuickToken) => boolean,
  splits: (from: number, to: number) => boolean = () => false,
): FoodRun<F> | null {
  for (let length = Math.min(tokens.length, LONGEST_NAME); length > 0; length--) {
    let run: FoodRun<F> | null = null;
    for (let from = 0; from + length <= tokens.length; from++) {
      const food = splits(from, from + length)
        ? undefined
        : runAt(index, tokens.slice(from, from + length), isDetail);
      if (!food) continue;
      if (!run || (LEFTOVER.test(tokens[run.from]?.text ?? '') && from < run.to))
        run = { from, to: from + length, food, rival: null };
      else if (from < run.to && food.id !== run.food.id) run.rival ??= food;
    }
    if (run) return run;
  }
  return null;
}

export const isShopWord = (word: string): boolean => SHOP_WORDS.has(word.toLowerCase()) || word.endsWith('%');

/** Without the words that leave a food what it is. */
function plainWords(words: readonly string[]): string[] {
  const plain = words.filter((word) => !isShopWord(word) && !FILLER_WORDS.has(word.toLowerCase()));
  return plain.length > 0 ? plain : [...words];
}

/** The words as they stand, then without more and more of the shop's words in front, then without any. */
function readings(words: readonly string[]): string[][] {
  const lead = words.findIndex((word) => !isShopWord(word));
  const fronts = Array.from({ length: Math.max(0, lead) + 1 }, (_, at) => words.slice(at));
  const bare = words.findLastIndex((word) => !PACKED_IN.test(word)) + 1;
  return [
    ...fronts,
    words.filter((word) => !FILLER_WORDS.has(word.toLowerCase())),
    plainWords(words),
    ...(bare > 0 && bare < words.length ? [words.slice(0, bare), plainWords(words.slice(0, bare))] : []),
  ];
}

const isRaw = ({ name }: NamedFood): boolean => /\b(raw|live|shucked|uncooked)\b/i.test(name);

function exact<F extends RankedFood>(index: FoodIndex<F>, words: readonly string[]): F | undefined {
  return index.byKey.get(foodKey(words.join(' ')));
}

/** The only food that has all these whole words. */
function only<F extends RankedFood>(index: FoodIndex<F>, words: readonly string[]): F | undefined {
  const found = foodsOfKind(index, words.join(' '), 2);
  return found.length === 1 ? found[0] : undefined;
}

/** Of foods that may be meant, those that are here come first; a stable order otherwise. */
function likeliestFirst<F extends RankedFood>(foods: F[], here: Readonly<Record<string, number>>): F[] {
  const often = ({ id }: F): number => here[id] ?? 0;
  return [...foods].sort((a, b) => often(b) - often(a));
}

/** The only food that is here of those with all these words; `null`: none, or several. */
function onlyHere<F extends RankedFood>(
  index: FoodIndex<F>,
  words: readonly string[],
  here: Readonly<Record<string, number>>,
): F | null {
  const asked = words.flatMap((word) => foodWords(word));
  // "beans" are in a bean stew, and are none.
  const says = ({ food, words: its }: (typeof index.entries)[number]): boolean =>
    asked.every((word) => its.includes(word)) &&
    (asked.includes(its.at(-1) ?? '') || foodWords(food.name).includes(asked.at(-1) ?? ''));
  const known = index.entries.filter((entry) => here[entry.food.id] && says(entry)).map(({ food }) => food);
  return new Set(known).size === 1 ? (known[0] ?? null) : null;
}

const MOST_OFFERED = 6;

const unique = <F extends RankedFood>(foods: F[]): F[] =>
  [...new Map(foods.map((food) => [food.id, food])).values()].slice(0, MOST_OFFERED);

/** Asks which of several foods is meant, in their order. */
export const askWhich = <F extends RankedFood>(name: string, foods: readonly F[]): NamedHere<F> => ({
  food: null,
  candidates: unique([...foods]),
  says: `“${name}” may be several foods.`,
  like: [],
});

/** "leftover chicken": the cooked one; never the raw. */
function leftoverOf<F extends RankedFood>(vocabulary: QuickVocabulary<F>, words: string[]): NamedHere<F> {
  const { foods: index } = vocabulary;
  const rest = words.filter((word) => !LEFTOVER.test(word));
  const found =
    exact(index, ['leftover', ...rest]) ??
    exact(index, [...rest, 'cooked']) ??
    [exact(index, rest)].find((food) => food && !isRaw(food)) ??
    only(index, [...rest, 'cooked']);
  if (found) return { food: found, guessed: false };
  const name = rest.join(' ');
  const candidates = unique(
    [
      ...foodsOfKind(index, `${name} cooked`),
      ...rankFoods(index, ['cooked', ...rest], vocabulary.here).foods,
    ].filter((food) => !isRaw(food)),
  );
  return { food: null, candidates, says: `Which leftover is “${name}”?`, like: candidates };
}

/**
 * Finds the food that words name: as they stand, without words of the shop ("free range"), with what was said of them
 * elsewhere in the line ("ham … sliced"), with a slip of up to two letters (told as a guess). What several may be is asked,
 * the likeliest here first; what nobody knows is offered with foods it may be kept like.
 *
 * @param words the food's words as typed
 * @param said other words of the line that may be of a name: sliced, cooked, frozen
 */
export function readFoodWords<F extends RankedFood>(
  vocabulary: QuickVocabulary<F>,
  words: string[],
  said: readonly string[],
): NamedHere<F> {
  const { foods: index, here = {}, ofStock = false } = vocabulary;
  const name = words.join(' ');
  const plain = plainWords(words);
  const left = words.some((word) => LEFTOVER.test(word));
  const named = readings(words).flatMap((one) => {
    const food = exact(index, one);
    const ofIt = one.some((word) => LEFTOVER.test(word));
    return food && (!left || ofIt || !isRaw(food)) ? food : [];
  })[0];
  const meant = ofStock && !(named && here[named.id]) ? onlyHere(index, plain, here) : null;
  if (meant) return { food: meant, guessed: false };
  if (named) return { food: named, guessed: false };
  if (isNoFood(name) || isNoFood(plain.join(' ')))
    return { food: null, candidates: [], says: `“${name}” is no food: not for the fridge.`, like: [] };
  const phrases = [mayBe(name), mayBe(plain.join(' '))].find((some) => some.length > 0) ?? [];
  if (phrases.length > 0 && !left)
    return { food: null, candidates: [], phrases, says: `“${name}” may be several foods.`, like: [] };
  if (left && words.length > 1) return leftoverOf(vocabulary, words);
  const states = said.filter((word) => STATE_WORDS.has(word));
  const other = isOtherFood(name) || isOtherFood(plain.join(' '));
  const sure =
    states.map((word) => exact(index, [...plain, word])).find(Boolean) ??
    (other ? undefined : (only(index, words) ?? only(index, plain)));
  if (sure) return { food: sure, guessed: false };
  if (!other) {
    const slip = readings(words).flatMap((one) => slipOf(index, one.join(' ')) ?? [])[0];
    const said = states.flatMap(
      (word) => slipOf(index, [...words, word].join(' ')) ?? slipOf(index, [...plain, word].join(' ')) ?? [],
    );
    if (slip && said.some(({ id }) => id !== slip.id)) return askWhich(name, [...said, slip]);
    if (slip ?? said[0]) return { food: (slip ?? said[0]) as F, guessed: true };
    const begun = plain.every((word) => word.length > 3) ? foodsWithWords(index, plain.join(' '), 2) : [];
    const few =
      foodsOfKind(index, plain.join(' '), 2).length === 0 && begun.length === 1 ? begun[0] : undefined;
    if (few) return { food: few, guessed: true };
  }
  const like = likeFood(index, name);
  const asked = plain.flatMap((word) => foodWords(word));
  const several = foodsOfKind(index, plain.join(' ')).filter((food) => standsIn(food, asked));
  if (several.length > 1 && !like) return askWhich(name, likeliestFirst(several, here));
  const kinds = plain.filter((word) => !PIECE_WORDS.has(word) && !Object.hasOwn(VESSEL_WORDS, word));
  const near = rankFoods(index, kinds.length > 0 ? kinds : plain, here);
  if (like) return { food: null, candidates: [], says: `“${name}” is not known as a food.`, like: [like] };
  const slips = near.sure ? [] : nearestFoods(index, plain.join(' '));
  if (!near.sure && slips.length === 0) {
    const groups = likeness.groups.flatMap((id) => index.byId.get(id) ?? []);
    const says = `“${name}” is not known as a food. What is it like?`;
    return {
      food: null,
      candidates: [],
      says,
      like: unique([...near.foods.slice(0, 2), ...groups]),
      groups: true,
    };
  }
  const likely = unique(near.sure ? near.foods : slips);
  const says = `“${name}” is not known. Did you mean one of these?`;
  return { food: null, candidates: likely, says, like: likely };
}

/** The words of a stretch as typed, without marks. */
export const wordsOf = (text: string): string[] =>
  text.match(/[\p{L}\p{M}\p{N}%][\p{L}\p{M}\p{N}'’%-]*/gu) ?? foodWords(text);
