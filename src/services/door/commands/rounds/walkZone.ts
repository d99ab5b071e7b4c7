import Joi from 'joi';
import { walkZoneCommand } from '@/core/ledger/rounds/walkZone';
import { ZONE_STEPS } from '@/core/model/round';
import { atDoor } from '../../atDoor';
import { uuid } from '../../schemas/words';

export const walkZoneDoor = atDoor(walkZoneCommand, {
  round: uuid.required(),
  zone: uuid.required(),
  step: Joi.string()
    .valid(...ZONE_STEPS)
    .required(),
});
