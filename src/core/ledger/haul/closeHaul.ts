import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import { haulEvent, openHaul } from './haulWorld';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Closes a haul whose lines are all packed. @throws Refusal `haul` naming what is not */
function closeHaul(command: { haul: string }, world: World): Decision {
  const before = openHaul(world, command.haul);
  const open = world.haulLines(before.id).filter(({ packages }) => packages === null);
  if (open.length > 0) {
    const names = open.slice(0, 4).map(({ called }) => called);
    const more = open.length > names.length ? ` and ${open.length - names.length} more` : '';
    throw new Refusal('haul', `Not packed yet: ${names.join(', ')}${more}.`);
  }
  const after = { ...before, closedAt: world.at };
  return wasSet(haulEvent('haul.closed', before, after, `Finished ${before.name}.`));
}

export const closeHaulCommand: CommandKind<{ haul: string }> = {
  type: 'haul.close',
  may: HOUSEHOLD_MAY,
  needs: ({ haul }) => ({ hauls: [haul] }),
  decide: closeHaul,
};
