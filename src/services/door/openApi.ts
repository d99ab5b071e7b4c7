import type Joi from 'joi';
import convert from 'joi-to-swagger';
import { allocationSchema } from '../calculators/allocation';
import { placementSchema } from '../calculators/placement';
import { QUERIES } from './queries';
import { DOOR } from './readCommands';
import { cutForecastSchema } from '../outage/cutForecast';
import {
  demoSchema,
  householdIdSchema,
  newHouseholdSchema,
  personSchema,
  removeHouseholdSchema,
} from '../household/households';
import { fileQuery } from '../exchange/openFile';
import { runSchema } from '../exchange/runs';
import { joinSchema } from '../keys/join';
import { deviceSchema, inviteSchema, memberSchema, nothingSchema, roleSchema } from '../keys/members';
import { calendarEndSchema, calendarSchema } from '../keys/calendarKeys';
import { proveSchema } from '../keys/prove';
import { factorBeginSchema, factorEndSchema, factorSetSchema } from '../keys/secondFactor';
import { passwordSchema, signInSchema, signOutSchema, strengthSchema } from '../keys/signIn';
import { keepingSchema, portionsSchema } from '../calculators/estimates';
import { freezeSchema, thawSchema } from '../calculators/heat';
import { lumpSchema } from '../lump/lump';
import { placesSchema } from '../kitchen/placesForLines';
import { chartSchema } from '../lookback/saveLookBack';
import { suggestSchema } from '../meals/suggest';
import { logTextSchema } from '../outage/readLog';
import { outageSchema } from '../outage/outage';

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
    ['401', 'a key is asked for'],
    ['403', 'the key does not open that'],
    ['404', 'not found'],
    ['409', 'stale version, or an id used before'],
    ['405', 'wrong method: Allow says which'],
    ['413', 'too large'],
    ['415', 'not JSON'],
    ['422', 'refused by a rule'],
    ['429', 'too often: Retry-After says when'],
    ['503', 'the database cannot be reached, or was not heard of again'],
    ['507', 'the disk of the store is full'],
  ].map(([status, description]) => [
    status,
    { description, content: json({ $ref: '#/components/schemas/Error' }) },
  ]),
);

/** Named schemas that the conversions refer to. */
const named: Record<string, unknown> = {};

function swagger(schema: Joi.Schema): unknown {
  const converted = convert(schema);
  Object.assign(named, converted.components?.schemas);
  return converted.swagger;
}

/** The parameters in an address's path and query. */
function parametersOf(address: string, query: Joi.ObjectSchema): object[] {
  const inPath = [...address.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string', maxLength: 80 },
  }));
  const { properties = {}, required = [] } = swagger(query) as {
    properties?: Record<string, { description?: string }>;
    required?: string[];
  };
  const inQuery = Object.entries(properties).map(([name, { description = '', ...schema }]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
    description,
  }));
  return [...inPath, ...inQuery];
}

