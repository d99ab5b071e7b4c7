import type { Food } from '../model/food';

/** Groups that a household's compost takes as they are: plants. Nothing cooked, no meat, fish, dairy or fat: they draw vermin and smell. */
const PLANTS: readonly string[] = ['vegetable', 'fruit', 'herb', 'grain-legume', 'nut-seed'];
const ANIMAL_TAGS: readonly string[] = ['meat', 'poultry', 'pork', 'fish', 'shellfish', 'dairy', 'egg'];

/** True for what may go on the compost (our own table, on the careful side of usual advice). */
export const composts = ({ group, dietTags }: Pick<Food, 'group' | 'dietTags'>): boolean =>
  PLANTS.includes(group) && !dietTags.some((tag) => ANIMAL_TAGS.includes(tag));
