import { MOST_ZONES } from '@/core/model/limits';
import Joi from 'joi';
import { uuid } from './words';

export const rehome = Joi.array()
  .items(Joi.object({ zone: uuid.required(), to: uuid.allow(null).required() }))
  .max(MOST_ZONES)
  .default([])
  .description('where the packages of zones go that are drawn no more; null: to the counter');
