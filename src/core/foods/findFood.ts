import { distance } from 'fastest-levenshtein';
import type { Food } from '../model/food';
import { foodKey, foodWords } from './foodKey';

/** The little a search needs of a food, so that the browser can hold all of them. */
export type NamedFood = Pick<Food, 'id' | 'name' | 'aliases' | 'copyOf'> &
  Partial<Pick<Food, 'fridgeDaysMax' | 'homeDaysMax'>>;

export interface FoodIndex<F extends NamedFood = Food> {
  byId: ReadonlyMap<string, F>;
  byKey: ReadonlyMap<string, F>;
  /** Every name and alias as words, for partial and misspelt matches. */
  entries: readonly { food: F; key: string; words: readonly string[]; typed: readonly string[] }[];
  /** Every word of any name: rightly spelt, so no slip of another. */
  words: ReadonlySet<string>;
  /** Those, and every word as it is typed in a name. */
  allWords: ReadonlySet<string>;
  /** How many words the longest name has. */
  longest: number;
}

export type FoundFood<F extends NamedFood> =
  { found: F } | { found: null; candidates: F[]; reason: 'ambiguous' | 'unknown' };

/** Builds the index once per set of foods; earlier foods win a shared key (the reference check refuses those). */
export function indexFoods<F extends NamedFood>(foods: readonly F[]): FoodIndex<F> {
  const byId = new Map<string, F>();
  const byKey = new Map<string, F>();
  const entries: { food: F; key: string; words: string[]; typed: string[] }[] = [];
  for (const food of foods) {
    byId.set(food.id, food);
    for (const name of [food.name, ...food.aliases]) {
      const key = foodKey(name);
      if (!byKey.has(key)) byKey.set(key, food);
      entries.push({ food, key, words: foodWords(name), typed: typedWords(name) });
    }
  }
  // An id is a name too ("trout"), where no name or alias has it already.
  for (const food of foods) {
    const key = foodKey(food.id);
    if (byKey.has(key)) continue;
    byKey.set(key, food);
    entries.push({ food, key, words: foodWords(food.id), typed: typedWords(food.id) });
  }
  return {
    byId,
    byKey,
    entries,
    words: new Set(entries.flatMap(({ words }) => words)),
    allWords: new Set(entries.flatMap(({ words, typed }) => [...words, ...typed])),
    longest: Math.max(0, ...entries.map(({ words }) => words.length)),
  };
}

/** The words of a name as they are typed, in small letters. */
const typedWords = (name: string): string[] => name.toLowerCase().match(/[\p{L}\p{N}%]+/gu) ?? [];

function unique<F extends NamedFood>(foods: F[], most: number): F[] {
  return [...new Map(foods.map((food) => [food.id, food])).values()].slice(0, most);
}

/** Foods whose name or alias holds every word asked for, the shortest names first. */
export function foodsWithWords<F extends NamedFood>(index: FoodIndex<F>, text: string, most = 8): F[] {
  const wanted = foodWords(text);
  if (wanted.length === 0 || wanted.length > 2 * index.longest) return [];
  const hits = index.entries.filter(({ words }) =>
    wanted.every((want) => words.some((word) => word.startsWith(want))),
  );
  hits.sort((a, b) => a.words.length - b.words.length || a.key.length - b.key.length);
  return unique(
    hits.map((hit) => hit.food),
    most,
  );
}

/** Days a food keeps in a fridge, of its ways the shortest. */
export const keepsFor = ({ fridgeDaysMax, homeDaysMax }: NamedFood): number =>
  Math.min(fridgeDaysMax ?? Infinity, homeDaysMax ?? Infinity);

/** Foods whose name or alias has every word asked for as a whole word, the shortest names first: "ham" is no hamburger. */
export function foodsOfKind<F extends NamedFood>(index: FoodIndex<F>, text: string, most = 8): F[] {
  const wanted = foodWords(text);
  if (wanted.length === 0 || wanted.length > 2 * index.longest) return [];
  const hits = index.entries.filter(({ words }) => wanted.every((want) => words.includes(want)));
  // "Ham, sliced cooked" is a ham before "Dry-cured ham" is.
  const leads = ({ food }: (typeof hits)[number]): number =>
    foodWords(food.name)[0] === wanted.at(-1) || foodWords(food.name)[0] === wanted[0] ? 0 : 1;
  // Of two as likely the one that keeps for less long comes first.
  hits.sort(
    (a, b) => leads(a) - leads(b) || keepsFor(a.food) - keepsFor(b.food) || a.words.length - b.words.length,
  );
  return unique(
    hits.map((hit) => hit.food),
    most,
  );
}

