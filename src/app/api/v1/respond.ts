import { Problem, toProblem } from '@/services/door/problem';

/** A megabyte is a thousand lines of a haul; more is refused at the door. */
const MOST_BYTES = 1_000_000;
const HEADERS = { 'cache-control': 'no-store' };

/** Runs a use case and answers with JSON, or with the error body and its status. */
export async function respond(work: () => Promise<unknown>): Promise<Response> {
  try {
    return Response.json(await work(), { headers: HEADERS });
  } catch (error) {
    const { status, body } = toProblem(error);
    return Response.json(body, { status, headers: HEADERS });
  }
}

/** The JSON body of a request. @throws Problem 400, 413 or 415 */
export async function readBody(request: Request): Promise<unknown> {
  if (!/^application\/json(;|$)/i.test(request.headers.get('content-type') ?? '')) {
    throw new Problem(415, 'not-json', 'Send the body as application/json.');
  }
  const tooLarge = new Problem(413, 'too-large', 'The body is larger than a megabyte. Send it in parts.');
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) throw tooLarge;
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  if (request.body) {
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      bytes += chunk.byteLength;
      if (bytes > MOST_BYTES) throw tooLarge;
      chunks.push(chunk);
    }
  }
  try {
    return JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch {
    throw new Problem(400, 'invalid', 'The body is not valid JSON.');
  }
}

/** A whole number of the query string within bounds. @throws Problem 400 */
export function queryNumber(params: URLSearchParams, name: string, most: number): number | undefined {
  const text = params.get(name);
  if (text === null) return undefined;
  const value = Number(text);
  if (!Number.isInteger(value) || value < 1 || value > most) {
    throw new Problem(400, 'invalid', `“${name}” is a whole number from 1 to ${most}.`, {
      fields: [{ path: name, message: `1 to ${most}` }],
    });
  }
  return value;
}

/** Answers with a PDF that a browser shows, or with the error body and its status. */
export async function respondPdf(name: string, work: () => Promise<Buffer>): Promise<Response> {
  try {
    return new Response(new Uint8Array(await work()), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${name}"`,
        ...HEADERS,
      },
    });
  } catch (error) {
    const { status, body } = toProblem(error);
    return Response.json(body, { status, headers: HEADERS });
  }
}
