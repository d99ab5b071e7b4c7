import { type Appetite, portionGrams } from './portionGrams';

/** How a cook says into how many packs something goes. */
export type PortionPlan =
  | { packs: number }
  | { portionG: number }
  | { eaters: number; appetite: Appetite }
  | { parts: { count: number; form: string }[] };

/** How many packs a plan comes to: the nearest count for a target size, at least 1 (RULES 3). */
export function packCount(plan: PortionPlan, totalG: number, group: string): number {
  if ('packs' in plan) return plan.packs;
  if ('portionG' in plan) return Math.max(1, Math.round(totalG / plan.portionG));
  if ('eaters' in plan) {
    const meal = plan.eaters * portionGrams(group, plan.appetite);
    return Math.max(1, Math.round(totalG / meal));
  }
  return plan.parts.reduce((sum, part) => sum + part.count, 0);
}
