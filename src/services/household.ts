import type { Food } from '@/core/foods/food';
import { findFood, type FoodIndex, indexFoods } from '@/core/foods/findFood';
import type { OutageClass } from '@/core/outage/outageClass';
import { sql } from '@/store/database';
import { readFoodRows, readOutageClasses } from '@/store/foods';
import { type Household, readHousehold } from '@/store/households';
import { Problem } from './problem';

/** The household this server keeps: `HOUSEHOLD_ID`, else the first. @throws Problem 404 when there is none yet */
export async function ourHousehold(): Promise<Household> {
  const wanted = process.env.HOUSEHOLD_ID;
  const household = await readHousehold(sql(), wanted ? Number(wanted) : null);
  if (!household)
    throw new Problem(404, 'no-household', 'There is no household yet. Start with `npm start`.');
  return household;
}

export interface Reference {
  classes: ReadonlyMap<string, OutageClass>;
  /** Foods that may be named; retired ones are left out. */
  index: FoodIndex;
  /** Every food a package may be of, the retired ones too. */
  byId: ReadonlyMap<string, Food>;
  foods: readonly (Food & { own: boolean; retired: boolean })[];
}

const KEPT_MS = 5_000;
const kept = new Map<number, { until: number; reference: Promise<Reference> }>();

async function load(householdId: number): Promise<Reference> {
  const [foods, classes] = await Promise.all([readFoodRows(sql(), householdId), readOutageClasses(sql())]);
  const byId = new Map(foods.map((food) => [food.id, food]));
  return { classes, foods, byId, index: indexFoods(foods.filter(({ retired }) => !retired)) };
}

/** Foods and outage classes of a household; kept for a few seconds, since they hardly ever change. */
export function referenceOf(householdId: number): Promise<Reference> {
  const found = kept.get(householdId);
  if (found && found.until > Date.now()) return found.reference;
  const reference = load(householdId);
  kept.set(householdId, { until: Date.now() + KEPT_MS, reference });
  reference.catch(() => kept.delete(householdId));
  return reference;
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

/** Forgets what is kept of the foods, after they were changed. */
export function forgetReference(): void {
  kept.clear();
}
