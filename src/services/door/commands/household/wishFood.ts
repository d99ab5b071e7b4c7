import { wishSchema } from '../../schemas/wish';
import { foodName } from '../../schemas/words';
import { wishFoodCommand } from '@/core/ledger/household/wishFood';
import { atDoor } from '../../atDoor';

export const wishFoodDoor = atDoor(wishFoodCommand, {
  food: foodName.required(),
  wish: wishSchema.required(),
});
