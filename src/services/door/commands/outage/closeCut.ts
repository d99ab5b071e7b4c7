import { closeCutCommand } from '@/core/ledger/outage/closeCut';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const closeCutDoor = atDoor(closeCutCommand, { cut: uuid.required() });
