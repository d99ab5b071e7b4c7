import { HOUSEHOLD_MAY } from '../../model/role';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';

/** Opens a package (K4). @throws Refusal when it is open already */
function openPackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = withEvents(before, [{ did: 'opened', on: world.today }], world);
  return [{ type: 'package.opened', before, after, says: `Opened ${before.called} ${before.code}.` }];
}

export const openPackageCommand = packageCommand('package.open', openPackage, HOUSEHOLD_MAY);
