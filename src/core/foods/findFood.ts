import { distance } from 'fastest-levenshtein';
import type { Food } from '../model/food';
import { foodKey, foodWords } from './foodKey';

/** The little a search needs of a food, so that the browser can hold all of them. */
export type NamedFood = Pick<Food, 'id' | 'name' | 'aliases' | 'copyOf'>;

export interface FoodIndex<F extends NamedFood = Food> {
  byId: ReadonlyMap<string, F>;
  byKey: ReadonlyMap<string, F>;
  /** Every name and alias as words, for partial and misspelt matches. */
  entries: readonly { food: F; key: string; words: readonly string[] }[];
}

export type FoundFood<F extends NamedFood> =
  { found: F } | { found: null; candidates: F[]; reason: 'ambiguous' | 'unknown' };

/** Builds the index once per set of foods; earlier foods win a shared key (the reference check refuses those). */
export function indexFoods<F extends NamedFood>(foods: readonly F[]): FoodIndex<F> {
  const byId = new Map<string, F>();
  const byKey = new Map<string, F>();
  const entries: { food: F; key: string; words: string[] }[] = [];
  for (const food of foods) {
    byId.set(food.id, food);
    for (const name of [food.name, ...food.aliases]) {
      const key = foodKey(name);
      if (!byKey.has(key)) byKey.set(key, food);
      entries.push({ food, key, words: foodWords(name) });
    }
  }
  return { byId, byKey, entries };
}

function unique<F extends NamedFood>(foods: F[], most: number): F[] {
  return [...new Map(foods.map((food) => [food.id, food])).values()].slice(0, most);
}

/** Foods whose name or alias holds every word asked for, the shortest names first. */
export function foodsWithWords<F extends NamedFood>(index: FoodIndex<F>, text: string, most = 8): F[] {
  const wanted = foodWords(text);
  if (wanted.length === 0) return [];
  const hits = index.entries.filter(({ words }) =>
    wanted.every((want) => words.some((word) => word.startsWith(want))),
  );
  hits.sort((a, b) => a.words.length - b.words.length || a.key.length - b.key.length);
  return unique(
    hits.map((hit) => hit.food),
    most,
  );
}

/** Slips allowed in a word: none in short ones, about one in four letters. */
function slipsAllowed(word: string): number {
  return word.length < 4 ? 0 : Math.floor(word.length / 4);
}

/** Strokes between the words wanted and the nearest words of a name; `null` when one of them is too far off. */
function strokesOff(wanted: readonly string[], words: readonly string[]): number | null {
  let sum = 0;
  for (const want of wanted) {
    const off = Math.min(...words.map((word) => distance(want, word)));
    if (off > slipsAllowed(want)) return null;
    sum += off;
  }
  return sum;
}

/** Foods whose name is a few strokes away, nearest first, plainer names before longer ones. */
export function nearestFoods<F extends NamedFood>(index: FoodIndex<F>, text: string, most = 5): F[] {
  const wanted = foodWords(text);
  if (wanted.length === 0) return [];
  const scored: { food: F; off: number; extra: number }[] = [];
  for (const { food, words } of index.entries) {
    const off = strokesOff(wanted, words);
    if (off !== null) scored.push({ food, off, extra: words.length - wanted.length });
  }
  scored.sort((a, b) => a.off - b.off || a.extra - b.extra);
  return unique(
    scored.map(({ food }) => food),
    most,
  );
}

/**
 * Finds one food by id, name or alias. Exact keys win; else the only food that holds all the words; else the reason
 * why not, with candidates to choose from.
 */
export function findFood<F extends NamedFood>(index: FoodIndex<F>, text: string): FoundFood<F> {
  const exact = index.byId.get(text.trim()) ?? index.byKey.get(foodKey(text));
  if (exact) return { found: exact };
  const holding = foodsWithWords(index, text);
  if (holding.length === 1 && holding[0]) return { found: holding[0] };
  if (holding.length > 1) return { found: null, candidates: holding, reason: 'ambiguous' };
  return { found: null, candidates: nearestFoods(index, text), reason: 'unknown' };
}
