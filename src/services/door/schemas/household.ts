import Joi from 'joi';
import { HEMISPHERES } from '@/core/calendar/hemisphere';
import { RISKS } from '@/core/model/food';
import { UNIT_SYSTEMS } from '@/core/units/readAmount';
import { DECIMALS } from '@/core/units/wording';
import { plainText } from '../validate';

const TIME_ZONES = new Set([...Intl.supportedValuesOf('timeZone'), 'UTC']);
const CURRENCIES = new Set(Intl.supportedValuesOf('currency'));

const oneOf = (known: ReadonlySet<string>, says: string): Joi.StringSchema =>
  Joi.string()
    .max(40)
    .custom((value: string, tools) => (known.has(value) ? value : tools.error('any.unknown')))
    .messages({ 'any.unknown': `{{#label}} is no ${says}` });

/** Most people of a household. */
const MOST_PEOPLE = 12;

/** What a household is called, measures with, and who lives there; all of it can be changed later. */
export const HOUSEHOLD_WORDS = {
  name: plainText(60).min(1),
  timeZone: oneOf(TIME_ZONES, 'time zone known here').description('IANA name'),
  currency: oneOf(CURRENCIES, 'currency').description('ISO 4217'),
  units: Joi.string().valid(...UNIT_SYSTEMS),
  decimals: Joi.string()
    .valid(...DECIMALS)
    .description('a point or a comma before tenths; typed, both are understood'),
  dateOrder: Joi.string().valid('dmy', 'mdy').description('day or month first in figures'),
  people: Joi.array()
    .items(plainText(40).min(1))
    .max(MOST_PEOPLE)
    .unique((a: string, b: string) => a.toLowerCase() === b.toLowerCase()),
  marks: Joi.object()
    .pattern(
      plainText(40).min(1),
      Joi.array()
        .items(Joi.string().valid(...RISKS))
        .min(1)
        .unique(),
    )
    .max(MOST_PEOPLE)
    .description('who of the people is pregnant, under one, over 65 or ill; by name'),
  hemisphere: Joi.string()
    .valid(...HEMISPHERES)
    .description('seasons are told by it'),
};
