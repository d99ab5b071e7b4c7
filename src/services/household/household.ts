import type { Food } from '@/core/model/food';
import { findFood, type FoodIndex, indexFoods } from '@/core/foods/findFood';
import { type OutageClass, warmHoursOf } from '@/core/model/outageClass';
import { notLooser } from '@/core/foods/notLooser';
import { type Wish } from '@/core/model/wish';
import { wishedFood } from '@/core/foods/wish';
import { Refusal } from '@/core/model/refusal';
import { type Sql, sql } from '@/store/database';
import { readFoodRows, readOutageClasses } from '@/store/foods';
import { type Household, readHousehold } from '@/store/households';
import { readWishes } from '@/store/wishes';
import { Problem } from '../door/problem';
import { whoAsks } from '../keys/whoAsks';
import { toldHousehold } from './chosen';

/**
 * The household that is meant: the one this server is kept to (`HOUSEHOLD_ID`), else the one this work is done in or the device
 * chose, else the own one made last, else the first. Where keys are asked for it is one of the member's own, or none.
 *
 * @throws Problem 401 when a key is asked for, 404 when there is none yet, or a page still speaks of one that is gone
 */
export async function ourHousehold(): Promise<Household> {
  const visitor = await whoAsks();
  const { firmly } = await toldHousehold();
  const household =
    (await readHousehold(sql(), visitor.householdId)) ??
    (firmly || visitor.member ? null : await readHousehold(sql(), null));
  if (!household && firmly)
    throw new Problem(404, 'no-household', 'This household is not there any more. Load the page again.');
  if (!household)
    throw new Problem(404, 'no-household', 'There is no household yet. Start with `npm start`.');
  return household;
}

export interface Reference {
  classes: ReadonlyMap<string, OutageClass>;
  /** Foods that may be named; retired ones are left out. */
  index: FoodIndex;
  /** Every food a package may be of, the retired ones too, as this household keeps it: its wishes counted in. */
  byId: ReadonlyMap<string, Food>;
  /** The same foods with the household's wishes counted in. */
  foods: readonly ListedFood[];
  /** Without any wish, by id. */
  plain: ReadonlyMap<string, ListedFood>;
  wishes: ReadonlyMap<string, Wish>;
}

/** A food, whether it is the household's own, and whether it may still be named. */
export type ListedFood = Food & { own: boolean; retired: boolean };

// One for the process, also over the several bundles of a build: what one forgets, all forget.
const shared = globalThis as typeof globalThis & {
  orderlyFrostFoods?: Map<number, { figures: string; reference: Promise<Reference> }>;
};
const kept = (shared.orderlyFrostFoods ??= new Map());

/** The food with the household's wish; one that the reference has since overtaken is left out, never loosens. */
function withWish(food: ListedFood, wish: Wish | undefined): ListedFood {
  if (!wish) return food;
  try {
    return wishedFood(food, wish);
  } catch (error) {
    if (error instanceof Refusal) return food;
    throw error;
  }
}

/** Reads foods, wishes and classes afresh. */
export async function loadReference(db: Sql, householdId: number): Promise<Reference> {
  const classes = await readOutageClasses(db);
  const rows = (await readFoodRows(db, householdId)).map((food) => ({
    ...food,
    ...warmHoursOf(classes.get(food.outageClass)),
  }));
  const wishes = await readWishes(db, householdId);
  const read = new Map(rows.map((food) => [food.id, food]));
  const figures = rows.map((food) => {
    const near = food.own && food.copyOf ? read.get(food.copyOf) : undefined;
    return near ? notLooser(food, near) : food;
  });
  const foods = figures.map((food) => withWish(food, wishes.get(food.id)));
  const byId = new Map(foods.map((food) => [food.id, food]));
  const plain = new Map(figures.map((food) => [food.id, food]));
  return { classes, foods, byId, plain, wishes, index: indexFoods(foods.filter(({ retired }) => !retired)) };
}

/**
 * Foods and outage classes of a household; kept until its figures are others ({@link Household.figures}), whichever server
 * copy changed them.
 *
 * @param db where to read them; inside a transaction its own, so that what was just set counts
 */
export function referenceOf(
  { id, figures }: Pick<Household, 'id' | 'figures'>,
  db = sql(),
): Promise<Reference> {
  const found = kept.get(id);
  if (found?.figures === figures) return found.reference;
  const reference = loadReference(db, id);
  kept.set(id, { figures, reference });
  reference.catch(() => kept.delete(id));
  return reference;
}

/** The power-cut class of a food. @throws Problem 500 when the reference data lack it */
export function outageClassOf(reference: Reference, id: string): OutageClass {
  const found = reference.classes.get(id);
  if (!found) throw new Problem(500, 'fault', `The class ${id} is missing from the reference data.`);
  return found;
}

/**
 * The food a request names by id, name or alias.
 *
 * @throws Problem 422 with candidates when it is unknown or may be several
 */
export function foodNamed(index: FoodIndex, text: string): Food {
  const result = findFood(index, text);
  if (result.found) return result.found;
  const candidates = result.candidates.map(({ id, name }) => ({ id, name }));
  throw new Problem(
    422,
    `${result.reason}-food`,
    result.reason === 'ambiguous' ? `“${text}” may be several foods.` : `There is no food called “${text}”.`,
    {
      candidates,
      fields: [
        { path: 'food', message: result.reason === 'ambiguous' ? 'name one of the candidates' : 'not known' },
      ],
    },
  );
}
