import {
  foodsOfKind,
  foodsWithWords,
  type FoodIndex,
  type NamedFood,
  nearestFoods,
  slipOf,
} from '../foods/findFood';
import { foodKey, foodWords } from '../foods/foodKey';
import { isOtherFood, likeFood } from '../foods/likeFood';
import type { QuickVocabulary } from './quickLine';
import type { QuickToken } from './quickTokens';
import { FILLER_WORDS, NUMBER_WORDS } from './quickWords';
import shopWords from './shopWords.json';

const LONGEST_NAME = 8;
const SHOP_WORDS: ReadonlySet<string> = new Set(shopWords.words);
/** What is said of a food elsewhere in the line and may be of its name. */
const STATE_WORDS = new Set(
  'raw cooked opened sliced slices patties frozen whole block smoked jar carton tub bag stick pot'.split(' '),
);
const LEFTOVER = /^left-?overs?$/i;

/** What the words of a food name. `guessed`: a slip of the pen was read over. */
export type NamedHere<F extends NamedFood> =
  { food: F; guessed: boolean } | { food: null; candidates: F[]; says: string; like: F[] };

/** Where a food's name stands among the tokens; `rival`: another as long overlaps it, and is another food. */
export interface FoodRun<F extends NamedFood> {
  from: number;
  to: number;
  food: F;
  rival: F | null;
}

function runAt<F extends NamedFood>(
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
export function findFoodRun<F extends NamedFood>(
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

export const isShopWord = (word: string): boolean => SHOP_WORDS.has(word.toLowerCase());

/** Without the words that leave a food what it is. */
function plainWords(words: readonly string[]): string[] {
  const plain = words.filter((word) => !isShopWord(word) && !FILLER_WORDS.has(word.toLowerCase()));
  return plain.length > 0 ? plain : [...words];
}

/** The words as they stand, then without more and more of the shop's words in front, then without any. */
function readings(words: readonly string[]): string[][] {
  const lead = words.findIndex((word) => !isShopWord(word));
  const fronts = Array.from({ length: Math.max(0, lead) + 1 }, (_, at) => words.slice(at));
  return [...fronts, words.filter((word) => !FILLER_WORDS.has(word.toLowerCase())), plainWords(words)];
}

const isRaw = ({ name }: NamedFood): boolean => /\b(raw|live|shucked|uncooked)\b/i.test(name);

function exact<F extends NamedFood>(index: FoodIndex<F>, words: readonly string[]): F | undefined {
  return index.byKey.get(foodKey(words.join(' ')));
}

/** The only food that has all these whole words. */
function only<F extends NamedFood>(index: FoodIndex<F>, words: readonly string[]): F | undefined {
  const found = foodsOfKind(index, words.join(' '), 2);
  return found.length === 1 ? found[0] : undefined;
}

/** Of foods that may be meant, those that are here come first; a stable order otherwise. */
function likeliestFirst<F extends NamedFood>(foods: F[], here: Readonly<Record<string, number>>): F[] {
  const often = ({ id }: F): number => here[id] ?? 0;
  return [...foods].sort((a, b) => often(b) - often(a));
}

const MOST_OFFERED = 6;

/** What the words may be, when nothing is sure: of all the words, else of the last one (the kind), else of any. */
function offered<F extends NamedFood>(vocabulary: QuickVocabulary<F>, words: readonly string[]): F[] {
  const { foods: index, here = {} } = vocabulary;
  const whole = foodsOfKind(index, words.join(' '));
  if (whole.length > 0) return likeliestFirst(whole, here);
  const begun = foodsWithWords(index, words.join(' '));
  if (begun.length > 0 && words.every((word) => word.length > 3)) return likeliestFirst(begun, here);
  const near = nearestFoods(index, words.join(' '));
  const kind = likeliestFirst(foodsOfKind(index, words.at(-1) ?? ''), here);
  const any = words.slice(0, -1).flatMap((word) => foodsOfKind(index, word, 3));
  return [...near, ...kind.slice(0, 4), ...likeliestFirst(any, here)];
}

const unique = <F extends NamedFood>(foods: F[]): F[] =>
  [...new Map(foods.map((food) => [food.id, food])).values()].slice(0, MOST_OFFERED);

/** Asks which of several foods is meant, in their order. */
export const askWhich = <F extends NamedFood>(name: string, foods: readonly F[]): NamedHere<F> => ({
  food: null,
  candidates: unique([...foods]),
  says: `“${name}” may be several foods.`,
  like: [],
});

/** "leftover chicken": the cooked one; never the raw. */
function leftoverOf<F extends NamedFood>(vocabulary: QuickVocabulary<F>, words: string[]): NamedHere<F> {
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
    [...foodsOfKind(index, `${name} cooked`), ...offered(vocabulary, rest)].filter((food) => !isRaw(food)),
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
export function readFoodWords<F extends NamedFood>(
  vocabulary: QuickVocabulary<F>,
  words: string[],
  said: readonly string[],
): NamedHere<F> {
  const { foods: index, here = {} } = vocabulary;
  const name = words.join(' ');
  const plain = plainWords(words);
  const left = words.some((word) => LEFTOVER.test(word));
  const named = readings(words).flatMap((one) => {
    const food = exact(index, one);
    const ofIt = one.some((word) => LEFTOVER.test(word));
    return food && (!left || ofIt || !isRaw(food)) ? food : [];
  })[0];
  if (named) return { food: named, guessed: false };
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
  const several = foodsOfKind(index, plain.join(' '));
  if (several.length > 1 && !like) return askWhich(name, likeliestFirst(several, here));
  const near = offered(vocabulary, plain);
  const likely = like ? [like] : unique(near);
  return {
    food: null,
    candidates: like ? [] : likely,
    says:
      likely.length > 0 && !like
        ? `“${name}” is not known. Did you mean one of these?`
        : `“${name}” is not known as a food.`,
    like: likely,
  };
}

/** The words of a stretch as typed, without marks. */
export const wordsOf = (text: string): string[] =>
  text.match(/[\p{L}\p{M}\p{N}%][\p{L}\p{M}\p{N}'’%-]*/gu) ?? foodWords(text);
