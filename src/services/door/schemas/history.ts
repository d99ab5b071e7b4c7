import Joi from 'joi';
import { type HistoryEvent, THAW_METHODS } from '@/core/model/history';
import { dateSchema, instantSchema, plainText } from '../validate';

/** More than a pack lives through in years. */
const MOST_EVENTS = 200;

const celsius = Joi.number().min(-40).max(30).description('°C of the zone it went into');
const minutes = Joi.number().integer().min(0).max(10_080).required().description('out of the cold');
const date = dateSchema.required();
const start = {
  frozen: Joi.boolean(),
  loose: Joi.boolean(),
  c: celsius,
  about: plainText(200),
  unknown: Joi.boolean(),
};

/** What each event tells besides its day. */
const TELLS: Record<HistoryEvent['did'], Joi.PartialSchemaMap> = {
  bought: start,
  cooked: start,
  harvested: start,
  given: start,
  opened: {},
  'found-turning': {},
  'found-bad': {},
  'kept-out': {},
  frozen: { c: celsius },
  thawing: { c: celsius },
  refrozen: { c: celsius },
  thawed: {
    method: Joi.string()
      .valid(...THAW_METHODS)
      .required(),
  },
  moved: { c: celsius.required() },
  counter: { minutes, hot: Joi.boolean(), soft: Joi.boolean() },
  'topped-up': { content: date, full: Joi.boolean() },
  joined: {
    startOn: date,
    useBy: dateSchema.required().allow(null),
    bestBy: date,
    minutes,
    days: Joi.number().integer().min(0).max(10_000).required().allow(null),
    anew: Joi.boolean(),
    controlled: Joi.boolean(),
    thawed: Joi.string().valid(...THAW_METHODS),
    thawDays: Joi.number().integer().min(0).max(1000),
    ends: dateSchema,
  },
  warmed: { limit: date, ends: Joi.boolean(), out: Joi.boolean() },
  softened: { back: date, days: Joi.number().min(0).max(1000).required() },
  washed: { dried: Joi.boolean().required() },
};

/** All that happened to a package, as `stock.csv` and a household's document have it. */
export const historySchema = Joi.array()
  .items(
    ...Object.entries(TELLS).map(([did, more]) =>
      Joi.object({ did: Joi.string().valid(did).required(), on: date, at: instantSchema, ...more }),
    ),
  )
  .min(1)
  .max(MOST_EVENTS);
