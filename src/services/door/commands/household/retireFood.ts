import { foodName } from '../../schemas/words';
import { retireFoodCommand } from '@/core/ledger/household/retireFood';
import { atDoor } from '../../atDoor';

export const retireFoodDoor = atDoor(retireFoodCommand, { food: foodName.required() });
