import Joi from 'joi';
import { setMealCommand } from '@/core/ledger/meals/setMeal';
import { atDoor } from '../../atDoor';
import { eaters, mealTakes, slot } from '../../schemas/meal';
import { uuid } from '../../schemas/words';
import { dateSchema, plainText } from '../../validate';

export const setMealDoor = atDoor(setMealCommand, {
  meal: uuid.required().description('its own id'),
  on: dateSchema.required(),
  slot,
  name: plainText(80).allow('').default('').description('empty: called by its day and time'),
  eaters: eaters.default([]),
  takes: mealTakes.default([]).description('what it takes of the cold store: promised to it from now on'),
  buys: Joi.array().items(plainText(80).min(1)).max(40).default([]).description('goes on the shopping list'),
  pinned: Joi.boolean().default(true).description('stays as it is when a week is suggested'),
});
