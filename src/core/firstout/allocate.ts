import type { CalendarDate } from '../calendar/calendarDate';
import type { Form } from '../model/intakeLine';
import { type AmountUnit, sayAmount } from '../units/sayAmount';
import { leastOver } from './leastOver';

/** What the allocation needs to know of a package. Amounts in its unit, hours as the model's cautious side. */
export interface AllocatedPackage {
  id: string;
  code: string;
  amount: number;
  unit: AmountUnit;
  form: Form | null;
  state: 'chilled' | 'frozen' | 'thawing' | 'counter' | 'room';
  governingDate: CalendarDate;
  governingKind: 'use-by' | 'best-by';
  /** Sorts in first-out order. */
  firstOut: string;
  /** Why it may not be eaten; `null` when it may. */
  unfit: string | null;
  /** Cautious hours to thaw; 0 unless frozen. */
  thawHours: number;
  /** A knife or a spoon takes a part of it while it is not frozen: cheese, butter, spreads. */
  cuts?: boolean;
}

export interface Allocation {
  /** Group by group in first-out order; `amount` is what is taken out of each. */
  takes: { id: string; code: string; amount: number; whole: boolean; why: string }[];
  /** Taken beyond what was asked, since the last one cannot be split. */
  excess: number;
  /** What is missing. */
  short: number;
  passed: { id: string; code: string; why: string }[];
}

const SPLITTABLE: readonly (Form | null)[] = ['loose', 'cubes', 'scored', 'slices'];

/**
 * True when a part may be taken and the rest goes on: loose pieces, cubes, scored sheets, interleaved slices, counted
 * pieces that are not frozen together, and liquids and what is cut that are not frozen.
 */
export function canSplit({
  form,
  unit,
  state,
  cuts = false,
}: Pick<AllocatedPackage, 'form' | 'unit' | 'state' | 'cuts'>): boolean {
  if (SPLITTABLE.includes(form)) return true;
  return state !== 'frozen' && state !== 'thawing' && (unit === 'ml' || unit === 'pc' || cuts);
}

/** Why a package is passed over, or `null`. */
function whyNot(found: AllocatedPackage, unit: AmountUnit, hours: number | null): string | null {
  if (found.unfit !== null) return found.unfit;
  if (found.unit !== unit) return `it is counted in ${found.unit === 'pc' ? 'pieces' : found.unit}`;
  if (hours !== null && found.state === 'frozen' && found.thawHours > hours) {
    return `frozen, and needs about ${Math.ceil(found.thawHours)} hours to thaw; there are ${Math.max(0, Math.floor(hours))}`;
  }
  return null;
}

/** Packages with the same date of the same kind: only among these may one go before another to fit better. */
function byDate(sorted: readonly AllocatedPackage[]): AllocatedPackage[][] {
  const groups: AllocatedPackage[][] = [];
  for (const found of sorted) {
    const last = groups.at(-1);
    const [first] = last ?? [];
    if (first && first.governingDate === found.governingDate && first.governingKind === found.governingKind)
      last?.push(found);
    else groups.push([found]);
  }
  return groups;
}

/** Nobody said for when, so it is for now: what is frozen is left where it is while there is enough that is not. */
function passFrozen(
  fit: AllocatedPackage[],
  passed: { found: AllocatedPackage; why: string }[],
  wanted: number,
): void {
  const ready = fit.filter(({ state }) => state !== 'frozen');
  if (ready.reduce((sum, { amount }) => sum + amount, 0) < wanted) return;
  const frozen = fit.filter(({ state }) => state === 'frozen');
  passed.push(...frozen.map((found) => ({ found, why: 'frozen, and there is enough that is not' })));
  fit.splice(0, fit.length, ...ready);
}

/**
 * Which packages to take for an amount of a food or of foods that stand in for each other (RULES 2): first out, never
 * passing an older one to fit better except among equal dates, where the least left over wins. The last one is split
 * if its form can be, else taken whole and the excess told. Frozen ones count only if they thaw in time.
 *
 * @param wanted more than 0, in `unit`
 * @param hours until the meal; `null`: nobody said, so frozen ones count
 */
export function allocate(
  packages: readonly AllocatedPackage[],
  wanted: number,
  unit: AmountUnit,
  hours: number | null,
): Allocation {
  const sorted = [...packages].sort((a, b) => (a.firstOut < b.firstOut ? -1 : 1));
  const result: Allocation = { takes: [], excess: 0, short: 0, passed: [] };
  const fit: AllocatedPackage[] = [];
  const passed: { found: AllocatedPackage; why: string }[] = [];
  for (const found of sorted) {
    const why = whyNot(found, unit, hours);
    if (why === null) fit.push(found);
    else passed.push({ found, why });
  }
  if (hours === null) passFrozen(fit, passed, wanted);
  let need = wanted;
  let reached = '';
  for (const group of byDate(fit)) {
    if (need <= 0) break;
    const chosen = leastOver(
      group.map(({ amount }) => amount),
      need,
    ).map((at) => group[at] as AllocatedPackage);
    const over = chosen.reduce((sum, { amount }) => sum + amount, 0) - need;
    const toSplit = over > 0 ? chosen.findLast((found) => canSplit(found) && found.amount > over) : undefined;
    for (const found of chosen) {
      const amount = found === toSplit ? found.amount - over : found.amount;
      const whole = found !== toSplit;
      result.takes.push({
        id: found.id,
        code: found.code,
        amount,
        whole,
        why: whole ? 'first out' : `a part of it; ${sayAmount(found.amount - amount, unit)} stay`,
      });
      need -= amount;
    }
    const last = chosen.at(-1);
    for (const found of group.slice(0, last ? group.indexOf(last) : 0)) {
      if (chosen.includes(found)) continue;
      passed.push({ found, why: 'same date, and another one fits better' });
    }
    reached = last?.firstOut ?? reached;
  }
  result.excess = Math.max(0, -need);
  result.short = Math.max(0, need);
  result.passed = passed
    .filter(({ found }) => need > 0 || found.firstOut < reached)
    .map(({ found, why }) => ({ id: found.id, code: found.code, why }));
  return result;
}
