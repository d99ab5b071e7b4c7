import type { Food } from '../model/food';
import type { Goal } from '../model/haul';
import preparations from './preparations.json';

/** Questions on which cooks differ; of each school at most one way is chosen. */
export type School = 'washing' | 'blanching' | 'keeping' | 'cooking' | 'dressing' | 'cooling';

/** One way to prepare food before it is put away. */
export interface Preparation {
  id: string;
  school: School;
  name: string;
  says: string;
  /** Time it takes, for the timer; `null`: the food's own blanching time. */
  minutes: number | null;
  /** Look at it again after so many days; only ways of keeping have it. */
  lookEveryDays?: number;
}

export const PREPARATIONS = preparations as readonly Preparation[];

const LEAVES = /kale|chard|lettuce|leaves|spinach|watercress|pak-choi|endive|greens|celery|leeks|asparagus/;

function suits({ id, school }: Preparation, food: Food, goes: Goal): boolean {
  const key = food.copyOf ?? food.id;
  const freezes = goes === 'freezer';
  switch (school) {
    case 'washing':
      return food.readiness === 'needs-wash' || food.group === 'herb';
    case 'blanching':
      if (!freezes || food.blanchMinutes === null) return false;
      return id === 'blanched' || food.blanchOptional === true;
    case 'keeping':
      if (goes !== 'fridge') return false;
      if (food.group === 'herb') return true;
      return LEAVES.test(key) && id !== 'water-jar';
    case 'cooking':
      return food.freezePrep.includes(id === 'cook-first' ? 'cook-first' : 'mash');
    case 'dressing':
      if (food.readiness !== 'raw-animal') return false;
      return id === 'marinated' || food.group === 'raw-fish' || food.group === 'raw-poultry';
    case 'cooling':
      return food.freezePrep.includes('cool-fast') || food.group === 'soup-sauce';
  }
}

/** The ways of preparing that are open for a food and where it goes, school by school. */
export function preparationsFor(food: Food, goes: Goal): Preparation[] {
  return PREPARATIONS.filter((one) => suits(one, food, goes));
}

/** Minutes of a step: its own, or the food's blanching time. */
export function preparationMinutes({ minutes }: Preparation, food: Pick<Food, 'blanchMinutes'>): number {
  return minutes ?? food.blanchMinutes ?? 0;
}

/** The choice with one way taken or given up; another way of the same school gives way. */
export function choosePreparation(chosen: readonly string[], id: string): string[] {
  if (chosen.includes(id)) return chosen.filter((one) => one !== id);
  const school = PREPARATIONS.find((one) => one.id === id)?.school;
  const others = chosen.filter((one) => PREPARATIONS.find((other) => other.id === one)?.school !== school);
  return [...others, id];
}

/** False when it is frozen raw though it could be blanched (K5). Not told counts as blanched. */
export const isBlanched = (chosen: readonly string[]): boolean => !chosen.includes('raw-frozen');

/** Days until the next look that a way of keeping asks for; `null`: none. */
export function lookAgainDays(chosen: readonly string[]): number | null {
  const days = PREPARATIONS.flatMap(({ id, lookEveryDays }) =>
    chosen.includes(id) && lookEveryDays !== undefined ? [lookEveryDays] : [],
  );
  return days.length === 0 ? null : Math.min(...days);
}

/** The names of what was chosen, for a label. */
export function sayPreparation(chosen: readonly string[]): string {
  return PREPARATIONS.filter(({ id, school }) => chosen.includes(id) && school !== 'cooling')
    .map(({ name }) => name)
    .join(', ');
}
