import Joi from 'joi';
import { setKitCommand } from '@/core/ledger/shopping/setKit';
import { atDoor } from '../../atDoor';
import { amount, foodName, unit, uuid } from '../../schemas/words';
import { plainText } from '../../validate';

export const setKitDoor = atDoor(setKitCommand, {
  kit: Joi.object({
    id: uuid.required(),
    name: plainText(60).min(1).required(),
    sets: Joi.number().integer().min(1).max(60).default(1).description('how many are to be ready'),
    parts: Joi.array()
      .items(
        Joi.object({
          food: foodName.required(),
          called: plainText(60).allow('').default(''),
          amount: amount.required(),
          unit: unit.required(),
        }),
      )
      .max(24)
      .required(),
  }).required(),
  keep: Joi.boolean().default(true).description('false: it is no kit any more'),
});
