import Joi from 'joi';
import { amount, unit } from './words';

/** What one pack is; null: as most are here. */
export const packSize = Joi.object({ amount: amount.required(), unit: unit.required() })
  .allow(null)
  .default(null)
  .description('what one pack is; null: as most of them are here');
