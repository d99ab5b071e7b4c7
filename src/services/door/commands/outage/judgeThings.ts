import Joi from 'joi';
import { judgeThingsCommand } from '@/core/ledger/outage/judgeThings';
import { CUT_DEEDS } from '@/core/model/cut';
import { atDoor } from '../../atDoor';
import { onPackage, uuid } from '../../schemas/words';

export const judgeThingsDoor = atDoor(judgeThingsCommand, {
  cut: uuid.required(),
  things: Joi.array()
    .items(
      Joi.object({
        ...onPackage,
        did: Joi.string()
          .valid(...CUT_DEEDS)
          .required(),
      }),
    )
    .min(1)
    .max(1000)
    .unique('package')
    .required(),
});
