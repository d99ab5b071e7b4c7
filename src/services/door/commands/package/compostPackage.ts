import { partOf } from '../../schemas/words';
import { compostPackageCommand } from '@/core/ledger/package/compostPackage';
import { atDoor } from '../../atDoor';

export const compostPackageDoor = atDoor(compostPackageCommand, partOf);
