import Joi from 'joi';
import { stepResetCommand } from '@/core/ledger/rounds/stepReset';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const stepResetDoor = atDoor(stepResetCommand, {
  reset: uuid.required(),
  step: Joi.string().valid('wiped', 'ended').required(),
});
