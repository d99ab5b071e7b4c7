import Joi from 'joi';
import { uuid } from '../../schemas/words';
import { instantSchema, plainText } from '../../validate';
import { beginHaulCommand } from '@/core/ledger/haul/beginHaul';
import { atDoor } from '../../atDoor';

export const beginHaulDoor = atDoor(beginHaulCommand, {
  haul: Joi.object({
    id: uuid.required(),
    name: plainText(60).min(1).required(),
    leftAt: instantSchema.required().description('when it left the cold'),
    coldBag: Joi.boolean().default(false),
    hot: Joi.boolean().default(false).description('above 32 °C'),
    fastFreeze: Joi.boolean().default(false).description('the freezer’s switch is on'),
    hygiene: Joi.array().items(plainText(20)).max(8).default([]),
  }).required(),
});
