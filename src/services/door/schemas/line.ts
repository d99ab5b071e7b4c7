import { MOST_PACKS, MOST_NOTE } from '@/core/model/limits';
import Joi from 'joi';
import { PRINTED_KINDS, STARTS, WRAPS } from '@/core/model/history';
import { FORMS, type IntakeLine } from '@/core/model/intakeLine';
import { dateSchema, instantSchema, plainText } from '../validate';
import { historySchema } from './history';
import { amount, anyway, foodName, unit, uuid } from './words';

/** When and how it came in. */
export const startSchema = Joi.object({
  did: Joi.string()
    .valid(...STARTS)
    .required(),
  on: dateSchema.required(),
  frozen: Joi.boolean().description('it came in hard frozen, from a freezer'),
  loose: Joi.boolean().description(
    'sold over a counter, without a maker’s pack: it keeps as the home-made does',
  ),
  unknown: Joi.boolean().description('nobody knows how old it is; the day is the earliest it may be'),
  about: plainText(200).description('how an age was remembered, and what it was taken for'),
});

export const printedSchema = Joi.object({
  kind: Joi.string()
    .valid(...PRINTED_KINDS)
    .required(),
  date: dateSchema.required(),
})
  .allow(null)
  .default(null);

/** Minor units, for the whole line. */
export const priceMinor = Joi.number()
  .integer()
  .min(0)
  .max(10_000_000)
  .allow(null)
  .default(null)
  .description('minor units, for the whole line');

const told = {
  food: foodName.required(),
  called: plainText(60).allow('').default('').description('the cook’s own word, as on the label'),
  amount: amount.required().description('of the whole line, in the unit'),
  unit: unit.required(),
  packs: Joi.number().integer().min(1).max(MOST_PACKS).default(1),
  form: Joi.string()
    .valid(...FORMS)
    .allow(null)
    .default(null),
  wrap: Joi.string()
    .valid(...WRAPS)
    .allow(null)
    .default(null),
  price_minor: priceMinor,
  zone: uuid.allow(null).default(null).description('null leaves it on the counter'),
  printed: printedSchema,
  start: startSchema.required(),
  opened_on: dateSchema.allow(null).default(null),
  frozen_on: dateSchema.allow(null).default(null),
  blanched: Joi.boolean().default(true),
  note: plainText(MOST_NOTE).allow('').default(''),
  anyway,
};

/** What came of cooking, as it is put by: new, under a code of its own. */
export const cookedLineSchema = Joi.object(told).meta({ className: 'CookedLine' });

export const lineSchema = Joi.object({
  ...told,
  history: historySchema
    .optional()
    .description('all that happened to it, from its start on; then opened_on and frozen_on tell nothing'),
  code: Joi.string()
    .pattern(/^[A-HJ-NP-Z]{2}[2-9]{2,6}$/)
    .optional()
    .description('the code on its label already, of one pack; else it gets the next one'),
  cap: amount.optional().description('of a pot, in the unit: at it, it says “use me”'),
  counter_since: instantSchema
    .optional()
    .description('since when it stands on the counter, where it has no zone; else since now'),
}).meta({ className: 'Line' });

/** A line as the API takes it. */
export interface RawLine extends Omit<IntakeLine, 'priceMinor' | 'openedOn' | 'frozenOn' | 'counterSince'> {
  price_minor: number | null;
  counter_since?: string;
  opened_on: string | null;
  frozen_on: string | null;
}

/** A line as the core takes it. */
export const toLine = ({
  price_minor,
  opened_on,
  frozen_on,
  counter_since,
  ...line
}: RawLine): IntakeLine => ({
  ...line,
  ...(counter_since === undefined ? {} : { counterSince: counter_since }),
  priceMinor: price_minor,
  openedOn: opened_on,
  frozenOn: frozen_on,
});
