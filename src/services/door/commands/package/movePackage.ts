import { uuid, anyway, onPackage } from '../../schemas/words';
import { movePackageCommand } from '@/core/ledger/package/movePackage';
import { atDoor } from '../../atDoor';

export const movePackageDoor = atDoor(movePackageCommand, {
  ...onPackage,
  zone: uuid.allow(null).required().description('null puts it on the counter'),
  anyway,
});
