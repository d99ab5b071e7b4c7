import { HOUSEHOLD_MAY } from '../../model/role';
import { type Decision, happened } from '../../model/decision';
import type { IntakeLine } from '../../model/intakeLine';
import type { Taking } from './reduced';
import { madeOf } from './madeOf';
import { storeLine } from './storeLine';
import { takePackage } from './takePackage';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Cooking of a package; `into`: what came of it. */
interface Cooking extends Taking {
  into: IntakeLine | null;
}

/**
 * Cooks a package, all of it or a part: it leaves its clock, and what came of it begins a new lot, if any is kept.
 *
 * @param into the dish as a line of a haul; `null`: eaten as it was cooked
 * @throws Refusal when it is to be thrown out, or the line cannot be stored
 */
function cookPackage(command: Cooking, world: World): Decision {
  const before = world.package(command.package);
  const events = takePackage(command, world, 'cooked');
  if (command.into === null) return happened(events);
  const stored = storeLine(command.into, world);
  const made = stored.events.map((event) => madeOf(event, [before], world));
  return { lots: [stored.lot], events: [...events, ...made], settings: [] };
}

export const cookPackageCommand: CommandKind<Cooking> = {
  type: 'package.cook',
  may: HOUSEHOLD_MAY,
  needs: ({ package: id, into }) => ({ packages: [id], newCodes: into?.packs ?? 0 }),
  decide: cookPackage,
  says: ({ lots: [lot], events }) => {
    const cooked = events[0]?.says ?? '';
    return lot
      ? `${cooked} It became ${lot.amount} ${lot.unit} of ${events.at(-1)?.after.called ?? ''}.`
      : cooked;
  },
};
