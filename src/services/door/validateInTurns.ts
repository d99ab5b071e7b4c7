import type Joi from 'joi';
import { inTurns } from './inTurns';
import { Problem } from './problem';
import { validate } from './validate';

/** So many items the schema judges with the rest of the body. */
const SHORT = 200;

/**
 * Checks a body with a long list in it: the list item by item, so that everybody else has a turn meanwhile.
 *
 * @param key of the list @param item what one of it is, as in the schema, and how many there may be at most
 * @throws Problem 400
 */
export async function validateInTurns<Body extends Record<Key, unknown[]>, Key extends string>(
  schema: Joi.ObjectSchema,
  body: unknown,
  key: Key,
  { item, most }: { item: Joi.Schema; most: number },
): Promise<Body> {
  const list = (body as Partial<Record<Key, unknown>> | null)?.[key];
  // What is short, or no list, the schema judges whole.
  if (!Array.isArray(list) || list.length <= SHORT) return validate<Body>(schema, body);
  const checked = validate<Body>(schema, { ...(body as Body), [key]: list.slice(0, SHORT) });
  if (list.length > most)
    throw new Problem(400, 'invalid', `“${key}” has ${list.length} items; ${most} can be sent at once.`, {
      fields: [{ path: key, message: `at most ${most}` }],
    });
  const items = [...checked[key]];
  await inTurns(list.slice(SHORT), (one) => {
    items.push(validate(item, one));
  });
  return { ...checked, [key]: items };
}
