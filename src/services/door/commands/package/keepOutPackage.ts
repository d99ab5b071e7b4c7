import { onPackage } from '../../schemas/words';
import { keepOutPackageCommand } from '@/core/ledger/package/keepOutPackage';
import { atDoor } from '../../atDoor';

export const keepOutPackageDoor = atDoor(keepOutPackageCommand, onPackage);
