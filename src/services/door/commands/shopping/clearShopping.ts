import Joi from 'joi';
import { clearShoppingCommand } from '@/core/ledger/shopping/clearShopping';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const clearShoppingDoor = atDoor(clearShoppingCommand, {
  lines: Joi.array().items(uuid).min(1).max(400).required(),
});
