import type Joi from 'joi';
import { parse } from 'secure-json-parse';
import { logHere } from '@/services/keys/securityLog';
import { inOurUnits } from '@/services/household/inOurUnits';
import { keepSent, type SentFile } from '@/services/door/keepSent';
import { Problem, toProblem } from '@/services/door/problem';
import { asksForKeys } from '@/services/keys/asksForKeys';
import { mustBe } from '@/services/keys/whoAsks';
import { whoseHeader } from '@/services/household/standing';
import { brokenText } from '@/core/model/brokenText';
import { type Role, ROLES } from '@/core/model/role';
import { asStream } from '@/services/exchange/exportHousehold';
import { inHousehold } from '@/services/household/chosen';
import { ourHousehold } from '@/services/household/household';
import { QUERIES } from '@/services/door/queries';
import { validateQuery } from '@/services/door/validate';

/** A week of a log by the minute, or a thousand lines of a haul; more is sent in parts, so that no body holds others up. */
const MOST_BYTES = 500_000;
/** Who may only look asks calculators, and sends little. */
const MAX_READER_BYTES = 64_000;
/** As large as a phone's camera makes a photo. */
const MOST_PICTURE_BYTES = 20_000_000;
const HEADERS = { 'cache-control': 'no-store' };
/** Opened by itself, an answer is a file and no page. */
const JSON_HEADERS = { ...HEADERS, 'content-disposition': 'attachment; filename="api.json"' };

type Path = Record<string, string>;
interface Context {
  params: Promise<Path>;
}
type Handler = (request: Request, context: Context) => Promise<Response>;

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Method = (typeof METHODS)[number];
export type Methods = Record<Method, Handler>;

/** Whom an address is open to: members by their role, or anyone at all. */
export type May = 'anyone' | readonly Role[];
/** Who may look at everything. */
const LOOKERS: readonly Role[] = ['cook', 'household', 'reader'];
/** Whoever holds a key. */
export const MEMBERS: May = ROLES;

/** Lets in whom an address is open to. @returns her role; `null`: anybody @throws Problem 401, 403 or 404 */
const enter = async (may: May): Promise<Role | null> =>
  may === 'anyone' ? null : (await mustBe(...may)).role;

/** Runs a use case and answers with JSON, or with the error body and its status. */
async function respond(
  work: () => Promise<Response>,
  headers: HeadersInit = JSON_HEADERS,
): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    const { status, body } = toProblem(error);
    return Response.json(body, { status, headers });
  }
}

/** One method of an address; every other one answers 405 and names it. */
export function only(method: Method, handler: Handler): Methods {
  const allow = method === 'GET' ? 'GET, HEAD' : method;
  const refuse: Handler = () =>
    respond(() => Promise.reject(new Problem(405, 'wrong-method', `This address takes ${allow} only.`)), {
      ...JSON_HEADERS,
      allow,
    });
  return Object.fromEntries(METHODS.map((one) => [one, one === method ? handler : refuse])) as Methods;
}

const queryOf = <Query>(request: Request, schema: Joi.ObjectSchema): Query =>
  validateQuery<Query>(schema, new URL(request.url).searchParams);

/** Names in a path are plain; what is not can name nothing here. @throws Problem 404 */
async function pathOf({ params }: Context): Promise<Path> {
  const path = (await params) ?? {};
  if (Object.values(path).every((part) => /^[\x20-\x7e]{1,80}$/.test(part))) return path;
  throw new Problem(404, 'not-found', 'There is nothing of that name.');
}

/**
 * An address that is read.
 *
 * @param schema what its query may hold; a key it does not know is refused
 * @param asIs what is read is sent back later as it was, so no word of it is said in other units
 * @param may whom it is open to
 */
export function reads<Query>(
  schema: Joi.ObjectSchema,
  work: (query: Query, path: Path) => Promise<unknown>,
  { asIs = false, may = LOOKERS }: { asIs?: boolean; may?: May } = {},
): Methods {
  return only('GET', (request, context) =>
    respond(async () => {
      await enter(may);
      const query = queryOf<Query>(request, schema);
      const answer = await work(query, await pathOf(context));
      const headers = { ...JSON_HEADERS, ...(may === 'anyone' ? {} : await whoseHeader()) };
      return Response.json(asIs ? answer : await inOurUnits(answer), { headers });
    }),
  );
}

function file<Query>(
  disposition: string,
  type: string,
  schema: Joi.ObjectSchema,
  work: (query: Query) => Promise<Buffer>,
): Methods {
  return only('GET', (request) =>
    respond(async () => {
      await enter(LOOKERS);
      const bytes = await work(queryOf<Query>(request, schema));
      return new Response(new Uint8Array(bytes), {
        headers: { 'content-type': type, 'content-disposition': disposition, ...HEADERS },
      });
    }),
  );
}

/** An address that is read as a PDF. */
export const prints = <Query>(
  name: string,
  schema: Joi.ObjectSchema,
  work: (query: Query) => Promise<Buffer>,
): Methods => file(`inline; filename="${name}"`, 'application/pdf', schema, work);

/**
 * An address whose file is sent in parts, as it is read.
 *
 * @param name of the file, by what was asked @param work sends the next part, and says when it may have another
 * @param exports what the log of keys says of it
 */
