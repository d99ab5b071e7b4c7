import { referenceFigure } from '@/core/foods/wish';
import { NO_WISH, type Wish, WISHES, type WishKey } from '@/core/model/wish';
import type { Food } from '@/core/model/food';
import { nearestFoods } from '@/core/foods/findFood';
import { sql } from '@/store/database';
import { readStock } from '@/store/packages';
import { viewContext } from './context';
import { type PackageView, toPackageView } from '../stock/packageView';
import { Problem } from '../door/problem';

/** A food with all that the household knows of it. */
export interface FoodDetail {
  food: Food & { own: boolean; retired: boolean };
  copied_from: string | null;
  wish: Wish;
  /** The longest figure of the reference for each wish; `null`: none. */
  figures: Record<WishKey, number | null>;
  /** What to look for before eating it. */
  spoilage: string;
  packages: PackageView[];
  near: { id: string; name: string }[];
}

/** Signs of spoilage by family of foods; our own wording of common kitchen knowledge. */
const SPOILAGE: readonly (readonly [RegExp, string])[] = [
  [
    /^raw-(meat|poultry)|pet/,
    'Sticky or slimy surface, sour or sweet smell, grey-green colour, a blown pack.',
  ],
  [
    /^(raw-fish|shellfish)/,
    'Ammonia or sour smell, slime, milky liquid, dull eyes; open shells that do not close.',
  ],
  [
    /^(cooked-meat|leftovers|soup-sauce|ready-meal|deli)/,
    'Off or sour smell, bubbles, slime, any mould, a bulging lid.',
  ],
  [/^(dairy|egg|baby)/, 'Sour smell, curdling, yellowing, mould; an egg that floats or smells.'],
  [
    /^cheese/,
    'Soft kinds: any mould that is not its own, ammonia smell. Hard kinds: dry edges; mould is cut away widely.',
  ],
  [/^(vegetable|herb)/, 'Yellowing, limp or slimy leaves, soft dark spots, wet bottom of the bag, mould.'],
  [
    /^fruit/,
    'Softening, leaks, wet bottom of the punnet, fermenting smell, mould on one and its neighbours.',
  ],
  [
    /^(bread-bake|dough|grain-legume|nut-seed)/,
    'Mould spots, a musty or rancid smell, sour dough past its time.',
  ],
];

function spoilageOf({ group }: Food): string {
  const known = SPOILAGE.find(([family]) => family.test(group));
  return known?.[1] ?? 'Mould, an off smell, gas under the lid, a changed colour.';
}

const MOST_SHOWN = 50;

/** One food of the browser. @throws Problem 404 */
export async function readFood(id: string): Promise<FoodDetail> {
  const context = await viewContext();
  const { reference, household } = context;
  const food = reference.plain.get(id);
  if (!food) throw new Problem(404, 'not-found', 'There is no such food.');
  const packages = await readStock(sql(), household.id, {
    foodIds: [id],
    zoneId: null,
    state: null,
    after: null,
    limit: MOST_SHOWN,
  });
  return {
    food,
    copied_from: food.copyOf ? (reference.plain.get(food.copyOf)?.name ?? null) : null,
    wish: reference.wishes.get(id) ?? NO_WISH,
    figures: Object.fromEntries(
      WISHES.map((key) => [key, referenceFigure(food, key)]),
    ) as FoodDetail['figures'],
    spoilage: spoilageOf(food),
    packages: packages.map((found) => toPackageView(found, context)),
    near: nearestFoods(reference.index, food.name, 5)
      .filter((other) => other.id !== id)
      .map((other) => ({ id: other.id, name: other.name })),
  };
}
