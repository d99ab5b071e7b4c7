import { MOST_LINES } from '@/core/model/limits';
import Joi from 'joi';
import { uuid, version } from '../../schemas/words';
import { packHaulCommand } from '@/core/ledger/haul/packHaul';
import { atDoor } from '../../atDoor';

export const packHaulDoor = atDoor(packHaulCommand, {
  haul: uuid.required(),
  lines: Joi.array()
    .items(
      Joi.object({
        line: uuid.required(),
        version: version.required(),
        discard: Joi.boolean().default(false).description('thrown out instead: it stood too long'),
      }),
    )
    .unique('line')
    .min(1)
    .max(MOST_LINES)
    .required(),
});
