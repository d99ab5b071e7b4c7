import { HOUSEHOLD_MAY } from '../../model/role';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { refusePromised } from './kept';
import { reduced, sayPart, type Taking } from './reduced';
import { packageCommand } from './packageCommand';

/** Puts a package on the compost, all of it or a part. @throws Refusal when there is less in it, or it is kept for somebody */
function compostPackage(command: Taking, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  refusePromised(before, command.promised, world);
  const after = reduced(before, command, 'composted', null, world);
  return [
    {
      type: 'package.composted',
      before,
      after,
      says: `Composted ${sayPart(before, command.amount, before.called)}.`,
    },
  ];
}

export const compostPackageCommand = packageCommand('package.compost', compostPackage, HOUSEHOLD_MAY);
