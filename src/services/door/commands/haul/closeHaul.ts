import { uuid } from '../../schemas/words';
import { closeHaulCommand } from '@/core/ledger/haul/closeHaul';
import { atDoor } from '../../atDoor';

export const closeHaulDoor = atDoor(closeHaulCommand, { haul: uuid.required() });
