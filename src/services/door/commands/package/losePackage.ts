import { onPackage } from '../../schemas/words';
import { losePackageCommand } from '@/core/ledger/package/losePackage';
import { atDoor } from '../../atDoor';

export const losePackageDoor = atDoor(losePackageCommand, {
  ...onPackage,
});
