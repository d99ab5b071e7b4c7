import Joi from 'joi';
import { PRINTED_KINDS } from '@/core/model/history';
import { dateSchema } from '../validate';

/** A date that a shop or a maker printed, with its words. */
export const printedDate = Joi.object({
  kind: Joi.string()
    .valid(...PRINTED_KINDS)
    .required(),
  date: dateSchema.required(),
});
