import Joi from 'joi';
import { orderShopCommand } from '@/core/ledger/shopping/orderShop';
import { atDoor } from '../../atDoor';

export const orderShopDoor = atDoor(orderShopCommand, {
  groups: Joi.array().items(Joi.string().allow('').max(40)).max(60).unique().required(),
});
