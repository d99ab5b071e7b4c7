import Joi from 'joi';
import { COMMAND_TYPES, type Command, type CommandType } from '@/core/model/command';
import { FORMS, type IntakeLine, MOST_PACKS } from '@/core/model/intakeLine';
import { DISCARD_REASONS } from '@/core/model/package';
import { ANSWERS } from '@/core/firstout/askOn';
import { MEANWHILE } from '@/core/ledger/undo/comeBack';
import { PIECES } from '@/core/ledger/package/partOpens';
import { NO_WISH } from '@/core/foods/wish';
import { CAUTIONS, PRINTED_KINDS, STARTS, THAW_METHODS, WRAPS } from '@/core/model/history';
import { AMOUNT_UNITS } from '@/core/units/sayAmount';
import { Problem } from './problem';
import { JOB_KINDS } from '@/core/model/setting';
import { containerSchema, drawingSchema } from './drawingSchema';
import { haulBodies } from './haulSchema';
import { dateSchema, instantSchema, plainText, validate } from './validate';

const uuid = Joi.string().guid({ version: 'uuidv4' });
const amount = Joi.number().integer().min(1).max(200_000);
const version = Joi.number().integer().min(1).required().description('the version the cook saw');

const anyway = Joi.boolean()
  .default(false)
  .description('the zone was chosen all the same, whatever the household’s own rules say of it');

const lineSchema = Joi.object({
  food: Joi.string().trim().min(1).max(120).required().description('id, name or alias'),
  called: plainText(60).allow('').default('').description('the cook’s own word, as on the label'),
  amount: amount.required().description('of the whole line, in the unit'),
  unit: Joi.string()
    .valid(...AMOUNT_UNITS)
    .required(),
  packs: Joi.number().integer().min(1).max(MOST_PACKS).default(1),
  form: Joi.string()
    .valid(...FORMS)
    .allow(null)
    .default(null),
  wrap: Joi.string()
    .valid(...WRAPS)
    .allow(null)
    .default(null),
  price_minor: Joi.number()
    .integer()
    .min(0)
    .max(10_000_000)
    .allow(null)
    .default(null)
    .description('minor units, for the whole line'),
  zone: uuid.allow(null).default(null).description('null leaves it on the counter'),
  printed: Joi.object({
    kind: Joi.string()
      .valid(...PRINTED_KINDS)
      .required(),
    date: dateSchema.required(),
  })
    .allow(null)
    .default(null),
  start: Joi.object({
    did: Joi.string()
      .valid(...STARTS)
      .required(),
    on: dateSchema.required(),
    frozen: Joi.boolean().description('it came in hard frozen, from a freezer'),
  }).required(),
  opened_on: dateSchema.allow(null).default(null),
  frozen_on: dateSchema.allow(null).default(null),
  blanched: Joi.boolean().default(true),
  note: plainText(200).allow('').default(''),
  anyway,
}).meta({ className: 'Line' });

const rehome = Joi.array()
  .items(Joi.object({ zone: uuid.required(), to: uuid.allow(null).required() }))
  .max(250)
  .default([])
  .description('where the packages of zones go that are drawn no more; null: to the counter');

const foodName = Joi.string().trim().min(1).max(120).description('id, name or alias');

const days = Joi.number().integer().min(0).max(1000).allow(null).default(null);
const wishSchema = Joi.object({
  fridgeDays: days,
  openedDays: days,
  thawedDays: days,
  counterDays: days,
  freezerMonths: Joi.number().min(0).max(60).allow(null).default(null),
  leadDays: Joi.number().integer().min(1).max(365).allow(null).default(null),
}).description('null: the reference counts');

const pieces = Joi.string()
  .valid(...PIECES)
  .allow(null)
  .default(null)
  .description('whether each piece is closed in itself, where the product cannot know; null counts as open');

const onPackage = { package: uuid.required(), version };

