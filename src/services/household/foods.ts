import { foodsWithWords, nearestFoods } from '@/core/foods/findFood';
import { sql } from '@/store/database';
import { readFoodCounts } from '@/store/bought';
import { viewContext } from './context';
import { keptSince } from './kept';
import { toPlace } from '../stock/packageView';
import { Problem } from '../door/problem';

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

/** A food as a row of the browser. */
export interface FoodRow {
  id: string;
  name: string;
  group: string;
  home: string;
  fridge_words: string;
  freezer_words: string;
  own: boolean;
  wished: boolean;
}

/** "1 to 2", "5", or a dash. */
function range(least: number | null, most: number | null, unit: string): string {
  if (most === null) return '–';
  return `${least !== null && least !== most ? `${least} to ${most}` : most} ${most === 1 ? unit : `${unit}s`}`;
}

/** The food browser's list: by name with spelling forgiven, by group, or the household's own. */
export async function readFoodRows(query: { q?: string | undefined; group?: string | undefined }) {
  const { reference } = await viewContext();
  const listed = reference.foods.filter(({ retired }) => !retired);
  const words = query.q?.trim() ?? '';
  const held = words === '' ? null : foodsWithWords(reference.index, words, listed.length);
  const found = held === null ? listed : held.length > 0 ? held : nearestFoods(reference.index, words, 20);
  const ids = new Set(found.map(({ id }) => id));
  const inGroup = ({ own, wished, group }: (typeof listed)[number]): boolean =>
    query.group === undefined ||
    (query.group === 'own' ? own : query.group === 'wished' ? wished !== undefined : group === query.group);
  const rows = listed
    .filter((food) => ids.has(food.id) && inGroup(food))
    .map((food): FoodRow => ({
      id: food.id,
      name: food.name,
      group: food.group,
      home: food.home,
      fridge_words: range(food.fridgeDaysMin, food.fridgeDaysMax, 'day'),
      freezer_words:
        food.freezeFit === 'no'
          ? 'does not freeze'
          : range(food.freezerMonthsMin, food.freezerMonthsMax, 'month'),
      own: food.own,
      wished: food.wished !== undefined,
    }));
  return {
    rows,
    guessed: held !== null && held.length === 0,
    groups: [...new Set(listed.map(({ group }) => group))].sort(),
    total: listed.length,
  };
}
export type FoodList = Awaited<ReturnType<typeof readFoodRows>>;

/** All that the quick line needs to read a line and to show the dates it would give. */
export async function readVocabulary() {
  const { reference, kitchen, today, household } = await viewContext();
  return {
    today,
    units: household.settings.units,
    dateOrder: household.settings.dateOrder,
    hemisphere: household.settings.hemisphere,
    here: await keptSince(household, 'here', () => readFoodCounts(sql(), household.id)),
    currency: household.currency,
    caution: household.settings.caution,
    marks: household.settings.marks,
    foods: reference.foods.filter(({ retired }) => !retired),
    zones: kitchen.zones.map((zone) => ({
      ...toPlace(zone),
      applianceId: zone.applianceId,
      applianceName: zone.applianceName,
      kind: zone.kind,
      side: zone.side,
      temperatureC: zone.temperatureC,
      assumedC: zone.assumedC,
      only: zone.only,
      never: zone.never,
      person: zone.person,
    })),
  };
}
export type Vocabulary = Awaited<ReturnType<typeof readVocabulary>>;
