import { MOST_PACKS } from '../model/limits';
import type { Food } from '../model/food';
import type { IntakeLine } from '../model/intakeLine';
import { packCount, type PortionPlan } from '../portions/packCount';
import { PACKINGS, packingsFor } from '../portions/packing';
import { gramsOf } from '../portions/packLayout';
import { sharePrice } from '../portions/sharePrice';
import { splitEvenly } from '../portions/splitEvenly';
import { splitPieces } from '../portions/splitPieces';
import type { Goal, HaulLine, HaulPart } from '../model/haul';
import { usualGoal } from './usualGoal';

/** The parts of a line and what they are parts of. */
export type Planned = Pick<HaulLine, 'amount' | 'unit' | 'pieces' | 'parts'>;

/** How a food is packed as a rule where it goes. */
export function usualPacking(food: Food, goes: Goal, boughtFrozen = false): string {
  if (boughtFrozen) return 'as-it-is';
  return goes === 'freezer' ? (packingsFor(food)[0] ?? 'lump') : 'as-it-is';
}

/** The packing a typed form or wrap means, for this food first. */
function packingNamed({ form, wrap }: Pick<IntakeLine, 'form' | 'wrap'>, food: Food): string | null {
  if (form === null && wrap === null) return null;
  const suits = packingsFor(food);
  const ranked = [...PACKINGS].sort((a, b) => {
    const rank = (id: string): number => (suits.includes(id) ? suits.indexOf(id) : 99);
    return rank(a.id) - rank(b.id);
  });
  const found = ranked.find(
    (one) => (form === null || one.form === form) && (wrap === null || one.wrap === wrap),
  );
  return found?.id ?? null;
}

/** Pack amounts of a total: whole, exact; pieces that are told are never cut, the larger packs first. */
function amountsOf({ amount, unit, pieces }: Omit<Planned, 'parts'>, packs: number): number[] {
  if (unit !== 'pc' && pieces !== null && pieces >= packs) {
    return splitPieces(amount, pieces, packs).map((pack) => pack.amount);
  }
  return splitEvenly(amount, packs);
}

/** The parts of a line that came from the quick line. */
export function partsOf(line: IntakeLine, food: Food, cold: 'fridge' | 'freezer' | null): HaulPart[] {
  const named = packingNamed(line, food);
  const goes: Goal =
    cold ??
    (line.start.frozen || line.frozenOn !== null || (named !== null && food.freezeFit !== 'no')
      ? 'freezer'
      : usualGoal(food, line.packs));
  const amounts = splitEvenly(line.amount, line.packs);
  return [
    {
      amounts,
      packing: named ?? usualPacking(food, goes, line.start.frozen),
      container: null,
      goes,
      zone: line.zone,
    },
  ];
}

/** How many packs there are of a plan, or of what is planned now. */
export const countPacks = ({ parts }: Pick<Planned, 'parts'>): number =>
  parts.reduce((sum, { amounts }) => sum + amounts.length, 0);

/** Deals fresh amounts to parts with so many packs each. */
function deal(line: Planned, counts: readonly number[]): HaulPart[] {
  const total = counts.reduce((sum, count) => sum + count, 0);
  const amounts = amountsOf(line, total);
  let from = 0;
  return line.parts.flatMap((part, at) => {
    const count = counts[at] ?? 0;
    const mine = amounts.slice(from, from + count);
    from += count;
    return mine.length === 0 ? [] : [{ ...part, amounts: mine }];
  });
}

/**
 * Splits a line by a plan. With several parts each keeps its share of the packs.
 *
 * @returns the parts; as they were when the plan cannot be (more packs than grams)
 */
export function splitLine(line: Planned, plan: PortionPlan, food: Food): HaulPart[] {
  const grams = gramsOf(line.amount, line.unit, food.densityKgPerL);
  const most = Math.min(
    MOST_PACKS,
    line.amount,
    line.unit === 'pc' ? line.amount : (line.pieces ?? Infinity),
  );
  const count = Math.max(1, Math.min(most, packCount(plan, grams, food.group)));
  if (count < line.parts.length)
    return deal({ ...line, parts: line.parts.slice(0, count) }, Array(count).fill(1));
  const now = line.parts.map(({ amounts }) => amounts.length);
  const shares = sharePrice(count, now);
  while (shares.includes(0)) {
    const most = shares.indexOf(Math.max(...shares));
    shares[most] = (shares[most] ?? 1) - 1;
    shares[shares.indexOf(0)] = 1;
  }
  return deal(line, shares);
}

/** Gives a part another number of packs; the others keep theirs. */
export function countPart(line: Planned, at: number, count: number): HaulPart[] {
  return deal(
    line,
    line.parts.map(({ amounts }, nth) => (nth === at ? Math.max(0, count) : amounts.length)),
  );
}

