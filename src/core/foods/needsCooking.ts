import type { Food } from '../model/food';

/** True for what is not eaten before it is cooked; leftovers were. */
export const needsCooking = ({ readiness, group }: Pick<Food, 'readiness' | 'group'>): boolean =>
  readiness === 'raw-animal' || (readiness === 'cook-first' && group !== 'leftovers');