export const streams = <Query>(
  name: (query: Query) => string,
  type: string,
  schema: Joi.ObjectSchema,
  work: (query: Query, write: (part: string) => Promise<void>) => Promise<void>,
  { may = LOOKERS, exports }: { may?: May; exports?: (query: Query) => string } = {},
): Methods =>
  only('GET', (request) =>
    respond(async () => {
      await enter(may);
      const query = queryOf<Query>(request, schema);
      // Whose it is, is known before the answer begins; what fails later ends it in the middle, and no length was promised.
      const household = await ourHousehold();
      if (exports) await logHere('export', exports(query));
      const stream = asStream((write) => inHousehold(household.id, () => work(query, write)));
      return new Response(stream, {
        headers: {
          'content-type': type,
          'content-disposition': `attachment; filename="${name(query)}"`,
          ...HEADERS,
        },
      });
    }),
  );

/** As much as a file may have that comes in by a page; a larger one comes in at the machine. */
const MOST_FILE_BYTES = 200_000_000;

/** An address that a file is sent to, with what to do with it in the query. */
export const takesFile = <Query>(
  schema: Joi.ObjectSchema,
  work: (file: SentFile, query: Query, cancelled: AbortSignal) => Promise<unknown>,
): Methods =>
  only('POST', (request) =>
    respond(async () => {
      await enter(['cook']);
      const query = queryOf<Query>(request, schema);
      const tooLarge = new Problem(413, 'too-large', 'That file is larger than 200 megabytes.');
      const answer = await keepSent(request, MOST_FILE_BYTES, tooLarge, (file) =>
        work(file, query, request.signal),
      );
      return Response.json(answer, { headers: JSON_HEADERS });
    }),
  );

/** An address that is saved as a table of comma separated values. */
export const saves = <Query>(
  name: string,
  schema: Joi.ObjectSchema,
  work: (query: Query) => Promise<Buffer>,
): Methods => file(`attachment; filename="${name}"`, 'text/csv; charset=utf-8', schema, work);

/** The bytes of a request, at most so many. @throws Problem `tooLarge` */
async function readBytes(request: Request, most: number, tooLarge: Problem): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge;
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  if (request.body) {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      bytes += chunk.byteLength;
      if (bytes > most) throw tooLarge;
      chunks.push(chunk);
    }
  }
  return Buffer.concat(chunks);
}

/** The JSON body of a request. @throws Problem 400, 413 or 415 */
async function readBody(request: Request, role: Role | null): Promise<unknown> {
  if (!/^application\/json(;|$)/i.test(request.headers.get('content-type') ?? '')) {
    throw new Problem(415, 'not-json', 'Send the body as application/json.');
  }
  const most = role === 'reader' ? MAX_READER_BYTES : MOST_BYTES;
  const says = `The body is larger than ${most / 1000} kB. Send it in parts.`;
  const bytes = await readBytes(request, most, new Problem(413, 'too-large', says));
  const text = bytes.toString('utf8');
  let body: unknown;
  try {
    body = parse(text, null, {
      protoAction: 'error',
      constructorAction: 'error',
    });
  } catch {
    throw new Problem(400, 'invalid', 'The body is not valid JSON, or names what JSON must not.');
  }
  // Only an escape can write a lone surrogate, and the database refuses it.
  const half = /\\ud[89a-f]/i.test(text) ? brokenText(body) : null;
  if (half === null) return body;
  const fields = [{ path: half, message: 'has a broken character' }];
  throw new Problem(400, 'invalid', 'One of the texts has a broken character. Type it again.', { fields });
}

/**
 * An address that a JSON body is posted to.
 *
 * @param may whom it is open to; left out: who may look, since it changes nothing
 * @param asIs no word of the answer is said in a household's units
 */
export function takes(
  work: (body: unknown) => Promise<unknown>,
  { may = LOOKERS, asIs = false }: { may?: May; asIs?: boolean } = {},
): Methods {
  return only('POST', (request) =>
    respond(async () => {
      const role = await enter(may);
      queryOf(request, QUERIES.none);
      const answer = await work(await readBody(request, role));
      return Response.json(asIs ? answer : await inOurUnits(answer), { headers: JSON_HEADERS });
    }),
  );
}

/** An address that a picture is sent to, as its bytes. */
export function takesPicture(work: (bytes: Buffer) => Promise<unknown>): Methods {
  return only('POST', (request) =>
    respond(async () => {
      await enter(['cook', 'household']);
      queryOf(request, QUERIES.none);
      if (!/^(image\/|application\/octet-stream)/i.test(request.headers.get('content-type') ?? ''))
        throw new Problem(415, 'no-picture', 'Send the bytes of a picture: a JPEG, PNG or WebP.');
      const tooLarge = new Problem(413, 'too-large', 'That picture is larger than 20 megabytes.');
      return Response.json(await work(await readBytes(request, MOST_PICTURE_BYTES, tooLarge)), {
        headers: JSON_HEADERS,
      });
    }),
  );
}

/** An address that shows a picture; what is under an id never changes. */
export function showsPicture(work: (path: Path) => Promise<Buffer>): Methods {
  return only('GET', (request, context) =>
    respond(async () => {
      await enter(LOOKERS);
      queryOf(request, QUERIES.none);
      const jpeg = await work(await pathOf(context));
      // Where several people use one device, what one has seen is kept for none of them.
      const cache = asksForKeys() ? 'no-store' : 'private, max-age=31536000, immutable';
      return new Response(new Uint8Array(jpeg), {
        headers: { 'content-type': 'image/jpeg', 'cache-control': cache },
      });
    }),
  );
}
