import Joi from 'joi';
import { DOORS } from '@/core/model/cut';

export const fill = Joi.number().min(0).max(1).description('share of its volume that is filled');
export const doors = Joi.string()
  .valid(...DOORS)
  .default('unknown');

/** What was seen of one item. */
export const seenSchema = Joi.object({
  ice_crystals: Joi.boolean(),
  measured_c: Joi.number().min(-60).max(60).allow(null),
  mould: Joi.boolean(),
  slime: Joi.boolean(),
  off_smell: Joi.boolean(),
  seal_broken: Joi.boolean(),
  dripped_on: Joi.boolean(),
  flooded: Joi.boolean(),
});
