import Joi from 'joi';
import { GOALS, MOST_LINES } from '@/core/model/haul';
import { PREPARATIONS } from '@/core/haul/preparation';
import { PRINTED_KINDS, STARTS } from '@/core/model/history';
import { PACKINGS } from '@/core/portions/packing';
import { AMOUNT_UNITS } from '@/core/units/sayAmount';
import { dateSchema, instantSchema, plainText } from './validate';

const uuid = Joi.string().guid({ version: 'uuidv4' });
const amount = Joi.number().integer().min(1).max(200_000);
const foodName = Joi.string().trim().min(1).max(120);
const version = Joi.number().integer().min(1).description('the version the cook saw');
const unit = Joi.string().valid(...AMOUNT_UNITS);

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

const haulLine = Joi.object({
  id: uuid.required(),
  haul: uuid.required(),
  position: Joi.number().integer().min(0).max(60_000).required(),
  food: foodName.required(),
  called: plainText(60).allow('').default(''),
  amount: amount.required(),
  unit: unit.required(),
  pieces: Joi.number().integer().min(1).max(2000).allow(null).default(null),
  priceMinor: Joi.number().integer().min(0).max(10_000_000).allow(null).default(null),
  start: Joi.object({
    did: Joi.string()
      .valid(...STARTS)
      .required(),
    on: dateSchema.required(),
    frozen: Joi.boolean().description('it came in hard frozen, from a freezer'),
  }).required(),
  printed: Joi.object({
    kind: Joi.string()
      .valid(...PRINTED_KINDS)
      .required(),
    date: dateSchema.required(),
  })
    .allow(null)
    .default(null),
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

const atHaul = { haul: uuid.required() };

/** Bodies of the commands of a haul. */
export const haulBodies = {
  'haul.begin': {
    haul: Joi.object({
      id: uuid.required(),
      name: plainText(60).min(1).required(),
      leftAt: instantSchema.required().description('when it left the cold'),
      coldBag: Joi.boolean().default(false),
      hot: Joi.boolean().default(false).description('above 32 °C'),
      fastFreeze: Joi.boolean().default(false).description('the freezer’s switch is on'),
      hygiene: Joi.array().items(plainText(20)).max(8).default([]),
    }).required(),
  },
  'haul.set': {
    ...atHaul,
    changes: Joi.object({
      name: plainText(60).min(1),
      leftAt: instantSchema,
      coldBag: Joi.boolean(),
      hot: Joi.boolean(),
      fastFreeze: Joi.boolean(),
      hygiene: Joi.array().items(plainText(20)).max(8),
      plan: Joi.object()
        .pattern(
          uuid,
          Joi.object({
            zone: uuid.allow(null).required(),
            day: Joi.number().integer().min(0).max(60).required(),
          }),
        )
        .max(400)
        .description('where each package was told to go when the walk began'),
    }).required(),
  },
  'haul.line': { line: haulLine.required(), version: version.allow(null).required() },
  'haul.drop': { line: uuid.required(), version: version.required() },
  'haul.pack': {
    ...atHaul,
    lines: Joi.array()
      .items(
        Joi.object({
          line: uuid.required(),
          version: version.required(),
          discard: Joi.boolean().default(false).description('thrown out instead: it stood too long'),
        }),
      )
      .unique('line')
      .min(1)
      .max(MOST_LINES)
      .required(),
  },
  'haul.away': {
    ...atHaul,
    places: Joi.array()
      .items(
        Joi.object({
          package: uuid.required(),
          version: version.required(),
          zone: uuid.allow(null).required().description('null: it is kept out of the cold by design'),
          warning: plainText(160)
            .allow('')
            .default('')
            .description('what speaks against it, chosen all the same'),
        }),
      )
      .unique('package')
      .min(1)
      .max(400)
      .required(),
  },
  'haul.close': atHaul,
  'code.learn': {
    code: Joi.string()
      .pattern(/^[\x21-\x7e]{4,80}$/)
      .required()
      .description('as scanned'),
    means: Joi.object({
      food: foodName.required(),
      called: plainText(60).allow('').default(''),
      amount: amount.required(),
      unit: unit.required(),
    }).required(),
  },
};
