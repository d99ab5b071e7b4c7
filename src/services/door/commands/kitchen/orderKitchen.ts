import Joi from 'joi';
import { uuid } from '../../schemas/words';
import { orderKitchenCommand } from '@/core/ledger/kitchen/orderKitchen';
import { atDoor } from '../../atDoor';

export const orderKitchenDoor = atDoor(orderKitchenCommand, {
  appliances: Joi.array().items(uuid).min(1).max(100).required(),
});
