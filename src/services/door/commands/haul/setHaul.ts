import { MOST_AWAY } from '@/core/model/limits';
import Joi from 'joi';
import { uuid } from '../../schemas/words';
import { instantSchema, plainText } from '../../validate';
import { setHaulCommand } from '@/core/ledger/haul/setHaul';
import { atDoor } from '../../atDoor';

export const setHaulDoor = atDoor(setHaulCommand, {
  haul: uuid.required(),
  changes: Joi.object({
    name: plainText(60).min(1),
    leftAt: instantSchema,
    coldBag: Joi.boolean(),
    hot: Joi.boolean(),
    fastFreeze: Joi.boolean(),
    hygiene: Joi.array().items(plainText(20)).max(8),
    receipts: Joi.array().items(uuid).max(12).unique().description('photos of its receipt, by id'),
    plan: Joi.object()
      .pattern(
        uuid,
        Joi.object({
          zone: uuid.allow(null).required(),
          day: Joi.number().integer().min(0).max(60).required(),
        }),
      )
      .max(MOST_AWAY)
      .description('where each package was told to go when the walk began'),
  }).required(),
});
