import Joi from 'joi';
import { drawingSchema } from '../../schemas/drawing';
import { rehome } from '../../schemas/rehome';
import { drawApplianceCommand } from '@/core/ledger/kitchen/drawAppliance';
import { atDoor } from '../../atDoor';

export const drawApplianceDoor = atDoor(drawApplianceCommand, {
  appliance: drawingSchema.required(),
  version: Joi.number()
    .integer()
    .min(1)
    .allow(null)
    .required()
    .description('the version the cook saw; null for a new one'),
  rehome,
});
