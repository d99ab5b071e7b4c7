import { type WeekCase, type WeekUse } from './weekRules';
import { emptyPlan, firstOutMains, planMeal } from './planMeal';

/**
 * A week as a hurried cook plans it: meal by meal, each from what goes first of all that suits it. What the solver must better.
 *
 * @param begun what is planned already: meals that have something stay as they are
 */
export function greedyWeek(kase: WeekCase, begun: readonly WeekUse[] = []): WeekUse[] {
  const plan = emptyPlan(kase, begun);
  return kase.meals.flatMap((_, m) => {
    const made = begun.filter((one) => one.meal === m);
    if (made.length > 0) return made;
    for (const main of firstOutMains(plan, m)) {
      const uses = planMeal(plan, m, main);
      if (uses.length > 0) return uses;
    }
    return planMeal(plan, m, null);
  });
}
