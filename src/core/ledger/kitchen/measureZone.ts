import { HOUSEHOLD_MAY } from '../../model/role';
import { HARD_FROZEN_C } from '../../model/limits';
import { warmAround } from '../package/warmAround';
import { sayPlainDate } from '../../calendar/sayDate';
import { withEvents } from '../package/withEvents';
import type { Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { LedgerEvent, Zone } from '../../model/package';
import type { Measured, Setting } from '../../model/setting';
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
 * An older reading that is told late: the later one holds, and where the older was warmer it may only shorten (K9). It was as warm as that
 * from its day until the later one was read.
 */
function toldLate(celsius: number, later: Measured, zone: Zone, world: World): Decision {
  const [from, until] = [world.dayOf(world.at), world.dayOf(later.at)];
  const events = world.loaded().flatMap((before): LedgerEvent[] => {
    const began = before.history[0]?.on ?? before.startOn;
    if (before.zoneId !== zone.id || celsius <= before.celsius || began > from) return [];
    const warm = withEvents(before, [{ did: 'moved', on: from, c: celsius }], world);
    const after = withEvents(warm, [{ did: 'moved', on: until, c: before.celsius }], world);
    if (after.governingDate >= before.governingDate) return [];
    const says = `${zone.name} was at ${sayCelsius(celsius)} on ${sayPlainDate(from)}; ${before.called} ${before.code} is dated by that.`;
    return [{ type: 'package.redated', before, after: { ...after, version: before.version + 1 }, says }];
  });
  const kept: Setting = { kind: 'reading', subject: zone.id, value: { celsius, at: world.at } };
  const says = `${zone.name}, ${zone.applianceName}: ${sayCelsius(celsius)} on ${sayPlainDate(from)}; it was read again since.`;
  return { lots: [], events, settings: [{ type: 'zone.measured', before: null, after: kept, says }] };
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
  if (before && before.at > world.at) return toldLate(command.celsius, before, zone, world);
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
        says: `${zone.name}, ${zone.applianceName}: ${sayCelsius(command.celsius)}.`,
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