/** Slips allowed in a word: none in short ones, one from four letters on, two from six. */
function slipsAllowed(word: string): number {
  return word.length < 4 ? 0 : word.length < 6 ? 1 : 2;
}

/** Two letters changed round count as one slip. */
function strokes(a: string, b: string): number {
  const off = distance(a, b);
  if (off !== 2 || a.length !== b.length) return off;
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2) ? 1 : 2;
}

/** Every word of any name that a word may be a slip of, with the strokes between them. */
function slipsOf(want: string, { allWords }: FoodIndex<NamedFood>): Map<string, number> {
  const near = new Map<string, number>();
  const allowed = allWords.has(want) ? 0 : slipsAllowed(want);
  for (const word of allowed === 0 ? [want] : allWords) {
    // Each letter too many or too few is a stroke of its own.
    if (Math.abs(word.length - want.length) > allowed) continue;
    if (want.length === 4 && !word.startsWith(want.charAt(0))) continue;
    const off = strokes(want, word);
    if (off <= allowed) near.set(word, off);
  }
  return near;
}

/** Strokes between the words wanted and the nearest words of a name; `null` when one is too far off, or another word. */
function strokesOff(wanted: readonly Map<string, number>[], words: readonly string[]): number | null {
  let sum = 0;
  for (const near of wanted) {
    let least: number | null = null;
    for (const word of words) {
      const off = near.get(word);
      if (off !== undefined && (least === null || off < least)) least = off;
    }
    if (least === null) return null;
    sum += least;
  }
  return sum;
}

interface NearFood<F> {
  food: F;
  off: number;
  extra: number;
}

/** Foods whose name is a few strokes away, nearest first, plainer names before longer ones. */
function nearFoods<F extends NamedFood>(index: FoodIndex<F>, text: string): NearFood<F>[] {
  // As typed too, since a slip may look like another word's plural.
  const typed = typedWords(text);
  const plain = foodWords(text);
  if (typed.length === 0 || typed.length > 2 * index.longest) return [];
  const slips = new Map([...plain, ...typed].map((want) => [want, slipsOf(want, index)]));
  const slipsIn = (words: readonly string[]) => words.flatMap((want) => slips.get(want) ?? []);
  const [asPlain, asTyped] = [slipsIn(plain), slipsIn(typed)];
  const scored: NearFood<F>[] = [];
  for (const { food, words, typed: name } of index.entries) {
    const off = [strokesOff(asPlain, words), strokesOff(asTyped, name)].filter((one) => one !== null);
    if (off.length > 0) scored.push({ food, off: Math.min(...off), extra: words.length - typed.length });
  }
  return scored.sort((a, b) => a.off - b.off || a.extra - b.extra);
}

/** Foods whose name is a few strokes away, nearest first, plainer names before longer ones. */
export const nearestFoods = <F extends NamedFood>(index: FoodIndex<F>, text: string, most = 5): F[] =>
  unique(
    nearFoods(index, text).map(({ food }) => food),
    most,
  );

/**
 * The one food of which this is a slip of the pen, up to two letters in all: a whole name, and no other food as near.
 * Four letters may be many things, so such a word needs its first one right.
 */
export function slipOf<F extends NamedFood>(index: FoodIndex<F>, text: string): F | null {
  const near = nearFoods(index, text).filter(({ extra }) => extra === 0);
  const [best] = near;
  if (!best || best.off > 2) return null;
  return near.some(({ food, off }) => off === best.off && food.id !== best.food.id) ? null : best.food;
}

/**
 * Finds one food by id, name or alias. Exact keys win; else the only food that holds all the words, whole ones before
 * begun ones; else the reason why not, with candidates to choose from.
 */
export function findFood<F extends NamedFood>(index: FoodIndex<F>, text: string): FoundFood<F> {
  const exact = index.byId.get(text.trim()) ?? index.byKey.get(foodKey(text));
  if (exact) return { found: exact };
  const whole = foodsOfKind(index, text);
  const holding = whole.length > 0 ? whole : foodsWithWords(index, text);
  if (holding.length === 1 && holding[0]) return { found: holding[0] };
  if (holding.length > 1) return { found: null, candidates: holding, reason: 'ambiguous' };
  return { found: null, candidates: nearestFoods(index, text), reason: 'unknown' };
}
