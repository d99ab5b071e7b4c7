import type { Food } from '../model/food';
import type { HaulLine } from '../model/haul';
import { isQuickChill, type OrderedLine } from './workOrder';

/** What is asked around raw meat, once a batch. */
export interface HygieneStep {
  id: 'before-raw' | 'after-raw';
  says: string;
}

const BEFORE: HygieneStep = {
  id: 'before-raw',
  says: 'Raw meat next: everything else off the board, bag cuffs rolled back, one knife and one board for it.',
};
const AFTER: HygieneStep = {
  id: 'after-raw',
  says: 'Raw meat is done: hands 20 seconds with soap, board and knife in hot soapy water, wipe the counter, then the taps.',
};

type Handled = Pick<OrderedLine, 'line' | 'food'>;

const handlesRaw = (one: Handled): boolean => one.food.readiness === 'raw-animal' && !isQuickChill(one);

/**
 * The prompt that is due now: before the first raw meat is handled, and after the last of it. Each comes once in a haul.
 *
 * @param current the line being worked on
 * @param done ids of the steps that were confirmed
 */
export function hygieneStep(
  lines: readonly { line: HaulLine; food: Pick<Food, 'readiness' | 'controlled'> }[],
  current: string | null,
  done: readonly string[],
): HygieneStep | null {
  const raw = lines.filter(handlesRaw);
  if (raw.length === 0) return null;
  const open = raw.filter(({ line }) => line.packages === null);
  if (open.length === 0) return done.includes(AFTER.id) ? null : AFTER;
  if (done.includes(BEFORE.id)) return null;
  return open.some(({ line }) => line.id === current) ? BEFORE : null;
}
