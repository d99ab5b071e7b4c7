import { HOUSEHOLD_MAY } from '../../model/role';
import { HARD_FROZEN_C } from '../../model/limits';
import { warmAround } from '../package/warmAround';
import type { Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { Zone } from '../../model/package';
import type { Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** A fridge zone warmer than this is asked about, °C. */
const ODD_FRIDGE_C = 15;

const sayCelsius = (celsius: number): string => `${String(celsius).replace('-', '−')} °C`;

/** A reading that no zone of its kind should have: a slip of the pen, or °F for °C. @throws Refusal `reading` */
function refuseOdd({ name, cold }: Zone, celsius: number): void {
  const odd =
    cold === 'freezer' ? celsius > HARD_FROZEN_C : celsius < HARD_FROZEN_C || celsius > ODD_FRIDGE_C;
  if (!odd) return;
  const fromF = Math.round(((celsius - 32) * 5) / 9);
  const likely = cold === 'freezer' ? fromF <= -10 : fromF >= -1 && fromF <= ODD_FRIDGE_C;
  const told = likely ? ` ${String(celsius).replace('-', '−')} °F would be ${sayCelsius(fromF)}.` : '';
  throw new Refusal(
    'reading',
    `${name} is in a ${cold}: ${sayCelsius(celsius)} would be odd there.${told} Say it again if it is so.`,
  );
}

/**
 * What a thermometer read in a zone, °C; it wins over what was assumed, and dates what lies there (K9).
 *
 * @param command.sure the cook looked twice: an odd reading is taken too
 * @throws Refusal `reading` for one that no zone of its kind should have
 */
function measureZone(command: { zone: string; celsius: number; sure?: boolean }, world: World): Decision {
  const zone = world.zone(command.zone);
  if (!command.sure) refuseOdd(zone, command.celsius);
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

export const measureZoneCommand: CommandKind<{ zone: string; celsius: number; sure?: boolean }> = {
  type: 'zone.measure',
  may: HOUSEHOLD_MAY,
  needs: ({ zone }) => ({ zones: [zone] }),
  decide: measureZone,
};
