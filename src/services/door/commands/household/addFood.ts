import Joi from 'joi';
import { NO_WISH } from '@/core/model/wish';
import { wishSchema } from '../../schemas/wish';
import { foodName } from '../../schemas/words';
import { plainText } from '../../validate';
import { addFoodCommand } from '@/core/ledger/household/addFood';
import { atDoor } from '../../atDoor';

export const addFoodDoor = atDoor(addFoodCommand, {
  copy: foodName.required().description('the near food whose figures it takes'),
  name: plainText(60).min(2).required(),
  aliases: Joi.array().items(plainText(60).min(2)).max(12).default([]),
  note: plainText(200).allow('').default(''),
  wish: wishSchema.default(NO_WISH),
});
