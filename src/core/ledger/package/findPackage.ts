import { HOUSEHOLD_MAY } from '../../model/role';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';

/** What a round found (K12): turning, or bad. It may only bring the date forward. */
function findPackage(command: OnPackage & { finding: 'turning' | 'bad' }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const did = command.finding === 'bad' ? 'found-bad' : 'found-turning';
  const after = withEvents(before, [{ did, on: world.today }], world);
  const says = `${before.called} ${before.code} was found ${command.finding}.`;
  return [{ type: 'package.found', before, after, says }];
}

export const findPackageCommand = packageCommand('package.find', findPackage, HOUSEHOLD_MAY);
