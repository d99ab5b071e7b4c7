import type { Decision } from '../decide';
import type { IntakeLine } from '../../model/intakeLine';
import type { Pieces } from './partOpens';
import { storeLine } from '../haul/storeHaul';
import { takePackage } from './takePackage';
import type { World } from '../../model/world';

/**
 * Cooks a package, all of it or a part: it leaves its clock, and what came of it begins a new lot, if any is kept.
 *
 * @param into the dish as a line of a haul; `null`: eaten as it was cooked
 * @throws Refusal when it is to be thrown out, or the line cannot be stored
 */
export function cookPackage(
  command: {
    package: string;
    version: number;
    amount: number | null;
    pieces?: Pieces | null;
    into: IntakeLine | null;
  },
  world: World,
): Decision {
  const events = takePackage(command, world, 'cooked');
  if (command.into === null) return { lots: [], events, settings: [] };
  const stored = storeLine(command.into, world);
  return { lots: [stored.lot], events: [...events, ...stored.events], settings: [] };
}
