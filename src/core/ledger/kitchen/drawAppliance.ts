import { checkDrawing } from '../../kitchen/checkDrawing';
import type { ApplianceDrawing } from '../../model/drawing';
import { Refusal } from '../../model/refusal';
import { warmAround } from '../package/warmAround';
import { type Rehoming, forgotten, rehomed } from './rehomed';
import type { Decision } from '../../model/decision';
import type { Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import { StaleSetting } from '../../model/stale';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

function sayDrawn(before: ApplianceDrawing | null, { name, room, zones }: ApplianceDrawing): string {
  const count = `${zones.length} ${zones.length === 1 ? 'zone' : 'zones'}`;
  return before
    ? `${name} is drawn anew, with ${count}.`
    : `${name} is in the ${room.toLowerCase()}, with ${count}.`;
}

/** An appliance as drawn, over the version the cook saw; `null`: a new one. */
interface Drawing {
  appliance: ApplianceDrawing;
  version: number | null;
  rehome: Rehoming[];
}

/**
 * Draws an appliance: a new one, or one there is otherwise. What lies in zones that go must be given a place; what lies
 * in a zone that grows warmer or colder is dated by that.
 *
 * @throws Refusal D1 to D6 with the measure that is wrong, `place` for packages left without a zone
 * @throws StaleSetting when somebody drew it in the meantime
 */
function drawAppliance(command: Drawing, world: World): Decision {
  const drawing = command.appliance;
  const before = world.appliance(drawing.id);
  if ((before?.version ?? null) !== command.version) throw new StaleSetting(drawing.name);
  const [fault] = checkDrawing(drawing);
  if (fault) throw new Refusal(fault.rule, fault.says);
  const mine = new Set(before?.drawing.zones.map(({ id }) => id));
  const foreign = drawing.zones.find(({ id }) => !mine.has(id) && world.hasZone(id));
  if (foreign) throw new Refusal('D5', `${foreign.name} belongs to another appliance.`);
  const setting: Setting = { kind: 'appliance', subject: drawing.id, value: drawing };
  const after = withSetting(world, setting);
  const lying = world.loaded();
  const kept = new Set(drawing.zones.map(({ id }) => id));
  const gone = new Map(
    before?.drawing.zones.filter(({ id }) => !kept.has(id)).map(({ id, name }) => [id, name]),
  );
  const moved = rehomed(gone, lying, command.rehome, after);
  const warmed = lying.flatMap((found) => {
    if (found.zoneId === null || !kept.has(found.zoneId)) return [];
    const zone = after.zone(found.zoneId);
    if (zone.cold !== world.zone(found.zoneId).cold) {
      throw new Refusal('place', `${zone.name} cannot become a ${zone.cold} zone while food lies in it.`);
    }
    return warmAround(found, zone, after) ?? [];
  });
  return {
    lots: [],
    events: [...moved, ...warmed],
    settings: [
      {
        type: 'appliance.drawn',
        before: before && { kind: 'appliance', subject: drawing.id, value: before.drawing },
        after: setting,
        says: sayDrawn(before?.drawing ?? null, drawing),
      },
      ...forgotten(gone, world),
    ],
  };
}

export const drawApplianceCommand: CommandKind<Drawing> = {
  type: 'appliance.draw',
  needs: ({ appliance: { id } }) => ({ appliances: [id] }),
  decide: drawAppliance,
};
