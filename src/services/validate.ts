import Joi from 'joi';
import { isCalendarDate } from '@/core/calendar/calendarDate';
import { Problem } from './problem';

/** A calendar date that exists, `YYYY-MM-DD`. */
export const dateSchema = Joi.string()
  .custom((value: string, tools) => (isCalendarDate(value) ? value : tools.error('date.exists')))
  .messages({ 'date.exists': '{{#label}} must be a date that exists, written YYYY-MM-DD' })
  .meta({ format: 'date' })
  .description('calendar date, YYYY-MM-DD');

/** An instant, ISO 8601; kept as UTC text. */
export const instantSchema = Joi.string()
  .isoDate()
  .custom((value: string, tools) => {
    const ms = Date.parse(value);
    return Number.isNaN(ms) || !/\d{2}:\d{2}/.test(value)
      ? tools.error('string.isoDate')
      : new Date(ms).toISOString();
  })
  .description('instant, ISO 8601 UTC');

/** Plain words of the cook's own: no markup, no control or direction-changing characters. */
export const plainText = (most: number): Joi.StringSchema =>
  Joi.string()
    .trim()
    .max(most)
    .pattern(/[<>\p{Cc}\u202A-\u202E\u2066-\u2069]/u, { invert: true })
    .messages({
      'string.pattern.invert.base': '{{#label}} takes plain words only, without < or > and hidden characters',
    });

/**
 * Checks a value against a schema; unknown keys are refused.
 *
 * @throws Problem 400 with a path and a message for every fault
 */
export function validate<Value>(schema: Joi.Schema, value: unknown): Value {
  const result = schema.validate(value, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: '“' } },
  });
  if (!result.error) return result.value as Value;
  const fields = result.error.details.slice(0, 20).map(({ path, message }) => ({
    path: path.join('.'),
    message: message.replaceAll('““', '“').replace(/“([^“]*)“/g, '“$1”'),
  }));
  throw new Problem(400, 'invalid', fields[0]?.message ?? 'The request is not valid.', { fields });
}
