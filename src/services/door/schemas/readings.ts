import Joi from 'joi';
import { instantSchema } from '../validate';

const PLAIN_INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d{1,3})?)?(?:Z|[+-]\d\d:\d\d)$/;
const FIRST_MS = Date.UTC(1970, 0, 1);
const LAST_MS = Date.UTC(2200, 0, 1);

interface Reading {
  at: string;
  c: number;
}

/** A reading as almost all are written; `null`: it wants the schema's eye. */
function plainReading(value: unknown, least: number, most: number): Reading | null {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 2) return null;
  const { at, c } = value as Partial<Reading>;
  if (typeof at !== 'string' || typeof c !== 'number' || !(c >= least && c <= most)) return null;
  const ms = PLAIN_INSTANT.test(at) ? Date.parse(at) : Number.NaN;
  return ms >= FIRST_MS && ms < LAST_MS ? { at: new Date(ms).toISOString(), c } : null;
}

/**
 * A thermometer's readings, thousands at once: what is plainly right is not looked at by the schema one by one.
 *
 * @param most how many @param range °C
 */
export function readingsSchema(most: number, [least, highest]: readonly [number, number]): Joi.ArraySchema {
  const one = Joi.object({
    at: instantSchema.required(),
    c: Joi.number().min(least).max(highest).required(),
  });
  return Joi.array()
    .max(most)
    .custom((readings: unknown[], tools) => {
      const read: Reading[] = [];
      for (const [nth, value] of readings.entries()) {
        const plain = plainReading(value, least, highest);
        const checked = plain ? { value: plain } : one.validate(value, { convert: false });
        if ('error' in checked && checked.error)
          return tools.error('readings.wrong', { nth, why: checked.error.message });
        read.push(checked.value as Reading);
      }
      return read;
    })
    .messages({ 'readings.wrong': '{{#label}}[{{#nth}}]: {{#why}}' })
    .meta({
      swagger: {
        items: {
          type: 'object',
          required: ['at', 'c'],
          additionalProperties: false,
          properties: {
            at: { type: 'string', format: 'date-time', description: 'instant, ISO 8601 UTC' },
            c: { type: 'number', format: 'float', minimum: least, maximum: highest },
          },
        },
      },
    });
}
