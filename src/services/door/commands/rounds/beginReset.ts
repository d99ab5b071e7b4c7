import Joi from 'joi';
import { beginResetCommand } from '@/core/ledger/rounds/beginReset';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const beginResetDoor = atDoor(beginResetCommand, {
  reset: uuid.required().description('its own id'),
  zones: Joi.array().items(uuid).min(1).max(100).unique().required(),
});
