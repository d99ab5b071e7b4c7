import Joi from 'joi';
import { lookAtCommand } from '@/core/ledger/rounds/lookAt';
import { FINDINGS } from '@/core/model/round';
import { atDoor } from '../../atDoor';
import { uuid, version } from '../../schemas/words';

export const lookAtDoor = atDoor(lookAtCommand, {
  round: uuid.required(),
  package: uuid.required(),
  version: version.required(),
  finding: Joi.string()
    .valid(...FINDINGS)
    .required()
    .description('turning: used by tomorrow; bad: thrown out; missing twice: lost'),
  here: uuid.allow(null).default(null).description('it was found in this zone'),
});
