import { partOf } from '../../schemas/words';
import { takePackageCommand } from '@/core/ledger/package/takePackage';
import { atDoor } from '../../atDoor';

export const takePackageDoor = atDoor(takePackageCommand, partOf);
