import Joi from 'joi';
import { readCutCommand } from '@/core/ledger/outage/readCut';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const readCutDoor = atDoor(readCutCommand, {
  cut: uuid.required(),
  part: uuid.required(),
  reading: uuid.required().description('an id of its own'),
  c: Joi.number()
    .min(-60)
    .max(120)
    .allow(null)
    .required()
    .description('°C at the time of the command; null takes it away'),
  sure: Joi.boolean().default(false).description('looked at twice: an odd reading is taken too'),
});
