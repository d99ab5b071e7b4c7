import { MOST_PACKS } from '../model/limits';
import type { Food } from '../model/food';
import { Refusal } from '../model/refusal';
import { packCount, type PortionPlan } from './packCount';
import { sharePrice } from './sharePrice';
import { splitEvenly } from './splitEvenly';
import { FREEZE_IN_G_PER_L, spreadFreezing } from './spreadFreezing';

export interface PortionRequest {
  food: Food;
  totalG: number;
  plan: PortionPlan;
  /** Whole minor units for the whole lot, or `null`. */
  priceMinor: number | null;
  /** Form of every pack, where the plan itself names none. */
  form: string | null;
  /** Usable inner measures of the bag, for flat packs, mm. */
  bag: { lengthMm: number; widthMm: number } | null;
  /** Net litres of the freezer they go into, or `null`. */
  freezerL: number | null;
}

/** Packs of one size; the price is that of one pack. */
export interface PackGroup {
  count: number;
  amountG: number;
  priceMinor: number | null;
  form: string | null;
  thicknessMm: number | null;
}

export interface PortionAnswer {
  packs: PackGroup[];
  /** The same split with one pack fewer or more. */
  alternatives: { packs: number; largestG: number; smallestG: number }[];
  /** What may go into the freezer on which day. */
  batches: { day: number; packs: number; grams: number }[];
  warnings: { rule: string; says: string }[];
}

/** A bag's corners hold a tenth less (THERMAL section 3). */
const BAG_FILL = 0.9;
const THICK_MM = 40;

/**
 * Thickness of a flat pack, mm: volume over usable bag area.
 *
 * @param grams of food in the bag
 * @param densityKgPerL of the food
 */
function flatThicknessMm(
  grams: number,
  densityKgPerL: number,
  bag: { lengthMm: number; widthMm: number },
): number {
  return ((grams / densityKgPerL) * 1000) / (bag.lengthMm * bag.widthMm * BAG_FILL);
}

function groupPacks(
  request: PortionRequest,
  amounts: readonly number[],
  prices: readonly number[] | null,
  forms: readonly (string | null)[],
): PackGroup[] {
  const groups: PackGroup[] = [];
  amounts.forEach((amountG, at) => {
    const priceMinor = prices?.[at] ?? null;
    const form = forms[at] ?? null;
    const last = groups.at(-1);
    if (last && last.amountG === amountG && last.priceMinor === priceMinor && last.form === form) {
      last.count += 1;
      return;
    }
    const thicknessMm =
      request.bag && form === 'flat'
        ? Math.round(flatThicknessMm(amountG, request.food.densityKgPerL, request.bag) * 10) / 10
        : null;
    groups.push({ count: 1, amountG, priceMinor, form, thicknessMm });
  });
  return groups;
}

/**
 * Splits a lot into packs: whole grams that add up exactly, price shares that add up to the price, both neighbouring
 * counts beside the plan, the flat pack's thickness and the days over which a freezer can take it (RULES 3).
 *
 * @throws Refusal `portions` when there are more packs than grams, or more than 200
 */
export function planPortions(request: PortionRequest): PortionAnswer {
  const { totalG, plan, priceMinor, food } = request;
  const count = packCount(plan, totalG, food.group);
  if (count > MOST_PACKS)
    throw new Refusal('portions', `${count} packs are more than the ${MOST_PACKS} a lot may have.`);
  if (count > totalG)
    throw new Refusal('portions', `${totalG} g do not make ${count} packs of a gram or more.`);
  const amounts = splitEvenly(totalG, count);
  const forms =
    'parts' in plan
      ? plan.parts.flatMap((part) => Array.from({ length: part.count }, () => part.form))
      : amounts.map(() => request.form);
  const prices = priceMinor === null ? null : sharePrice(priceMinor, amounts);
  const packs = groupPacks(request, amounts, prices, forms);
  const warnings: PortionAnswer['warnings'] = [];
  if (packs.some((pack) => (pack.thicknessMm ?? 0) > THICK_MM)) {
    warnings.push({
      rule: 'portions',
      says: `A flat pack over ${THICK_MM} mm freezes and thaws like a block: use a larger bag or more packs.`,
    });
  }
  if (food.freezeFit === 'no' || food.freezeFit === 'poor') {
    warnings.push({
      rule: 'K5',
      says:
        food.freezeFit === 'no'
          ? `${food.name} does not freeze well.`
          : `${food.name} suffers from freezing: for cooking only.`,
    });
  }
  const limitG = request.freezerL === null ? null : FREEZE_IN_G_PER_L * request.freezerL;
  if (limitG !== null && amounts.some((grams) => grams > limitG)) {
    warnings.push({
      rule: 'freeze-in',
      says: `One pack is more than the ${Math.round(limitG)} g this freezer takes in a day: make smaller packs.`,
    });
  }
  const neighbours = [count - 1, count + 1].filter((n) => n >= 1 && n <= Math.min(totalG, MOST_PACKS));
  return {
    packs,
    alternatives: neighbours.map((n) => ({
      packs: n,
      largestG: Math.ceil(totalG / n),
      smallestG: Math.floor(totalG / n),
    })),
    batches:
      limitG === null
        ? []
        : spreadFreezing(
            amounts.map((grams, at) => ({
              id: String(at),
              name: food.name,
              grams,
              daysLeft: null,
              thicknessMm: null,
            })),
            limitG,
          ).days.map(({ day, ids, grams }) => ({ day, packs: ids.length, grams })),
    warnings,
  };
}
