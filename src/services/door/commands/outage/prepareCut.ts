import Joi from 'joi';
import { prepareCutCommand } from '@/core/ledger/outage/prepareCut';
import { instantSchema, plainText } from '../../validate';
import { atDoor } from '../../atDoor';

export const prepareCutDoor = atDoor(prepareCutCommand, {
  expected: instantSchema.allow(null).required().description('when the storm comes'),
  ticked: Joi.array().items(plainText(80).min(1)).max(100).unique().required(),
});
