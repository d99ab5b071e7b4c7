import { HOUSEHOLD_MAY } from '../../model/role';
import type { HistoryEvent, ThawMethod } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { coldOf, counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { admitTo, warnedNote } from './zoneFault';
import { type OnPackage, type Placing } from '../../model/command';
import { packageCommand } from './packageCommand';

/**
 * Moves a package down to thaw in a fridge zone (K7), or thaws it by a quick method onto the counter (K6).
 *
 * @throws Refusal when it is not frozen, or the method is not for this food
 */
export function thawPackage(
  command: OnPackage & Placing & { method: ThawMethod; zone: string | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const name = before.called;
  if (command.method !== 'fridge') {
    const events: HistoryEvent[] = [
      ...counterOf(before, world),
      { did: 'thawed', on: world.today, method: command.method },
    ];
    const after = withEvents(before, events, world, { zoneId: null, counterSince: world.at });
    return [
      { type: 'package.thawed', before, after, says: `${name} ${before.code} thawed; it is on the counter.` },
    ];
  }
  if (before.state === 'thawing') {
    const after = withEvents(before, [{ did: 'thawed', on: world.today, method: 'fridge' }], world);
    return [{ type: 'package.thawed', before, after, says: `${name} ${before.code} is thawed.` }];
  }
  if (command.zone === null) throw new Refusal('place', 'Which fridge zone shall it thaw in?');
  const zone = world.zone(command.zone);
  if (zone.cold !== 'fridge') throw new Refusal('place', `${zone.name} is not in a fridge.`);
  const warning = admitTo(zone, world.food(before.foodId), command.anyway ?? false);
  const after = withEvents(
    before,
    [...counterOf(before, world), { did: 'thawing', on: world.today, ...coldOf(zone) }],
    world,
    { zoneId: zone.id, counterSince: null, note: warnedNote(before.note, warning) },
  );
  return [
    {
      type: 'package.thawed',
      before,
      after,
      says: `${name} ${before.code} moved down to ${zone.name} to thaw.`,
    },
  ];
}

export const thawPackageCommand = packageCommand('package.thaw', thawPackage, HOUSEHOLD_MAY);
