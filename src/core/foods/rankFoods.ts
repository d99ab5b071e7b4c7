import MiniSearch from 'minisearch';
import type { Food } from '../model/food';
import { type FoodIndex, keepsFor, type NamedFood } from './findFood';
import { foodWords } from './foodKey';
import kinds from './neverStandIn.json';

/** A name and what helps to judge it, where it is known. */
export type RankedFood = NamedFood & Partial<Pick<Food, 'group' | 'readiness'>>;

interface NameDocument {
  id: number;
  name: string;
  /** The word that says what it is: "milk" of "coconut milk", "ham" of "Ham, sliced". */
  head: string;
}

const engines = new WeakMap<object, MiniSearch<NameDocument>>();

/** The search over all names, made when first asked for. */
function engineOf(index: FoodIndex<NamedFood>): MiniSearch<NameDocument> {
  const made = engines.get(index);
  if (made) return made;
  const engine = new MiniSearch<NameDocument>({
    fields: ['name', 'head'],
    tokenize: (text) => text.split(' '),
    processTerm: (term) => term,
    searchOptions: {
      boost: { head: 1.5 },
      prefix: (term) => term.length > 3,
      fuzzy: (term) => (term.length > 4 ? 1 : false),
      weights: { prefix: 0.4, fuzzy: 0.4 },
    },
  });
  engine.addAll(
    index.entries.map(({ food, words }, id) => {
      const [before = ''] = food.name.split(',');
      return { id, name: words.join(' '), head: foodWords(before).at(-1) ?? words.at(-1) ?? '' };
    }),
  );
  engines.set(index, engine);
  return engine;
}

const KINDS = kinds.kinds.map(({ words, groups }) => ({ words: new Set(words), groups: new Set(groups) }));
const COOKED = new Set(kinds.cooked);

/** True when a food is of a kind that may stand for what was asked: never a pet's or a baby's for another, never raw for cooked. */
export function standsIn({ group, readiness }: RankedFood, asked: readonly string[]): boolean {
  const named = (words: ReadonlySet<string>): boolean => asked.some((word) => words.has(word));
  if (readiness === 'raw-animal' && named(COOKED)) return false;
  return KINDS.every(({ words, groups }) => !groups.has(group ?? '') || named(words));
}

/** How alike two scores must be for the shorter-lived food to come first. */
const ALIKE = 0.75;

/**
 * Foods for words that are no food's name, likeliest first: all share the last word, which says what it is; rare words weigh more, a
 * word may be begun or have one slip. Of two as likely the one that is here most often, then the one that keeps for less long.
 *
 * @param words without those of the shop and of pieces
 * @returns `sure`: they share the rarest word too, so that Enter may take the first
 */
export function rankFoods<F extends RankedFood>(
  index: FoodIndex<F>,
  words: readonly string[],
  here: Readonly<Record<string, number>> = {},
): { foods: F[]; sure: boolean } {
  const asked = [...new Set(words.flatMap((word) => foodWords(word)))];
  const found = engineOf(index).search(asked.join(' '));
  const best = new Map<string, { food: F; score: number; terms: readonly string[] }>();
  for (const { id, score, queryTerms } of found) {
    const food = index.entries[Number(id)]?.food;
    if (!food || best.has(food.id) || !standsIn(food, asked)) continue;
    best.set(food.id, { food, score, terms: queryTerms });
  }
  const rare = rarest(index, asked);
  const head = asked.at(-1);
  const all = [...best.values()];
  const has =
    (word: string | null | undefined) =>
    (one: (typeof all)[number]): boolean =>
      word !== null && word !== undefined && one.terms.includes(word);
  const both = all.filter(has(rare)).filter(has(head));
  const ranked = both.length > 0 ? both : all.filter(has(head));
  const top = ranked[0]?.score ?? 0;
  const likely = ranked.filter(({ score }) => score >= top * ALIKE);
  likely.sort(
    (a, b) => (here[b.food.id] ?? 0) - (here[a.food.id] ?? 0) || keepsFor(a.food) - keepsFor(b.food),
  );
  const foods = [...likely, ...ranked.filter((one) => !likely.includes(one))].map(({ food }) => food);
  return { foods, sure: both.length > 0 };
}

/** The word that the fewest names have; one that none has is the rarest. `null`: no word at all. */
function rarest(index: FoodIndex<NamedFood>, asked: readonly string[]): string | null {
  const often = (word: string): number =>
    index.entries.reduce((sum, { words }) => sum + (words.includes(word) ? 1 : 0), 0);
  const counted = asked.map((word) => ({ word, often: often(word) }));
  counted.sort((a, b) => a.often - b.often);
  return counted[0]?.word ?? null;
}
