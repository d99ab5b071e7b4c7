import type { Food } from '../model/food';
import kinds from './soldSealed.json';

const WORDS = new Map(kinds.flatMap(({ one, many, foods }) => foods.map((id) => [id, { one, many }])));

/** What each piece of a food is closed in by its maker, in words; nothing for what is not sold so. */
export const soldSealed = ({ id, copyOf }: Pick<Food, 'id' | 'copyOf'>) => WORDS.get(copyOf ?? id);
