import Joi from 'joi';

const days = Joi.number().integer().min(0).max(1000).allow(null).default(null);

/** A household’s wish for a food. */
export const wishSchema = Joi.object({
  fridgeDays: days.label('days in the fridge'),
  openedDays: days.label('days once opened'),
  thawedDays: days.label('days once thawed'),
  counterDays: days.label('days out of the cold'),
  freezerMonths: Joi.number().min(0).max(60).allow(null).default(null).label('months in the freezer'),
  leadDays: Joi.number().integer().min(1).max(365).allow(null).default(null).label('days ahead'),
}).description('null: the reference counts');
