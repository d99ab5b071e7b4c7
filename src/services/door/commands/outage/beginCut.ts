import Joi from 'joi';
import { beginCutCommand } from '@/core/ledger/outage/beginCut';
import { instantSchema } from '../../validate';
import { atDoor } from '../../atDoor';
import { doors, fill } from '../../schemas/cut';
import { uuid } from '../../schemas/words';

export const beginCutDoor = atDoor(beginCutCommand, {
  cut: uuid.required().description('an id of its own'),
  from: instantSchema.required().description('when the power went; it may be told late'),
  parts: Joi.array()
    .items(Joi.object({ id: uuid.required(), fill: fill.required(), doors }))
    .min(1)
    .max(50)
    .unique('id')
    .required()
    .description('compartments without power'),
});
