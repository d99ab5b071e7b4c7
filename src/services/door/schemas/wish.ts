import Joi from 'joi';

const days = Joi.number().integer().min(0).max(1000).allow(null).default(null);

/** A household’s wish for a food. */
export const wishSchema = Joi.object({
  fridgeDays: days,
  openedDays: days,
  thawedDays: days,
  counterDays: days,
  freezerMonths: Joi.number().min(0).max(60).allow(null).default(null),
  leadDays: Joi.number().integer().min(1).max(365).allow(null).default(null),
}).description('null: the reference counts');
