import type Joi from 'joi';
import convert from 'joi-to-swagger';
import { allocationSchema } from '../calculators/allocation';
import { placementSchema } from '../calculators/placement';
import { DOOR } from './readCommands';
import { cutForecastSchema } from '../outage/cutForecast';
import { keepingSchema, portionsSchema } from '../calculators/estimates';
import { freezeSchema, thawSchema } from '../calculators/heat';
import { outageSchema, stockOutageSchema } from '../outage/outage';

const ERROR = {
  type: 'object',
  required: ['error'],
  properties: {
    error: {
      type: 'object',
      required: ['code', 'message'],
      properties: {
        code: { type: 'string' },
        message: { type: 'string' },
        rule: { type: 'string', description: 'the rule that refused' },
        fields: {
          type: 'array',
          items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } },
        },
      },
    },
  },
};

const json = (schema: unknown) => ({ 'application/json': { schema } });
const answer = (description: string) => ({ description, content: json({ type: 'object' }) });
const ERRORS = Object.fromEntries(
  [
    ['400', 'not valid: fields say where'],
    ['404', 'not found'],
    ['409', 'stale version, or an id used before'],
    ['413', 'too large'],
    ['422', 'refused by a rule'],
    ['503', 'the database cannot be reached'],
  ].map(([status, description]) => [
    status,
    { description, content: json({ $ref: '#/components/schemas/Error' }) },
  ]),
);

const query = (name: string, description: string) => ({
  name,
  in: 'query',
  required: false,
  schema: { type: 'string' },
  description,
});

const SCOPE = query('scope', 'room:<name> or appliance:<id>; the whole house when left out');
const PAGED = [query('after', 'key of the last page'), query('limit', 'how many, at most')];

const read = (summary: string, parameters: object[] = []) => ({
  get: { summary, parameters, responses: { '200': answer(summary), ...ERRORS } },
});

const send = (summary: string, schema: unknown) => ({
  post: {
    summary,
    requestBody: { required: true, content: json(schema) },
    responses: { '200': answer(summary), ...ERRORS },
  },
});

/** Named schemas that the conversions refer to. */
const named: Record<string, unknown> = {};

function swagger(schema: Joi.Schema): unknown {
  const converted = convert(schema);
  Object.assign(named, converted.components?.schemas);
  return converted.swagger;
}

/** The API's description, made from the same Joi schemas that check the requests. */
export function openApi() {
  const command = { oneOf: [...DOOR.values()].map(({ schema }) => swagger(schema)) };
  return {
    openapi: '3.0.3',
    info: {
      title: 'Orderly Frost',
      version: '1',
      description:
        'Grams, millilitres, millimetres, °C; dates YYYY-MM-DD, instants ISO 8601 UTC. When in doubt, throw it out.',
    },
    paths: {
      '/api/v1/commands': send('Run one command or a list, all or nothing', {
        oneOf: [{ ...command }, { type: 'array', items: command }],
      }),
      '/api/v1/today': read('First out, the jobs of the day, the drawn kitchen, the counter', [SCOPE]),
      '/api/v1/first-out': read('What asks for an answer, a page at a time', [SCOPE, ...PAGED]),
      '/api/v1/slip': read('The morning slip as PDF'),
      '/api/v1/stock': read('Packages in the store', [
        query('q', 'part of a name, or a code'),
        query('zone', 'zone id'),
        query('state', 'chilled, frozen or thawing'),
        ...PAGED,
      ]),
      '/api/v1/packages/{code}': {
        get: {
          summary: 'One package with the trail of its date',
          parameters: [{ name: 'code', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { '200': answer('the package'), ...ERRORS },
        },
      },
      '/api/v1/packages/{code}/what-if': {
        get: {
          summary: 'The dates that leaving, opening, freezing, thawing or cooking it would give',
          parameters: [{ name: 'code', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { '200': answer('the choices'), ...ERRORS },
        },
      },
      '/api/v1/packages/{code}/places': {
        get: {
          summary: 'Zones it may go to, the best first, and what speaks against the others',
          parameters: [
            { name: 'code', in: 'path', required: true, schema: { type: 'string' } },
            query('state', 'chilled or frozen, as it will lie there'),
          ],
          responses: { '200': answer('the zones'), ...ERRORS },
        },
      },
      '/api/v1/appliances/{id}': {
        get: {
          summary: 'One appliance as drawn, with its version',
          parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { '200': answer('the drawing'), ...ERRORS },
        },
      },
      '/api/v1/zone-labels': read('Labels for the zones of an appliance as PDF', [
        query('appliance', 'its id'),
      ]),
      '/api/v1/chest-plan': read('The plan of a chest as PDF', [query('appliance', 'its id')]),
      '/api/v1/haul': read('The open haul: lines, labels, last buys, how foods were split, the usual'),
      '/api/v1/haul/places': read(
        'A place for every pack of the open haul, and what each freezer takes on which day',
      ),
      '/api/v1/codes/{code}': read('What a scanned code stands for in this household', [
        { name: 'code', in: 'path', required: true, schema: { type: 'string', maxLength: 80 } },
      ]),
      '/api/v1/kitchen-check': read('What is wrong in the kitchen, each with why and what to do'),
      '/api/v1/tidy': read('Moves that make the kitchen better, as a walk'),
      '/api/v1/zones': read('Zones in the cook’s order'),
      '/api/v1/foods': read('Foods and their figures', [query('q', 'part of a name'), ...PAGED]),
      '/api/v1/foods/{id}': {
        get: {
          summary: 'One food with its figures, the household’s wish and its packages',
          parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { '200': answer('the food'), ...ERRORS },
        },
      },
      '/api/v1/vocabulary': read('Foods and zones for the quick line'),
      '/api/v1/ledger': read('What happened, newest first', PAGED),
      '/api/v1/labels': {
        get: {
          summary: 'Labels as PDF',
          parameters: [
            query('codes', 'package codes, comma separated'),
            query('size', 'label stock'),
            query('start', 'first free sticker'),
          ],
          responses: { '200': { description: 'the sheet', content: { 'application/pdf': {} } }, ...ERRORS },
        },
      },
      '/api/v1/health': read('Database reached, migrations current'),
      '/api/v1/estimates/keeping': send('Dates of a food from its history', swagger(keepingSchema)),
      '/api/v1/estimates/thaw': send('Hours to thaw, with the curve', swagger(thawSchema)),
      '/api/v1/estimates/freeze': send('Hours to freeze, with the curve', swagger(freezeSchema)),
      '/api/v1/estimates/outage': send('How a compartment warms without power', swagger(cutForecastSchema)),
      '/api/v1/estimates/placement': send('A place for each package of a haul', swagger(placementSchema)),
      '/api/v1/estimates/portions': send('Split a lot into packs', swagger(portionsSchema)),
      '/api/v1/estimates/allocation': send('Which packages an amount comes from', swagger(allocationSchema)),
      '/api/v1/judge/outage': send('Verdicts after a power cut', swagger(outageSchema)),
      '/api/v1/judge/stock': send('The same for what is in the store', swagger(stockOutageSchema)),
    },
    components: { schemas: { Error: ERROR, ...named } },
  };
}