const bodies: Record<CommandType, Joi.PartialSchemaMap> = {
  'haul.store': { lines: Joi.array().items(lineSchema).min(1).max(200).required() },
  ...haulBodies,
  'package.take': {
    ...onPackage,
    amount: amount.allow(null).default(null).description('null takes all'),
    pieces,
  },
  'package.move': {
    ...onPackage,
    zone: uuid.allow(null).required().description('null puts it on the counter'),
    anyway,
  },
  'package.open': onPackage,
  'package.freeze': { ...onPackage, zone: uuid.required(), anyway },
  'package.thaw': {
    ...onPackage,
    method: Joi.string()
      .valid(...THAW_METHODS)
      .required(),
    zone: uuid.allow(null).default(null).description('a fridge zone, for the method fridge'),
    anyway,
  },
  'package.discard': {
    ...onPackage,
    reason: Joi.string()
      .valid(...DISCARD_REASONS)
      .required(),
    amount: amount.allow(null).default(null),
    pieces,
  },
  'package.give': { ...onPackage, amount: amount.allow(null).default(null), pieces },
  'package.compost': { ...onPackage, amount: amount.allow(null).default(null), pieces },
  'package.cook': {
    ...onPackage,
    amount: amount.allow(null).default(null),
    pieces,
    into: lineSchema.allow(null).default(null).description('what came of it; null: eaten as it was cooked'),
  },
  'package.answer': {
    ...onPackage,
    answer: Joi.string()
      .valid(...ANSWERS)
      .required(),
    on: dateSchema.allow(null).default(null).description('the day of a plan'),
  },
  'package.top-up': {
    ...onPackage,
    amount: amount.required().description('what is added, in the pot’s unit'),
    content: dateSchema.allow(null).default(null).description('the day what is added began; null: today'),
    cap: amount.allow(null).default(null).description('a new cap of the pot; null keeps it'),
  },
  'package.keep-out': onPackage,
  'package.find': { ...onPackage, finding: Joi.string().valid('turning', 'bad').required() },
  'stock.take': {
    foods: Joi.array()
      .items(foodName)
      .min(1)
      .max(20)
      .required()
      .description('foods that stand in for each other'),
    amount: amount.required(),
    unit: Joi.string()
      .valid(...AMOUNT_UNITS)
      .required(),
    by: instantSchema
      .allow(null)
      .default(null)
      .description('when the meal is; frozen food must thaw by then'),
    pieces,
  },
  'food.add': {
    copy: foodName.required().description('the near food whose figures it takes'),
    name: plainText(60).min(2).required(),
    aliases: Joi.array().items(plainText(60).min(2)).max(12).default([]),
    note: plainText(200).allow('').default(''),
    wish: wishSchema.default(NO_WISH),
  },
  'food.retire': { food: foodName.required() },
  'food.wish': { food: foodName.required(), wish: wishSchema.required() },
  'household.set': {
    changes: Joi.object({
      caution: Joi.string().valid(...CAUTIONS),
      notifyAt: Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/),
      leadChilled: Joi.number().integer().min(1).max(60),
      leadFrozen: Joi.number().integer().min(1).max(365),
    }).default({}),
    renew_feed: Joi.boolean().default(false).description('a new calendar address; the old one is shut'),
  },
  'job.done': {
    job: uuid.required(),
    frostMm: Joi.number()
      .integer()
      .min(0)
      .max(200)
      .allow(null)
      .default(null)
      .description('measured, for defrosting'),
  },
  'job.set': {
    job: Joi.object({
      id: uuid.required(),
      kind: Joi.string()
        .valid(...JOB_KINDS)
        .required(),
      name: plainText(80).min(1).required(),
      everyDays: Joi.number().integer().min(1).max(3650).required(),
      lastOn: dateSchema.allow(null),
      dueOn: dateSchema.allow(null).default(null).description('once, by this day'),
      frostMm: Joi.number().integer().min(0).max(200).allow(null).default(null),
      retired: Joi.boolean().default(false),
    }).required(),
  },
  'appliance.draw': {
    appliance: drawingSchema.required(),
    version: Joi.number()
      .integer()
      .min(1)
      .allow(null)
      .required()
      .description('the version the cook saw; null for a new one'),
    rehome,
  },
  'appliance.remove': { appliance: uuid.required(), rehome },
  'kitchen.order': { appliances: Joi.array().items(uuid).min(1).max(100).required() },
  'zone.measure': {
    zone: uuid.required(),
    celsius: Joi.number().min(-40).max(60).required(),
    sure: Joi.boolean().default(false).description('looked at twice: an odd reading is taken too'),
  },
  'container.set': { container: containerSchema.required() },
  'container.remove': { container: uuid.required() },
  'ledger.undo': {
    command: uuid.required().description('id of the command to undo'),
    meanwhile: Joi.string()
      .valid(...MEANWHILE)
      .default('out')
      .description(
        'where a package was in between: “out” counts its minutes all the same, “cold” says the entry was wrong, “ask” refuses where it matters',
      ),
  },
  'figures.renew': {},
};

