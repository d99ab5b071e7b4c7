import { foodKey } from './foodKey';
import noFood from './noFood.json';

const KEYS: ReadonlySet<string> = new Set(noFood.words.map(foodKey));

/** True for what comes home with the shopping and is no food: kitchen roll, washing-up liquid. */
export const isNoFood = (name: string): boolean => KEYS.has(foodKey(name));
