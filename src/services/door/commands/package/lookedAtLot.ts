import { lookedAtLotCommand } from '@/core/ledger/package/lookedAtLot';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const lookedAtLotDoor = atDoor(lookedAtLotCommand, { lot: uuid.required() });
