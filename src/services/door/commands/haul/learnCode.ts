import Joi from 'joi';
import { amount, unit, foodName } from '../../schemas/words';
import { plainText } from '../../validate';
import { learnCodeCommand } from '@/core/ledger/haul/learnCode';
import { atDoor } from '../../atDoor';

export const learnCodeDoor = atDoor(learnCodeCommand, {
  code: Joi.string()
    .pattern(/^[\x21-\x7e]{4,80}$/)
    .required()
    .description('as scanned'),
  means: Joi.object({
    food: foodName.required(),
    called: plainText(60).allow('').default(''),
    amount: amount.required(),
    unit: unit.required(),
  }).required(),
});
