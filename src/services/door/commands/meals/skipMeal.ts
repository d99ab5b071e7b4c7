import Joi from 'joi';
import { skipMealCommand } from '@/core/ledger/meals/skipMeal';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const skipMealDoor = atDoor(skipMealCommand, {
  meal: uuid.required(),
  forget: Joi.boolean().default(false).description('it leaves the week, too'),
});
