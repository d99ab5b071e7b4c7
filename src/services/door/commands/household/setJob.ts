import Joi from 'joi';
import { JOB_KINDS } from '@/core/model/setting';
import { uuid } from '../../schemas/words';
import { dateSchema, plainText } from '../../validate';
import { setJobCommand } from '@/core/ledger/household/setJob';
import { atDoor } from '../../atDoor';

export const setJobDoor = atDoor(setJobCommand, {
  job: Joi.object({
    id: uuid.required(),
    kind: Joi.string()
      .valid(...JOB_KINDS)
      .required(),
    name: plainText(80).min(1).required(),
    everyDays: Joi.number().integer().min(1).max(3650).required(),
    lastOn: dateSchema.allow(null),
    dueOn: dateSchema.allow(null).default(null).description('once, by this day'),
    frostMm: Joi.number().integer().min(0).max(200).allow(null).default(null),
    retired: Joi.boolean().default(false),
  }).required(),
});
