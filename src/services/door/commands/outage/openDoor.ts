import Joi from 'joi';
import { openDoorCommand } from '@/core/ledger/outage/openDoor';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const openDoorDoor = atDoor(openDoorCommand, {
  cut: uuid.required(),
  part: uuid.required(),
  opening: uuid.required().description('an id of its own'),
  seconds: Joi.number().integer().min(1).max(86_400).default(20),
});
