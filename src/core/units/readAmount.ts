import type { AmountUnit } from './sayAmount';

/** How a household measures: grams, millilitres and °C, or pounds, cups and °F. */
export const UNIT_SYSTEMS = ['metric', 'us'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** Units and what one of them is inside. 1 lb = 453.59237 g, 1 oz = 28.349523125 g (exact, by definition). */
const UNITS: Readonly<Record<string, readonly [AmountUnit, number]>> = {
  g: ['g', 1],
  gr: ['g', 1],
  gm: ['g', 1],
  gms: ['g', 1],
  gram: ['g', 1],
  grams: ['g', 1],
  gramme: ['g', 1],
  grammes: ['g', 1],
  kg: ['g', 1000],
  kgs: ['g', 1000],
  kilo: ['g', 1000],
  kilos: ['g', 1000],
  kilogram: ['g', 1000],
  kilograms: ['g', 1000],
  lb: ['g', 453.59237],
  lbs: ['g', 453.59237],
  pound: ['g', 453.59237],
  pounds: ['g', 453.59237],
  oz: ['g', 28.349523125],
  ozs: ['g', 28.349523125],
  ounce: ['g', 28.349523125],
  ounces: ['g', 28.349523125],
  ml: ['ml', 1],
  mls: ['ml', 1],
  millilitre: ['ml', 1],
  millilitres: ['ml', 1],
  milliliters: ['ml', 1],
  cl: ['ml', 10],
  dl: ['ml', 100],
  l: ['ml', 1000],
  lt: ['ml', 1000],
  ltr: ['ml', 1000],
  litre: ['ml', 1000],
  litres: ['ml', 1000],
  liter: ['ml', 1000],
  liters: ['ml', 1000],
  pc: ['pc', 1],
  pcs: ['pc', 1],
  piece: ['pc', 1],
  pieces: ['pc', 1],
  bunch: ['pc', 1],
  bunches: ['pc', 1],
  head: ['pc', 1],
  heads: ['pc', 1],
  loaf: ['pc', 1],
  loaves: ['pc', 1],
};

/** Millilitres of the units that differ between the two: imperial with the metric ones (cup 250 ml), US customary. */
const SPOONS_AND_JUGS: Readonly<Record<string, readonly [metric: number, us: number]>> = {
  pint: [568.26125, 473.176473],
  quart: [1136.5225, 946.352946],
  gallon: [4546.09, 3785.411784],
  cup: [250, 236.5882365],
  'fl oz': [28.4130625, 29.5735295625],
  tablespoon: [15, 14.78676478125],
  teaspoon: [5, 4.92892159375],
};
const SHORT: Readonly<Record<string, string>> = {
  pt: 'pint',
  pts: 'pint',
  pints: 'pint',
  qt: 'quart',
  qts: 'quart',
  quarts: 'quart',
  gal: 'gallon',
  gals: 'gallon',
  gallons: 'gallon',
  cups: 'cup',
  floz: 'fl oz',
  'fl.oz': 'fl oz',
  tbsp: 'tablespoon',
  tablespoons: 'tablespoon',
  tsp: 'teaspoon',
  teaspoons: 'teaspoon',
};

/** Weighs an amount above this, and somebody slipped a digit: 200 kg or litres, 2,000 pieces. */
const MOST_AMOUNT: Readonly<Record<AmountUnit, number>> = { g: 200_000, ml: 200_000, pc: 2_000 };

function unitOf(word: string, system: UnitSystem): readonly [AmountUnit, number] | null {
  const lower = word.toLowerCase().replace(/\.$/, '');
  if (Object.hasOwn(UNITS, lower)) return UNITS[lower] ?? null;
  const name = Object.hasOwn(SHORT, lower) ? (SHORT[lower] ?? '') : lower;
  const both = Object.hasOwn(SPOONS_AND_JUGS, name) ? SPOONS_AND_JUGS[name] : undefined;
  return both ? ['ml', both[system === 'us' ? 1 : 0]] : null;
}

/** True for a word that is a unit of amount. */
export const isUnit = (word: string): boolean => unitOf(word, 'metric') !== null;

/**
 * A number and unit word as whole grams, millilitres or pieces; no unit means pieces. `null` for an unknown unit.
 *
 * @param system whose pints, cups and gallons are meant
 */
export function readAmount(
  value: number,
  unit: string | null,
  system: UnitSystem = 'metric',
): { amount: number; unit: AmountUnit } | null {
  const known = unit === null ? (['pc', 1] as const) : unitOf(unit, system);
  if (!known) return null;
  return { amount: Math.round(value * known[1]), unit: known[0] };
}

/** Why an amount cannot be, in words; `null` when it can. */
export function amountFault(amount: number, unit: AmountUnit): string | null {
  if (!Number.isFinite(amount) || amount <= 0) return 'The amount must be more than zero.';
  if (amount > MOST_AMOUNT[unit]) {
    return unit === 'pc'
      ? 'More than 2,000 pieces: please split the line.'
      : `That is more than 200 ${unit === 'g' ? 'kg' : 'litres'} in one line: check the number.`;
  }
  return null;
}
