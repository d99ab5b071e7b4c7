import Joi from 'joi';
import { amount, unit, foodName, pieces, promised } from '../../schemas/words';
import { dateSchema, instantSchema } from '../../validate';
import { takeAmountCommand } from '@/core/ledger/stock/takeAmount';
import { atDoor } from '../../atDoor';

export const takeAmountDoor = atDoor(takeAmountCommand, {
  foods: Joi.array()
    .items(foodName)
    .min(1)
    .max(20)
    .required()
    .description('foods that stand in for each other'),
  amount: amount.required(),
  unit: unit.required(),
  by: instantSchema.allow(null).default(null).description('when the meal is; frozen food must thaw by then'),
  on: dateSchema.allow(null).default(null).description('its day: nothing that is past its use by then'),
  pieces,
  promised,
});
