import { picturePackageCommand } from '@/core/ledger/package/picturePackage';
import { atDoor } from '../../atDoor';
import { onPackage, uuid } from '../../schemas/words';

export const picturePackageDoor = atDoor(picturePackageCommand, {
  ...onPackage,
  photo: uuid.allow(null).required().description('the id of a kept photo; null takes it off'),
});
