import { HOUSEHOLD_MAY } from '../../model/role';
import type { OnPackage } from '../../model/command';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import { packageCommand } from './packageCommand';
import { presentPackage } from './presentPackage';

/** Puts a kept photo to a package, or takes it off (`null`). Nothing else of it changes. */
function picturePackage(command: OnPackage & { photo: string | null }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = { ...before, photo: command.photo, version: before.version + 1 };
  const says = command.photo === null ? 'has no photo any more' : 'has a photo';
  return [{ type: 'package.pictured', before, after, says: `${before.called} ${before.code} ${says}.` }];
}

export const picturePackageCommand = packageCommand('package.picture', picturePackage, HOUSEHOLD_MAY);
