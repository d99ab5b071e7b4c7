import type { Food } from '../model/food';
import type { PackageState } from '../model/history';
import eating from './eating.json';

/** Words by id, of the food itself or of the one it was copied from. */
function ownWords(table: Readonly<Record<string, string>>, { id, copyOf }: Food): string | null {
  return table[copyOf ?? id] ?? null;
}

/**
 * What to do before eating, chilled. Figures are of the middle of the thickest part: public cooking temperatures
 * (docs/reference.md), by food, else by group and readiness.
 */
function beforeEating(food: Food): string | null {
  const own = ownWords(eating.own, food);
  if (own !== null) return own;
  const raw = food.readiness === 'raw-animal' || food.readiness === 'cook-first';
  const table: Readonly<Record<string, string>> = raw ? eating.cook : eating.serve;
  return table[food.group] ?? (raw ? 'cook before eating' : null);
}

/** How a package stands, as its label needs it; days are whole, `null`: no such clock. */
export interface Standing {
  state: PackageState;
  /** Days from opening to its date. */
  openDays: number | null;
  /** Days of safety it has once thawed in the fridge. */
  thawDays: number | null;
}

function whileFrozen(food: Food, thawDays: number | null): string {
  const own = ownWords(eating.fromFrozen, food);
  if (own !== null) return own;
  if (thawDays === null) return 'use from frozen or thaw';
  if (thawDays <= 0) return 'thaw in the fridge, use the same day';
  return `thaw in the fridge, use within ${thawDays} d`;
}

/**
 * The "then do" line of a label: what to do with the food from the state it is in, short enough for a sticker. It follows food
 * and state from the table (eating.json), the days from the package's own clock.
 */
export function thenDo(food: Food, { state, openDays, thawDays }: Standing): string {
  const steps: string[] = [];
  if (state === 'frozen') {
    steps.push(whileFrozen(food, thawDays));
    if (food.freezeFit === 'poor') steps.push('for cooking only');
  } else if (state === 'thawing') {
    steps.push('on a plate, low in the fridge');
  } else if (openDays !== null) {
    steps.push(`open: within ${openDays} d`);
  } else if (food.readiness === 'needs-wash') {
    steps.push('wash just before use');
  }
  const before = beforeEating(food);
  if (before !== null && !steps.some((step) => step.includes('eat as it is'))) steps.push(before);
  return steps.join('; ') || 'keep cold, eat as it is';
}
