import Joi from 'joi';
import { PIECES } from '@/core/ledger/package/partOpens';
import { AMOUNT_UNITS } from '@/core/units/sayAmount';

export const uuid = Joi.string().guid({ version: 'uuidv4' });

/** Whole grams, millilitres or pieces. */
export const amount = Joi.number().integer().min(1).max(200_000);
export const unit = Joi.string().valid(...AMOUNT_UNITS);
export const version = Joi.number().integer().min(1).description('the version the cook saw');
export const foodName = Joi.string().trim().min(1).max(120).description('id, name or alias');

/** Foods of which one is as good as another. */
export const standIns = Joi.array()
  .items(foodName)
  .min(1)
  .max(20)
  .required()
  .description('foods that stand in for each other');

export const anyway = Joi.boolean()
  .default(false)
  .description('the zone was chosen all the same, whatever the household’s own rules say of it');

export const pieces = Joi.string()
  .valid(...PIECES)
  .allow(null)
  .default(null)
  .description('whether each piece is closed in itself, where the product cannot know; null counts as open');

export const promised = Joi.boolean()
  .default(false)
  .description('the cook was asked: what is kept for somebody is taken all the same');

/** What every command on one package names. */
export const onPackage = { package: uuid.required(), version: version.required() };

/** A part of a package, or all of it. */
export const partOf = {
  ...onPackage,
  amount: amount.allow(null).default(null).description('null takes all'),
  pieces,
  promised,
};
