import { HOUSEHOLD_MAY } from '../../model/role';
import { Refusal } from '../../model/refusal';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { type OnPackage, type Placing } from '../../model/command';
import { moveTo } from './moveTo';
import { packageCommand } from './packageCommand';

/** Puts a package into a zone, or out on the counter. @throws Refusal `place` as `moveTo`, or when it lies there already */
function movePackage(command: OnPackage & Placing & { zone: string | null }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const kept = before.state === 'room' && before.counterSince === null;
  if (command.zone === before.zoneId && !kept) throw new Refusal('place', 'It lies there already.');
  return [moveTo(before, command.zone, world, command.anyway)];
}

export const movePackageCommand = packageCommand('package.move', movePackage, HOUSEHOLD_MAY);
