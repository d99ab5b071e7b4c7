import { foodsWithWords, nearestFoods } from '@/core/foods/findFood';
import { viewContext } from './context';
import { toPlace } from './packageView';
import { Problem } from './problem';

const snake = (key: string): string => key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** A food with the API's key names. */
function toListing(food: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(food).map(([key, value]) => [snake(key), value as unknown]));
}

/** Foods by name, a page at a time; `q` forgives spelling. */
export async function readFoods(query: {
  q?: string | undefined;
  after?: string | undefined;
  limit?: number | undefined;
}) {
  const { reference } = await viewContext();
  const limit = query.limit ?? 100;
  const words = query.q?.trim() ?? '';
  if (words !== '') {
    const held = foodsWithWords(reference.index, words, limit);
    const foods = held.length > 0 ? held : nearestFoods(reference.index, words, limit);
    return { foods: foods.map(toListing), next: null };
  }
  const all = reference.foods.filter(({ retired }) => !retired);
  const from = query.after === undefined ? 0 : all.findIndex(({ id }) => id === query.after) + 1;
  if (query.after !== undefined && from === 0)
    throw new Problem(400, 'invalid', '“after” is not a key this list gave.');
  const page = all.slice(from, from + limit);
  return { foods: page.map(toListing), next: from + limit < all.length ? (page.at(-1)?.id ?? null) : null };
}

/** All that the quick line needs to read a line and to show the dates it would give. */
export async function readVocabulary() {
  const { reference, kitchen, today, household } = await viewContext();
  return {
    today,
    currency: household.currency,
    caution: household.caution,
    foods: reference.foods.filter(({ retired }) => !retired),
    zones: kitchen.zones.map(toPlace),
  };
}
export type Vocabulary = Awaited<ReturnType<typeof readVocabulary>>;
