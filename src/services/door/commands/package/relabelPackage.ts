import { onPackage } from '../../schemas/words';
import { relabelPackageCommand } from '@/core/ledger/package/relabelPackage';
import { atDoor } from '../../atDoor';

export const relabelPackageDoor = atDoor(relabelPackageCommand, {
  ...onPackage,
});
