import type { Food } from '../model/food';
import kinds from './foodKinds.json';

const among = (list: readonly string[], { id, copyOf }: Pick<Food, 'id' | 'copyOf'>): boolean =>
  list.includes(copyOf ?? id);

/** A whole bird: hollow, thawed by public advice for birds, packed as it is. */
export const isWholeBird = (food: Pick<Food, 'id' | 'copyOf'>): boolean => among(kinds.wholeBirds, food);

/** How a food fills a vessel, as the headspace table knows it: juice, a liquid or something in one, pieces without liquid. */
export function fillingOf({ group }: Pick<Food, 'group'>): 'juice' | 'liquid' | 'dry' {
  if (kinds.juiceGroups.includes(group)) return 'juice';
  return kinds.liquidGroups.includes(group) ? 'liquid' : 'dry';
}

/** Poured into a tub or jar as a rule, rather than wrapped. */
export const isPoured = ({ group }: Pick<Food, 'group'>): boolean => kinds.pouredGroups.includes(group);