/** Addresses that are read: what they tell, what may be asked, and what kind of file it is. */
const READ: Record<string, [summary: string, query?: Joi.ObjectSchema, kind?: 'pdf' | 'csv']> = {
  '/api/v1/today': ['First out, the jobs of the day, the drawn kitchen, the counter', QUERIES.today],
  '/api/v1/first-out': ['What asks for an answer, a page at a time', QUERIES.firstOut],
  '/api/v1/slip': ['The morning slip as PDF', QUERIES.none, 'pdf'],
  '/api/v1/stock': ['Packages in the store', QUERIES.stock],
  '/api/v1/stock/groups': ['The same, counted in groups', QUERIES.stockGroups],
  '/api/v1/stock/list': ['The groups that are asked for, as a PDF to print', QUERIES.stockList, 'pdf'],
  '/api/v1/stock/csv': [
    'The packages that are asked for, as comma separated values',
    QUERIES.stockList,
    'csv',
  ],
  '/api/v1/shopping': ['The shopping list, levels with what they lack, kits'],
  '/api/v1/rounds/slip': ['What may be given away, with dates, as PDF', QUERIES.none, 'pdf'],
  '/api/v1/shopping/list': ['The shopping list as PDF', QUERIES.none, 'pdf'],
  '/api/v1/sheets': ['Lists printed for the doors, each against what is here now'],
  '/api/v1/sheets/print': ['A list for the door as PDF', QUERIES.sheet, 'pdf'],
  '/api/v1/take': ['What may be taken without asking, and what lunches may be packed from'],
  '/api/v1/photos/{id}': ['A photo of a package, as JPEG'],
  '/api/v1/outage': ['The open power cut with all that judges it, and past ones', QUERIES.outage],
  '/api/v1/outage/card': ['The card for a power cut on one page, as PDF', QUERIES.none, 'pdf'],
  '/api/v1/outage/losses': ['What was lost in a power cut, as PDF', QUERIES.losses, 'pdf'],
  '/api/v1/outage/losses/csv': ['The same as comma separated values', QUERIES.losses, 'csv'],
  '/api/v1/look-back': [
    'What twelve months teach: losses, ages, fill, first out kept, how long food lasts here',
    QUERIES.none,
  ],
  '/api/v1/look-back/csv': ['The figures of one chart as CSV', chartSchema, 'csv'],
  '/api/v1/rounds': [
    'What wants eyes where, the round that is walked, and what is to be used up',
    QUERIES.none,
  ],
  '/api/v1/rounds/reset': [
    'A reset that is going on: what is out, with its minutes and its places',
    QUERIES.none,
  ],
  '/api/v1/rounds/leaving': [
    'What may be given away or composted in time, what turns, and room for a shop',
    QUERIES.none,
  ],
  '/api/v1/meals': ['A week of meals with what they take, and what must thaw when', QUERIES.meals],
  '/api/v1/outage/thermometers': [
    'Every compartment with its thermometer, its alarm and its log of the last days',
    QUERIES.thermometers,
  ],
  '/api/v1/outage/log/csv': ['The logs as comma separated values', QUERIES.thermometers, 'csv'],
  '/api/v1/find': ['Where it is, how many, how old, which first; what left lately', QUERIES.find],
  '/api/v1/packages/{code}': ['One package with the trail of its date'],
  '/api/v1/packages/{code}/what-if': [
    'The dates that leaving, opening, freezing, thawing or cooking it would give',
  ],
  '/api/v1/packages/{code}/places': [
    'Zones it may go to, the best first, and what speaks against the others',
    QUERIES.places,
  ],
  '/api/v1/appliances/{id}': ['One appliance as drawn, with its version'],
  '/api/v1/zone-labels': ['Labels for the zones of an appliance as PDF', QUERIES.appliance, 'pdf'],
  '/api/v1/chest-plan': ['The plan of a chest as PDF', QUERIES.appliance, 'pdf'],
  '/api/v1/haul': ['The open haul: lines, labels, last buys, how foods were split, the usual'],
  '/api/v1/haul/places': [
    'A place for every pack of the open haul, and what each freezer takes on which day',
  ],
  '/api/v1/codes/{code}': ['What a scanned code stands for in this household'],
  '/api/v1/kitchen-check': ['What is wrong in the kitchen, each with why and what to do'],
  '/api/v1/tidy': ['Moves that make the kitchen better, as a walk'],
  '/api/v1/zones': ['Zones in the cook’s order'],
  '/api/v1/foods': ['Foods and their figures', QUERIES.foods],
  '/api/v1/foods/{id}': ['One food with its figures, the household’s wish and its packages'],
  '/api/v1/vocabulary': ['Foods and zones for the quick line'],
  '/api/v1/changes': [
    'How often something was told, the last of it, and the day: asked every second by pages that stay live',
  ],
  '/api/v1/ledger': ['What happened, newest first', QUERIES.ledger],
  '/api/v1/labels': ['Labels as PDF', QUERIES.labels, 'pdf'],
  '/api/v1/guide': ['The guide on one page as PDF', QUERIES.none, 'pdf'],
  '/api/v1/households': ['Households to choose from, and which this device shows'],
  '/api/v1/keys': ['Members of the household and their devices'],
  '/api/v1/keys/log': ['What happened to the keys of this household'],
  '/api/v1/guest': ['What stands under “Help yourself”, as a guest sees it'],
  '/api/v1/exchange/household': ['The whole household as one JSON document'],
  '/api/v1/exchange/table': ['A table as CSV', QUERIES.table, 'csv'],
  '/api/v1/exchange/runs/{id}': ['How far something is that comes in'],
  '/api/v1/health': ['Database reached, migrations current'],
  '/api/v1/openapi.json': ['This page'],
};

function read(address: string): object {
  const [summary, query = QUERIES.none, kind] = READ[address] ?? [''];
  const found =
    kind === undefined
      ? answer(summary)
      : { description: 'the sheet', content: { [kind === 'pdf' ? 'application/pdf' : 'text/csv']: {} } };
  return {
    get: { summary, parameters: parametersOf(address, query), responses: { '200': found, ...ERRORS } },
  };
}

const send = (summary: string, schema: unknown) => ({
  post: {
    summary,
    requestBody: { required: true, content: json(schema) },
    responses: { '200': answer(summary), ...ERRORS },
  },
});

