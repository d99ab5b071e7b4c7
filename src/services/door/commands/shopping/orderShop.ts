import { plainText } from '../../validate';
import Joi from 'joi';
import { orderShopCommand } from '@/core/ledger/shopping/orderShop';
import { atDoor } from '../../atDoor';

export const orderShopDoor = atDoor(orderShopCommand, {
  groups: Joi.array().items(plainText(40).allow('')).max(60).unique().required(),
});
