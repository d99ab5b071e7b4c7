import likeness from './likeness.json';
import { type FoodIndex, type NamedFood } from './findFood';
import { foodKey, foodWords } from './foodKey';

const BY_KEY = new Map(Object.entries(likeness.like).map(([name, id]) => [foodKey(name), id]));

/** True for a food people know that the reference has no figures of its own for: not a slip of another's name. */
export const isOtherFood = (name: string): boolean => BY_KEY.has(foodKey(name));

const SEVERAL = new Map(Object.entries(likeness.several).map(([name, phrases]) => [foodKey(name), phrases]));

/** What a word that names a whole family may be, in words that name one food each ("chilli"); empty: it is no such word. */
export const mayBe = (name: string): readonly string[] => SEVERAL.get(foodKey(name)) ?? [];

/** The food whose figures serve one that the reference does not have ("quince": pears); `null` when nobody said. */
export function likeFood<F extends NamedFood>(index: FoodIndex<F>, name: string): F | null {
  const id =
    BY_KEY.get(foodKey(name)) ??
    foodWords(name)
      .map((word) => BY_KEY.get(word))
      .find(Boolean);
  return (id !== undefined && index.byId.get(id)) || null;
}
