import Joi from 'joi';
import { GROUPINGS } from '@/core/stock/groupStock';
import { STATES } from '@/core/model/history';
import { TABLE_NAMES } from '../exchange/tables';
import { uuid } from './schemas/words';
import { dateSchema } from './validate';

/** A search longer than this is cut: no food is called so. */
const LONGEST_SEARCH = 120;

const search = Joi.string()
  .allow('')
  .max(10_000)
  .custom((value: string) => value.slice(0, LONGEST_SEARCH))
  .description('part of a name, spelling forgiven; a long one is cut');
const after = Joi.string().max(200).description('key of the last page');
const limit = (most: number) => Joi.number().integer().min(1).max(most).description('how many, at most');
const scope = Joi.string()
  .allow('')
  .max(120)
  .description('room:<name> or appliance:<id>; the whole house when left out');
const appliance = uuid.required().description('its id');
const codes = Joi.string().allow('').max(7500).description('package codes, comma separated');

/** What narrows the stock. */
const asked = {
  q: search.description(
    'in plain words: "frozen, raw meat, older than 6 months", a food, a place, a person, a code',
  ),
  zone: uuid.description('zone id'),
  state: Joi.string().valid(...STATES),
};
const grouping = Joi.string()
  .valid(...GROUPINGS)
  .description('what packages are counted together by');

/** What may be asked at each address that is read, in the query of the address; nothing else is taken. */
export const QUERIES = {
  none: Joi.object({}),
  table: Joi.object({
    table: Joi.string()
      .valid(...TABLE_NAMES)
      .required(),
  }),
  today: Joi.object({ scope }),
  firstOut: Joi.object({ scope, after }),
  stock: Joi.object({
    ...asked,
    by: grouping,
    group: Joi.string().allow('').max(200).description('key of a group: only what is in it'),
    after,
    limit: limit(500),
  }),
  stockGroups: Joi.object({
    ...asked,
    by: grouping,
    from: Joi.number().integer().min(0).max(1_000_000).description('how many groups to pass over'),
    limit: limit(500),
  }),
  stockList: Joi.object({ ...asked, by: grouping }),
  outage: Joi.object({ cut: uuid.description('one of the past; the open one when left out') }),
  meals: Joi.object({ from: dateSchema.description('first day of the week; today when left out') }),
  thermometers: Joi.object({
    days: Joi.number().integer().min(1).max(400).description('of the last so many days'),
  }),
  losses: Joi.object({ cut: uuid.required().description('its id') }),
  find: Joi.object({ q: search }),
  foods: Joi.object({ q: search, after, limit: limit(500) }),
  ledger: Joi.object({
    q: search.description('words of what happened, a food, a zone, a code, or who did it'),
    on: dateSchema.description('that day only'),
    after,
    limit: limit(200),
  }),
  places: Joi.object({
    state: Joi.string().valid('chilled', 'frozen').default('chilled').description('as it will lie there'),
  }),
  labels: Joi.object({
    codes,
    freezing: codes.description('codes of packages whose label says what they will be once frozen'),
    size: Joi.string().max(40).default('sheet-21').description('label stock'),
    start: Joi.number().integer().min(1).max(100).default(1).description('first free sticker'),
  }),
  appliance: Joi.object({ appliance }),
  sheet: Joi.object({ sheet: Joi.string().max(8).required().description('the code of a door sheet') }),
} as const;
