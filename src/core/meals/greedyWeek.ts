import { emptyPlan, firstOutMains, planMeal } from './planMeal';
import { type WeekCase, type WeekUse } from './weekRules';

/** A week as a hurried cook plans it: meal by meal, each from what goes first of all that suits it. What the solver must better. */
export function greedyWeek(kase: WeekCase): WeekUse[] {
  const plan = emptyPlan(kase);
  return kase.meals.flatMap((_, m) => {
    for (const main of firstOutMains(plan, m)) {
      const uses = planMeal(plan, m, main);
      if (uses.length > 0) return uses;
    }
    return planMeal(plan, m, null);
  });
}
