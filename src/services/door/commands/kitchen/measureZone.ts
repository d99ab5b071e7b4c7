import Joi from 'joi';
import { uuid } from '../../schemas/words';
import { measureZoneCommand } from '@/core/ledger/kitchen/measureZone';
import { atDoor } from '../../atDoor';

export const measureZoneDoor = atDoor(measureZoneCommand, {
  zone: uuid.required(),
  celsius: Joi.number().min(-40).max(60).required(),
  sure: Joi.boolean().default(false).description('looked at twice: an odd reading is taken too'),
});
