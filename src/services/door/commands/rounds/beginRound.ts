import Joi from 'joi';
import { beginRoundCommand } from '@/core/ledger/rounds/beginRound';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const beginRoundDoor = atDoor(beginRoundCommand, {
  round: uuid.required().description('its own id'),
  zones: Joi.array().items(uuid).min(1).max(500).unique().required().description('in the order of doors'),
});
