import type { Food } from '../foods/food';
import type { PackageState } from '../keeping/history';

/** Middle of the thickest part, °C. Public cooking temperatures; docs/reference.md. */
function cookTo(food: Food): string | null {
  if (food.group === 'raw-poultry') return 'cook to 74 °C';
  if (food.group === 'raw-fish') return 'cook to 63 °C';
  if (food.group === 'shellfish' && food.readiness === 'raw-animal') return 'cook until opaque';
  if (food.group === 'raw-meat') {
    const minced = food.fridgeDaysMax !== null && food.fridgeDaysMax <= 2;
    return minced ? 'cook to 71 °C' : 'cook to 63 °C, rest 3 min';
  }
  if (food.group === 'leftovers' || food.group === 'soup-sauce' || food.group === 'cooked-meat')
    return 'reheat to 74 °C';
  return null;
}

/**
 * The "then do" line of a label: what to do with the food from the state it is in, short enough for a sticker.
 */
export function thenDo(food: Food, state: PackageState, opened: boolean): string {
  const heat = cookTo(food);
  const steps: string[] = [];
  if (state === 'frozen') {
    const within = food.thawedDays ?? 1;
    steps.push(food.controlled ? `thaw in the fridge, use within ${within} d` : 'use from frozen or thaw');
    if (food.freezeFit === 'poor') steps.push('for cooking only');
  } else if (state === 'thawing') {
    steps.push('on a plate, low in the fridge');
  } else if (opened && food.openedDaysMax !== null) {
    steps.push(`open: within ${food.openedDaysMax} d`);
  } else if (food.readiness === 'needs-wash') {
    steps.push('wash just before use');
  }
  if (heat) steps.push(heat);
  return steps.join('; ') || 'keep cold, eat as it is';
}