/** One schema per command type; the OpenAPI page is made from them. */
export const commandSchemas = Object.fromEntries(
  COMMAND_TYPES.map((type) => [
    type,
    Joi.object({
      id: uuid.required().description('chosen by the sender; repeating it is safe'),
      type: Joi.string().valid(type).required(),
      at: instantSchema.optional().description('when it happened; now when left out'),
      ...bodies[type],
    }),
  ]),
) as Record<CommandType, Joi.ObjectSchema>;

interface RawLine extends Omit<IntakeLine, 'priceMinor' | 'openedOn' | 'frozenOn'> {
  price_minor: number | null;
  opened_on: string | null;
  frozen_on: string | null;
}

const toLine = ({ price_minor, opened_on, frozen_on, ...line }: RawLine): IntakeLine => ({
  ...line,
  priceMinor: price_minor,
  openedOn: opened_on,
  frozenOn: frozen_on,
});

/** Clocks of phones run a little ahead. */
const AHEAD_MS = 5 * 60_000;
/** A phone without network keeps what it was told; a month is long enough. */
const LATE_MS = 31 * 86_400_000;
const MOST_AT_ONCE = 100;

function readCommand(raw: unknown, now: string, path: string): Command {
  const type = (raw as { type?: unknown } | null)?.type;
  if (!COMMAND_TYPES.includes(type as CommandType)) {
    throw new Problem(400, 'invalid', `There is no command “${String(type).slice(0, 60)}”.`, {
      fields: [{ path: `${path}type`, message: `one of ${COMMAND_TYPES.join(', ')}` }],
    });
  }
  const { at = now, ...rest } = validate<Record<string, unknown> & { at?: string }>(
    commandSchemas[type as CommandType],
    raw,
  );
  if (Date.parse(at) > Date.parse(now) + AHEAD_MS) {
    throw new Problem(400, 'invalid', 'It cannot have happened after now.', {
      fields: [{ path: `${path}at`, message: 'lies in the future' }],
    });
  }
  if (Date.parse(at) < Date.parse(now) - LATE_MS) {
    throw new Problem(400, 'invalid', 'That long ago nothing can be told any more: at most a month.', {
      fields: [{ path: `${path}at`, message: 'more than a month ago' }],
    });
  }
  const { renew_feed: renewFeed, ...told } = rest;
  const lines = type === 'haul.store' ? (told.lines as RawLine[]) : undefined;
  const into = told.into as RawLine | null | undefined;
  return {
    ...told,
    at,
    ...(renewFeed === undefined ? {} : { renewFeed }),
    ...(lines ? { lines: lines.map(toLine) } : {}),
    ...(into ? { into: toLine(into) } : {}),
  } as unknown as Command;
}

/**
 * Reads one command or a list of them.
 *
 * @throws Problem 400
 */
export function readCommands(body: unknown, now: string): Command[] {
  if (!Array.isArray(body)) return [readCommand(body, now, '')];
  if (body.length === 0 || body.length > MOST_AT_ONCE) {
    throw new Problem(400, 'invalid', `Send 1 to ${MOST_AT_ONCE} commands at once.`);
  }
  return body.map((raw, at) => readCommand(raw, now, `${at}.`));
}
