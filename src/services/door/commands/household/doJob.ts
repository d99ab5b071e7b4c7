import Joi from 'joi';
import { uuid } from '../../schemas/words';
import { doJobCommand } from '@/core/ledger/household/doJob';
import { atDoor } from '../../atDoor';

export const doJobDoor = atDoor(doJobCommand, {
  job: uuid.required(),
  frostMm: Joi.number()
    .integer()
    .min(0)
    .max(200)
    .allow(null)
    .default(null)
    .description('measured, for defrosting'),
});
