import Joi from 'joi';
import { writeShoppingCommand } from '@/core/ledger/shopping/writeShopping';
import { atDoor } from '../../atDoor';
import { packSize } from '../../schemas/packSize';
import { foodName, uuid } from '../../schemas/words';
import { plainText } from '../../validate';

export const writeShoppingDoor = atDoor(writeShoppingCommand, {
  line: Joi.object({
    id: uuid.required(),
    food: foodName.allow(null).default(null),
    called: plainText(80).allow('').default(''),
    packs: Joi.number().integer().min(1).max(200).default(1),
    size: packSize,
    ticked: Joi.boolean().default(false),
  }).required(),
});
