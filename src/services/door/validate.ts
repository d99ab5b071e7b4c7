import Joi from 'joi';
import { isCalendarDate } from '@/core/calendar/calendarDate';
import { Problem } from './problem';

/** Years that anything in a household can be of; another one is a slip. */
const FIRST_YEAR = 1970;
const LAST_YEAR = 2199;

function inReach(year: number): boolean {
  return year >= FIRST_YEAR && year <= LAST_YEAR;
}

/** A calendar date that exists, `YYYY-MM-DD`. */
export const dateSchema = Joi.string()
  .custom((value: string, tools) => {
    if (!isCalendarDate(value)) return tools.error('date.exists');
    return inReach(Number(value.slice(0, 4))) ? value : tools.error('date.reach');
  })
  .messages({
    'date.exists': '{{#label}} must be a date that exists, written YYYY-MM-DD',
    'date.reach': `{{#label}} must be a date from ${FIRST_YEAR} to ${LAST_YEAR}`,
  })
  .meta({ format: 'date' })
  .description('calendar date, YYYY-MM-DD');

/** An instant, ISO 8601; kept as UTC text. */
export const instantSchema = Joi.string()
  .isoDate()
  .custom((value: string, tools) => {
    const ms = Date.parse(value);
    if (Number.isNaN(ms) || !/\d{2}:\d{2}/.test(value)) return tools.error('string.isoDate');
    return inReach(new Date(ms).getUTCFullYear()) ? new Date(ms).toISOString() : tools.error('instant.reach');
  })
  .messages({ 'instant.reach': `{{#label}} must be an instant from ${FIRST_YEAR} to ${LAST_YEAR}` })
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
