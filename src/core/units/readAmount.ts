import type { AmountUnit } from './sayAmount';

/** Household units and what one of them is inside. 1 lb = 453.59237 g, 1 oz = 28.349523125 g, 1 pint = 568.26125 ml. */
const UNITS: Readonly<Record<string, readonly [AmountUnit, number]>> = {
  g: ['g', 1],
  gram: ['g', 1],
  grams: ['g', 1],
  kg: ['g', 1000],
  kilo: ['g', 1000],
  kilos: ['g', 1000],
  lb: ['g', 453.59237],
  lbs: ['g', 453.59237],
  oz: ['g', 28.349523125],
  ml: ['ml', 1],
  cl: ['ml', 10],
  dl: ['ml', 100],
  l: ['ml', 1000],
  litre: ['ml', 1000],
  litres: ['ml', 1000],
  liter: ['ml', 1000],
  liters: ['ml', 1000],
  pint: ['ml', 568.26125],
  pints: ['ml', 568.26125],
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

/** Weighs an amount above this, and somebody slipped a digit: 200 kg or litres, 2,000 pieces. */
const MOST_AMOUNT: Readonly<Record<AmountUnit, number>> = { g: 200_000, ml: 200_000, pc: 2_000 };

/** True for a word that is a unit of amount. */
export function isUnit(word: string): boolean {
  return Object.hasOwn(UNITS, word.toLowerCase());
}

/** A number and unit word as whole grams, millilitres or pieces; no unit means pieces. `null` for an unknown unit. */
export function readAmount(value: number, unit: string | null): { amount: number; unit: AmountUnit } | null {
  const known =
    unit === null
      ? (['pc', 1] as const)
      : Object.hasOwn(UNITS, unit.toLowerCase())
        ? UNITS[unit.toLowerCase()]
        : undefined;
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
