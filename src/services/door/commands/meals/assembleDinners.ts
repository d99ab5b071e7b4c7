import Joi from 'joi';
import { assembleDinnersCommand } from '@/core/ledger/meals/assembleDinners';
import { atDoor } from '../../atDoor';
import { eater } from '../../schemas/meal';
import { uuid, version } from '../../schemas/words';

const MOST_PARTS = 4;

export const assembleDinnersDoor = atDoor(assembleDinnersCommand, {
  parts: Joi.array()
    .items(Joi.object({ package: uuid.required(), version: version.required() }))
    .min(1)
    .max(MOST_PARTS)
    .unique('package')
    .required()
    .description('the main first, then what lies beside it'),
  dinners: Joi.array()
    .items(
      Joi.object({
        whose: eater.allow('').default('').description('empty: anybody’s'),
        amounts: Joi.array()
          .items(Joi.number().integer().min(0).max(100_000))
          .min(1)
          .max(MOST_PARTS)
          .required()
          .description('of each part, in their order, g'),
      }),
    )
    .min(1)
    .max(40)
    .required(),
  zone: uuid.required().description('a fridge zone'),
  promised: Joi.boolean().default(false),
});
