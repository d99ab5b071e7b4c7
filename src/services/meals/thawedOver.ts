import { addDays } from '@/core/calendar/calendarDate';
import { sayDueDate } from '@/core/calendar/sayDate';
import { asEdible, mayOffer } from '@/core/keeping/mayEat';
import { promisesOf } from '@/core/firstout/promised';
import { type Route, routesFor } from '@/core/meals/routesFor';
import type { Package } from '@/core/model/package';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import type { HouseholdContext } from '../household/context';
import type { PlannedMeals } from './mealsOf';

/** Something thawed for a meal that did not come: what now, by its short clock. */
export interface ThawedOver {
  package: string;
  code: string;
  version: number;
  called: string;
  amount_words: string;
  meal_name: string;
  due_words: string;
  /** Its use by is today or gone by. */
  last_day: boolean;
  routes: Route[];
}

const LOOK_BACK_DAYS = 4;
const MOST_ROUTES = 3;

/** It came out of the frost, and nothing froze it again since. */
const isThawed = ({ state, history, gone }: Package): boolean =>
  gone === null &&
  (state === 'thawing' ||
    (state === 'chilled' && history.findLastIndex(({ did }) => did === 'thawed' || did === 'thawing') >= 0));

/** What was moved down for a meal that was skipped or went by, and that no other meal takes. */
export async function readThawedOver(
  { household, reference, today, at, mayEat }: HouseholdContext,
  planned: PlannedMeals,
): Promise<ThawedOver[]> {
  const since = addDays(today, -LOOK_BACK_DAYS);
  const over = planned.meals.filter(
    (meal) =>
      meal.on >= since && (meal.state === 'skipped' || (meal.state === 'planned' && planned.atOf(meal) < at)),
  );
  const of = new Map(
    over.flatMap((meal) =>
      [...meal.takes.map((take) => take.package), ...(meal.gaveBack ?? [])].map((id) => [id, meal] as const),
    ),
  );
  const found = await readPackages(sql(), household.id, [...of.keys()].slice(0, 200));
  return [...found.values()]
    .filter((one) => {
      const meal = of.get(one.id);
      // Its own meal of today still holds it, until somebody says what came of it.
      // What is past its short clock is thrown out, and offered to nobody.
      if (!isThawed(one) || !mayOffer(mayEat(asEdible(one)))) return false;
      return promisesOf(one, today).every((promise) => promise.meal === meal?.id);
    })
    .map((one) => ({
      ...{ package: one.id, code: one.code, version: one.version, called: one.called },
      amount_words: sayAmount(one.amount, one.unit),
      meal_name: of.get(one.id)?.name ?? '',
      due_words: sayDueDate(one.governingDate, today),
      last_day: one.governingDate <= today,
      routes: routesFor([reference.byId.get(one.foodId)?.group ?? '']).slice(0, MOST_ROUTES),
    }))
    .sort((a, b) => (a.due_words < b.due_words ? -1 : 1));
}
