import { uuid, anyway, onPackage } from '../../schemas/words';
import { freezePackageCommand } from '@/core/ledger/package/freezePackage';
import { atDoor } from '../../atDoor';

export const freezePackageDoor = atDoor(freezePackageCommand, {
  ...onPackage,
  zone: uuid.required(),
  anyway,
});
