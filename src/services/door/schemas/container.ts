import Joi from 'joi';
import { plainText } from '../validate';
import { mm } from './drawing';
import { uuid } from './words';

const measures = Joi.array().items(mm).length(3);

/** A container the household owns. */
export const containerSchema = Joi.object({
  id: uuid.required(),
  name: plainText(60).allow('').required(),
  outerMm: measures.required().description('long, wide, high'),
  innerMm: measures.required(),
  litres: Joi.number().min(0).max(200).required(),
  lid: Joi.boolean().default(true),
  leakproof: Joi.boolean().default(true),
  rigid: Joi.boolean().default(true).description('false: a bag'),
  count: Joi.number().integer().min(0).max(1000).required(),
}).meta({ className: 'Container' });