/** Takes some packs of the last part for another form, half of it as a rule. */
export function addPart(line: Planned, part: Omit<HaulPart, 'amounts'>): HaulPart[] {
  const last = line.parts.at(-1);
  if (!last) return line.parts;
  const now = last.amounts.length;
  const total = Math.max(2, now);
  const second = Math.max(1, Math.floor(total / 2));
  const counts = [...line.parts.slice(0, -1).map(({ amounts }) => amounts.length), total - second, second];
  return deal({ ...line, parts: [...line.parts, { ...part, amounts: [1] }] }, counts);
}

/** Half of everything to the fridge as it is, the other half to the freezer. */
export function halve(line: Planned, food: Food): HaulPart[] {
  const count = countPacks(line);
  const first = Math.floor(line.amount / 2);
  const pieces = line.pieces === null ? null : Math.floor(line.pieces / 2);
  const cold: HaulPart = {
    amounts: [first],
    packing: 'as-it-is',
    container: null,
    goes: 'fridge',
    zone: null,
  };
  const freezer = line.parts.find(({ goes }) => goes === 'freezer');
  const rest = {
    amount: line.amount - first,
    unit: line.unit,
    pieces: line.pieces === null ? null : line.pieces - (pieces ?? 0),
  };
  const packs = Math.max(1, Math.min(rest.amount, count > 1 ? Math.ceil(count / 2) : 1));
  return [
    cold,
    {
      amounts: amountsOf(rest, packs),
      packing: freezer?.packing ?? usualPacking(food, 'freezer'),
      container: freezer?.container ?? null,
      goes: 'freezer',
      zone: freezer?.zone ?? null,
    },
  ];
}

/**
 * Moves a cut between two packs next to each other: what one loses the other gets; each keeps 1 at least.
 *
 * @param cut 0 is the cut after the first pack of the line
 */
export function moveCut({ parts }: Pick<Planned, 'parts'>, cut: number, by: number): HaulPart[] {
  const all = parts.flatMap(({ amounts }) => amounts);
  const [left, right] = [all[cut], all[cut + 1]];
  if (left === undefined || right === undefined) return parts;
  const moved = Math.max(1 - left, Math.min(right - 1, Math.round(by)));
  return withAmounts(parts, all.with(cut, left + moved).with(cut + 1, right - moved));
}

/** Sets the weight of one pack as the scale says; the packs after it share what is left, else those before it. */
export function weighPack(line: Planned, at: number, amount: number): HaulPart[] | null {
  const all = line.parts.flatMap(({ amounts }) => amounts);
  const fixed = all.slice(0, at).reduce((sum, one) => sum + one, 0);
  const after = all.length - at - 1;
  const left = line.amount - fixed - amount;
  if (amount < 1 || left < after || (after === 0 && left !== 0)) return null;
  const rest = after === 0 ? [] : splitEvenly(left, after);
  return withAmounts(line.parts, [...all.slice(0, at), amount, ...rest]);
}

function withAmounts(parts: readonly HaulPart[], all: readonly number[]): HaulPart[] {
  let from = 0;
  return parts.map((part) => {
    const amounts = all.slice(from, from + part.amounts.length);
    from += part.amounts.length;
    return { ...part, amounts };
  });
}

/** Splits an amount the way the food was split the last time: the same forms and ways, the number of packs by its size. */
export function splitAsLast(
  line: Planned,
  last: { amount: number; unit: Planned['unit']; parts: readonly HaulPart[] },
): HaulPart[] {
  const share = last.unit === line.unit ? line.amount / last.amount : 1;
  const counts = last.parts.map(({ amounts }) => Math.max(1, Math.round(amounts.length * share)));
  const total = counts.reduce((sum, count) => sum + count, 0);
  const most = Math.min(MOST_PACKS, line.amount, line.pieces ?? Infinity);
  if (total > most) return line.parts;
  const parts = last.parts.map((part) => ({ ...part, zone: null }));
  const even = new Set(last.parts.map(({ goes }) => goes)).size === 1;
  if (even) return deal({ ...line, parts }, counts);
  // Half and half: each part keeps its share of the amount.
  const shares = sharePrice(
    line.amount,
    last.parts.map(({ amounts }) => amounts.reduce((sum, one) => sum + one, 0)),
  );
  if (shares.some((amount, at) => amount < (counts[at] ?? 1))) return line.parts;
  return parts.map((part, at) => ({ ...part, amounts: splitEvenly(shares[at] ?? 0, counts[at] ?? 1) }));
}

/** A line that came in frozen, or not after all: frozen, it goes to the freezer as it is, with nothing to prepare. */
export function broughtFrozen(line: HaulLine, food: Food, frozen: boolean): Partial<HaulLine> {
  const { frozen: _was, ...start } = line.start;
  const goes: Goal = frozen ? 'freezer' : usualGoal(food, countPacks(line));
  const packing = usualPacking(food, goes, frozen);
  return {
    start: frozen ? { ...start, frozen } : start,
    parts: line.parts.map((part) => ({ ...part, goes, packing, container: null, zone: null })),
    preparation: frozen ? [] : line.preparation,
  };
}
