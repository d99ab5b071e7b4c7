import Joi from 'joi';
import { plainText } from '../validate';
import { amount, uuid } from './words';

export const slot = Joi.string()
  .pattern(/^[a-z0-9-]{1,36}$/)
  .required()
  .description('id of a time at which the household eats');
/** The name of somebody who eats. */
export const eater = plainText(60).min(1);
export const eaters = Joi.array().items(eater).max(40).unique();
/** A package and how much of it. */
export const mealTakes = Joi.array()
  .items(Joi.object({ package: uuid.required(), amount: amount.required() }))
  .max(60);
