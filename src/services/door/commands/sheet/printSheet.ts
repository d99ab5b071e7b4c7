import { printSheetCommand } from '@/core/ledger/sheet/printSheet';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const printSheetDoor = atDoor(printSheetCommand, { appliance: uuid.required() });
