import type { Food } from '../model/food';
import ids from './soldFrozen.json';

/** True for what a shop sells out of its freezer only: bought, it is frozen from the start (K5). */
export const isSoldFrozen = ({ id, copyOf }: Pick<Food, 'id'> & { copyOf?: string }): boolean =>
  ids.includes(copyOf ?? id);