const sendFile = (summary: string) => ({
  post: {
    summary,
    parameters: parametersOf('', fileQuery),
    requestBody: {
      required: true,
      content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } },
    },
    responses: { '200': answer(summary), ...ERRORS },
  },
});

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
      '/api/v1/households/add': send(
        'A household of one’s own; shown here from now on',
        swagger(newHouseholdSchema),
      ),
      '/api/v1/households/choose': send('Show another household on this device', swagger(householdIdSchema)),
      '/api/v1/households/person': send('Who uses this device; empty: nobody says', swagger(personSchema)),
      '/api/v1/households/demo': send('Put the demo back as it was at first', swagger(demoSchema)),
      '/api/v1/keys/sign-in': send('Sign in by name and password', swagger(signInSchema)),
      '/api/v1/keys/sign-out': send('Sign this device out', swagger(signOutSchema)),
      '/api/v1/keys/join': send('Come in by a code', swagger(joinSchema)),
      '/api/v1/keys/password': send('Set one’s own password', swagger(passwordSchema)),
      '/api/v1/keys/invite': send('Invite somebody, once, for a day', swagger(inviteSchema)),
      '/api/v1/keys/invite/back': send('Take open invitations back', swagger(nothingSchema)),
      '/api/v1/keys/role': send('Give a member another role', swagger(roleSchema)),
      '/api/v1/keys/member/end': send('End a membership', swagger(memberSchema)),
      '/api/v1/keys/device/out': send('Put a device out', swagger(deviceSchema)),
      '/api/v1/keys/guest-key': send('Another key for labels', swagger(nothingSchema)),
      '/api/v1/keys/strength': send('How hard a password is to guess', swagger(strengthSchema)),
      '/api/v1/keys/prove': send('Give the password again', swagger(proveSchema)),
      '/api/v1/keys/calendar': send('Another calendar address of one’s own', swagger(calendarSchema)),
      '/api/v1/keys/calendar/end': send('Shut a member’s calendar address', swagger(calendarEndSchema)),
      '/api/v1/keys/second-factor/begin': send('A secret for an authenticator', swagger(factorBeginSchema)),
      '/api/v1/keys/second-factor/set': send('Set the second factor', swagger(factorSetSchema)),
      '/api/v1/keys/second-factor/end': send('End the second factor', swagger(factorEndSchema)),
      '/api/v1/households/remove': send('Delete a household, by its name', swagger(removeHouseholdSchema)),
      '/api/v1/exchange/look': sendFile('What a file would bring'),
      '/api/v1/exchange/begin': sendFile('Begin to bring a file in'),
      '/api/v1/exchange/stop': send('Stop what comes in', swagger(runSchema)),
      '/api/v1/exchange/undo': send('Take back all that came in', swagger(runSchema)),
      ...Object.fromEntries(Object.keys(READ).map((address) => [address, read(address)])),
      '/api/v1/haul/receipt': {
        post: {
          summary: 'The words on a photographed receipt, a line each; keeps nothing',
          requestBody: { content: { 'image/*': { schema: { type: 'string', format: 'binary' } } } },
          responses: { 200: answer('the words'), ...ERRORS },
        },
      },
      '/api/v1/haul/receipt/keep': {
        post: {
          summary: 'Keep the photo of a receipt; its id is put to a haul by `haul.set`',
          requestBody: { content: { 'image/*': { schema: { type: 'string', format: 'binary' } } } },
          responses: { 200: answer('its id'), ...ERRORS },
        },
      },
      '/api/v1/photos': {
        post: {
          summary: 'Keep a photo; its id is put to a package by `package.picture`',
          requestBody: { content: { 'image/*': { schema: { type: 'string', format: 'binary' } } } },
          responses: { 200: answer('its id'), ...ERRORS },
        },
      },
      '/api/v1/meals/suggest': send(
        'The week that uses the most before its date, as this household eats',
        swagger(suggestSchema),
      ),
      '/api/v1/outage/log/read': send(
        'What is in a thermometer’s log, before it is put in by `log.add`',
        swagger(logTextSchema),
      ),
      '/api/v1/zones/for-lines': send(
        'The best zone for lines that name none, all at once',
        swagger(placesSchema),
      ),
      '/api/v1/lump': send('What a nameless lump may be, the likeliest first', swagger(lumpSchema)),
      '/api/v1/estimates/keeping': send('Dates of a food from its history', swagger(keepingSchema)),
      '/api/v1/estimates/thaw': send('Hours to thaw, with the curve', swagger(thawSchema)),
      '/api/v1/estimates/freeze': send('Hours to freeze, with the curve', swagger(freezeSchema)),
      '/api/v1/estimates/outage': send('How a compartment warms without power', swagger(cutForecastSchema)),
      '/api/v1/estimates/placement': send('A place for each package of a haul', swagger(placementSchema)),
      '/api/v1/estimates/portions': send('Split a lot into packs', swagger(portionsSchema)),
      '/api/v1/estimates/allocation': send('Which packages an amount comes from', swagger(allocationSchema)),
      '/api/v1/judge/outage': send('Verdicts after a power cut', swagger(outageSchema)),
    },
    components: { schemas: { Error: ERROR, ...named } },
  };
}
