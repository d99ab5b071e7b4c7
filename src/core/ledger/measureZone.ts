import { warmAround } from './changePackage';
import type { Decision } from './decide';
import type { Setting } from './setting';
import { withSetting } from './withSetting';
import type { World } from './world';

/** What a thermometer read in a zone; it wins over what was assumed, and dates what lies there (K9). °C. */
export function measureZone(command: { zone: string; celsius: number }, world: World): Decision {
  const zone = world.zone(command.zone);
  const before = world.measured(zone.id);
  const setting: Setting = {
    kind: 'measured',
    subject: zone.id,
    value: { celsius: command.celsius, at: world.at },
  };
  const after = withSetting(world, setting);
  const lying = world.loaded().filter(({ zoneId }) => zoneId === zone.id);
  return {
    lots: [],
    events: lying.flatMap((found) => warmAround(found, after.zone(zone.id), after) ?? []),
    settings: [
      {
        type: 'zone.measured',
        before: before && { kind: 'measured', subject: zone.id, value: before },
        after: setting,
        says: `${zone.name}, ${zone.applianceName}: ${String(command.celsius).replace('-', '−')} °C.`,
      },
    ],
  };
}
