import { amount, unit, standIns, pieces, promised } from '../../schemas/words';
import { dateSchema, instantSchema } from '../../validate';
import { takeAmountCommand } from '@/core/ledger/stock/takeAmount';
import { atDoor } from '../../atDoor';

export const takeAmountDoor = atDoor(takeAmountCommand, {
  foods: standIns,
  amount: amount.required(),
  unit: unit.required(),
  by: instantSchema.allow(null).default(null).description('when the meal is; frozen food must thaw by then'),
  on: dateSchema.allow(null).default(null).description('its day: nothing that is past its use by then'),
  pieces,
  promised,
});
