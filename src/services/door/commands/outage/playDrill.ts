import Joi from 'joi';
import { playDrillCommand } from '@/core/ledger/outage/playDrill';
import { atDoor } from '../../atDoor';

export const playDrillDoor = atDoor(playDrillCommand, {
  drill: Joi.string()
    .pattern(/^[a-z0-9-]{1,60}$/)
    .required(),
  safe: Joi.boolean().required(),
  wasted: Joi.number().min(0).max(1).required(),
  minutes: Joi.number().integer().min(0).max(10_000).required(),
});
