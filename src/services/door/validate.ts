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

/** What is no part of plain words: markup, control and direction-changing characters, line breaks, halves of characters. */
const UNPLAIN = /[<>\p{Cc}\p{Cs}\p{Co}\p{Zl}\p{Zp}\u202A-\u202E\u2066-\u2069\uFEFF\uFFFE\uFFFF]/u;
/** Something that can be seen; blanks that count as letters or signs are none. */
const SEEN = /[^\p{C}\p{Z}\p{M}\u115F\u1160\u3164\uFFA0\u2800]/u;

/** Plain words of the cook's own, on one line; if there are any, something of them can be seen. */
export const plainText = (most: number): Joi.StringSchema =>
  Joi.string()
    .trim()
    .max(most)
    .pattern(UNPLAIN, { invert: true })
    .custom((value: string, tools) => (value === '' || SEEN.test(value) ? value : tools.error('text.unseen')))
    .messages({
      'string.pattern.invert.base': '{{#label}} takes plain words only, without < or > and hidden characters',
      'text.unseen': '{{#label}} has nothing in it that can be seen',
    });

/**
 * Checks the query of an address: each key known and told once, numbers as numbers.
 *
 * @throws Problem 400 with a path and a message for every fault
 */
export function validateQuery<Value>(schema: Joi.ObjectSchema, params: URLSearchParams): Value {
  const told = new Map<string, string>();
  for (const [key, value] of params) {
    if (told.has(key)) {
      const message = `“${key.slice(0, 60)}” is told twice`;
      throw new Problem(400, 'invalid', message, { fields: [{ path: key.slice(0, 60), message }] });
    }
    told.set(key, value);
  }
  return validate<Value>(schema, Object.fromEntries(told), true);
}

const SHORT_ITEMS = 2_000;

/** Whether a value has so few parts that all its faults can be told. */
function isShort(value: unknown): boolean {
  let left = SHORT_ITEMS;
  const count = (part: unknown): boolean =>
    --left > 0 && (typeof part !== 'object' || part === null || Object.values(part).every(count));
  return count(value);
}

/**
 * Checks a value against a schema; unknown keys are refused.
 *
 * @throws Problem 400 with a path and a message for every fault
 */
export function validate<Value>(schema: Joi.Schema, value: unknown, convert = false): Value {
  const check = (abortEarly: boolean) =>
    schema.validate(value, { abortEarly, convert, errors: { wrap: { label: '“' } } });
  const first = check(true);
  // All that is wrong is told of what is short; of thousands of lines the first fault is enough.
  const result = first.error && isShort(value) ? check(false) : first;
  if (!result.error) return result.value as Value;
  const fields = result.error.details.slice(0, 20).map(({ path, message }) => ({
    path: path.join('.').slice(0, 120),
    message: message.replaceAll('““', '“').replace(/“([^“]*)“/g, '“$1”'),
  }));
  throw new Problem(400, 'invalid', fields[0]?.message ?? 'The request is not valid.', { fields });
}
