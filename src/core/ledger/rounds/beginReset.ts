import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { MOST_PACKS } from '../../model/limits';
import { Refusal } from '../../model/refusal';
import { moveTo } from '../package/moveTo';
import { keptDecided } from '../settings/keptDecided';

interface Beginning {
  /** Its own id. */
  reset: string;
  zones: string[];
}

/**
 * Everything out of these zones, on the counter, with its clock (K10). What comes out is remembered as it was, so that the reset can say
 * what it gained.
 *
 * @throws Refusal `reset` when one is going on, or there is nothing in them
 */
export const beginResetCommand: CommandKind<Beginning> = {
  type: 'reset.begin',
  may: HOUSEHOLD_MAY,
  needs: ({ zones }) => ({ kept: ['reset'], zones }),
  decide: ({ reset: id, zones }, world) => {
    if (world.keptAll('reset').some(({ ended }) => ended === null))
      throw new Refusal('reset', 'A reset is going on already: finish it first.');
    const names = zones.map((zone) => world.zone(zone).name);
    const inside = world
      .loaded()
      .filter(({ gone, zoneId }) => gone === null && zoneId !== null && zones.includes(zoneId));
    if (inside.length === 0) throw new Refusal('reset', `There is nothing in ${names.join(', ')}.`);
    if (inside.length > MOST_PACKS)
      throw new Refusal(
        'reset',
        `${inside.length} things stand out too long at once. Take one zone after another.`,
      );
    const called = names.join(', ').slice(0, 200);
    const out = inside.map((found) => ({
      ...{ package: found.id, called: found.called, zone: found.zoneId ?? '', amount: found.amount },
      governing: found.governingDate,
    }));
    const value = { id, begun: world.at, ended: null, called, zones, wiped: false, out };
    const { settings } = keptDecided(
      world,
      'reset',
      id,
      value,
      `Everything out of ${called}: ${inside.length} things.`,
    );
    return { lots: [], events: inside.map((found) => moveTo(found, null, world)), settings };
  },
};
