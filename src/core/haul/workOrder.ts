import type { Food } from '../model/food';
import type { CounterClock } from './counterClock';
import type { HaulLine } from '../model/haul';

/** A line with what its turn depends on. */
export interface OrderedLine {
  line: HaulLine;
  food: Pick<Food, 'readiness' | 'controlled'>;
  clock: CounterClock;
}

/** From here on raw meat waits no longer for the others, minutes. */
const PRESSING_MINUTES = 30;

/** True when nothing has to be done but to put it away. */
export function isQuickChill({ line, food }: Pick<OrderedLine, 'line' | 'food'>): boolean {
  const [part, more] = line.parts;
  return (
    food.controlled &&
    part !== undefined &&
    more === undefined &&
    part.goes === 'fridge' &&
    part.packing === 'as-it-is' &&
    line.preparation.length === 0
  );
}

/** Which turn: 0 what must be decided, 1 what presses, 2 quick chills, 3 other cold food, 4 no hurry, 5 raw meat. */
function turnOf({ line, food, clock }: OrderedLine): number {
  if (clock.level === 'over') return 0;
  if (clock.left !== null && clock.level !== 'cold' && clock.left <= PRESSING_MINUTES) return 1;
  if (isQuickChill({ line, food })) return 2;
  if (food.readiness === 'raw-animal') return 5;
  return food.controlled ? 3 : 4;
}

/**
 * The order of work at the bench: what must not stand any longer, then what only wants putting away, then the rest, and raw
 * meat last, so that board and knife are scrubbed once. Within a turn the least time left first, then as told.
 */
export function workOrder<One extends OrderedLine>(lines: readonly One[]): One[] {
  return [...lines].sort(
    (a, b) =>
      turnOf(a) - turnOf(b) ||
      (a.clock.left ?? Infinity) - (b.clock.left ?? Infinity) ||
      a.line.position - b.line.position,
  );
}
