export const APPETITES = ['small', 'usual', 'large'] as const;
export type Appetite = (typeof APPETITES)[number];

/** Grams a person eats of a food group at one meal: ordinary household portions, rounded (our own table). */
const PORTION_GRAMS: Readonly<Record<string, number>> = {
  'raw-meat': 140,
  'raw-poultry': 150,
  'raw-fish': 150,
  shellfish: 150,
  'cooked-meat': 120,
  deli: 60,
  egg: 110,
  dairy: 150,
  cheese: 40,
  leftovers: 300,
  'soup-sauce': 300,
  baby: 100,
  vegetable: 120,
  fruit: 120,
  herb: 5,
  'bread-bake': 80,
  dough: 110,
  'grain-legume': 75,
  'nut-seed': 30,
  fat: 15,
  condiment: 20,
  drink: 200,
  'ready-meal': 350,
  other: 100,
  pet: 200,
};

const APPETITE_FACTORS: Readonly<Record<Appetite, number>> = { small: 0.75, usual: 1, large: 1.35 };

/** What a portion is for; shares of a main dish (our own estimates). */
export const PURPOSES = {
  main: 1,
  side: 0.5,
  'in a sandwich': 0.4,
  'in a soup or stew': 0.6,
  'a full meal': 1.4,
} as const;
export type PortionPurpose = keyof typeof PURPOSES;

/** Whole grams for one eater of a food group and appetite; a group not in the table counts 100 g. */
export function portionGrams(group: string, appetite: Appetite, purpose: PortionPurpose = 'main'): number {
  return Math.round((PORTION_GRAMS[group] ?? 100) * APPETITE_FACTORS[appetite] * PURPOSES[purpose]);
}
