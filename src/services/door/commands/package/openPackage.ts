import { onPackage } from '../../schemas/words';
import { openPackageCommand } from '@/core/ledger/package/openPackage';
import { atDoor } from '../../atDoor';

export const openPackageDoor = atDoor(openPackageCommand, onPackage);
