import Joi from 'joi';
import { PREPARATIONS } from '@/core/haul/preparation';
import { GOALS } from '@/core/model/haul';
import { PACKINGS } from '@/core/portions/packing';
import { dateSchema, instantSchema, plainText } from '../validate';
import { printedSchema, priceMinor, startSchema } from './line';
import { amount, foodName, unit, uuid } from './words';

const part = Joi.object({
  amounts: Joi.array().items(Joi.number().integer().min(0).max(200_000)).min(1).max(200).required(),
  packing: Joi.string()
    .valid(...PACKINGS.map(({ id }) => id))
    .required(),
  container: uuid.allow(null).default(null),
  goes: Joi.string()
    .valid(...GOALS)
    .required(),
  zone: uuid.allow(null).default(null),
});

/** A line of a haul, in whatever state it is. */
export const haulLine = Joi.object({
  id: uuid.required(),
  haul: uuid.required(),
  position: Joi.number().integer().min(0).max(60_000).required(),
  food: foodName.required(),
  called: plainText(60).allow('').default(''),
  amount: amount.required(),
  unit: unit.required(),
  pieces: Joi.number().integer().min(1).max(2000).allow(null).default(null),
  priceMinor,
  start: startSchema.required(),
  printed: printedSchema,
  openedOn: dateSchema.allow(null).default(null),
  parts: Joi.array().items(part).min(1).max(12).required(),
  preparation: Joi.array()
    .items(Joi.string().valid(...PREPARATIONS.map(({ id }) => id)))
    .max(8)
    .default([]),
  timers: Joi.array()
    .items(
      Joi.object({
        step: plainText(40).required(),
        name: plainText(80).required(),
        endsAt: instantSchema.required(),
      }),
    )
    .max(8)
    .default([]),
  cooking: plainText(160).allow('').default('').description('for the label'),
  byEye: Joi.boolean().default(false),
  stoodMinutes: Joi.number().integer().min(0).max(10_080).default(0),
  outSince: instantSchema.allow(null).required(),
}).meta({ className: 'HaulLine' });
