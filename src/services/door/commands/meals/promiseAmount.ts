import { promiseAmountCommand } from '@/core/ledger/meals/promiseAmount';
import { atDoor } from '../../atDoor';
import { slot } from '../../schemas/meal';
import { amount, standIns, unit, uuid } from '../../schemas/words';
import { dateSchema, instantSchema } from '../../validate';

export const promiseAmountDoor = atDoor(promiseAmountCommand, {
  meal: uuid.required().description('for the meal, when there is none then yet'),
  on: dateSchema.required(),
  slot: slot.optional().allow(null).default(null),
  foods: standIns,
  amount: amount.required(),
  unit: unit.required(),
  by: instantSchema.allow(null).default(null).description('when the meal is; frozen food must thaw by then'),
});
