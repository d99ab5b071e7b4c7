import { partOf } from '../../schemas/words';
import { givePackageCommand } from '@/core/ledger/package/givePackage';
import { atDoor } from '../../atDoor';

export const givePackageDoor = atDoor(givePackageCommand, partOf);
