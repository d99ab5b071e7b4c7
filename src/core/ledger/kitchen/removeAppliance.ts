import { Refusal } from '../../model/refusal';
import { type Rehoming, forgotten, rehomed } from './rehomed';
import type { Decision } from '../../model/decision';
import type { Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Takes an appliance out of the kitchen. @throws Refusal `place` for packages left without a zone, or when it is not there */
function removeAppliance(command: { appliance: string; rehome: Rehoming[] }, world: World): Decision {
  const before = world.appliance(command.appliance);
  if (!before) throw new Refusal('place', 'There is no such appliance any more.');
  const { drawing } = before;
  const setting: Setting = { kind: 'appliance', subject: drawing.id, value: null };
  const gone = new Map(drawing.zones.map(({ id, name }) => [id, name]));
  return {
    lots: [],
    events: rehomed(gone, world.loaded(), command.rehome, withSetting(world, setting)),
    settings: [
      {
        type: 'appliance.removed',
        before: { kind: 'appliance', subject: drawing.id, value: drawing },
        after: setting,
        says: `${drawing.name} is out of the ${drawing.room.toLowerCase()}.`,
      },
      ...forgotten(gone, world),
    ],
  };
}

export const removeApplianceCommand: CommandKind<{ appliance: string; rehome: Rehoming[] }> = {
  type: 'appliance.remove',
  needs: ({ appliance }) => ({ appliances: [appliance] }),
  decide: removeAppliance,
};
