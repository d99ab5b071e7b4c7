// Pages as they were made, kept until something of the household changes or the minute is over: most requests find nothing new.
import { randomUUID } from 'node:crypto';
import { LRUCache } from 'lru-cache';

const MOST_BYTES = 48 * 1024 * 1024;
const LARGEST_PAGE = 2 * 1024 * 1024;
const MINUTE_MS = 60_000;

/** What besides its address decides how a page looks; Next.js' own reasons among them. */
const DECIDES = [
  'host',
  'cookie',
  'accept-language',
  'x-orderly-frost-phone',
  'rsc',
  'next-url',
  'next-router-state-tree',
  'next-router-prefetch',
  'next-router-segment-prefetch',
];

/** By this a phone knows whose page it keeps (src/workers/whose.ts). */
const WHOSE = 'x-orderly-frost-whose';

const pages = new LRUCache({
  maxSize: MOST_BYTES,
  maxEntrySize: LARGEST_PAGE,
  ttl: MINUTE_MS,
  sizeCalculation: ({ body, key }) => Math.max(1, body.length + key.length),
});

/** True for a page, or the parts of one that the router fetches; keys and households change without anything being told in one. */
const isPage = ({ method, url, headers }) =>
  method === 'GET' &&
  // Whoever names a household besides the one in the cookie is answered afresh.
  headers['x-orderly-frost-household'] === undefined &&
  !/^\/(_next|api|blank|calendar\.ics|icon|kitchen\/(keys|household)|start|join|sign-in|label)/.test(url);

/** How the household stands: another text after every command and with every minute; `null`: not known, so nothing is kept. */
async function standing(cookie) {
  try {
    return (await globalThis.orderlyFrostStanding?.(cookie)) ?? null;
  } catch {
    return null;
  }
}

function keyOf({ url, headers }, { text }) {
  return JSON.stringify([text, url, ...DECIDES.map((name) => headers[name] ?? '')]);
}

const NONCE = /'nonce-([^']+)'/;

/** Sends a page again, with a nonce of its own. */
function sendAgain({ status, headers, body }, response) {
  const policy = String(headers['content-security-policy'] ?? '');
  const used = NONCE.exec(policy)?.[1];
  const fresh = Buffer.from(randomUUID()).toString('base64');
  const renewed = (text) => (used ? text.replaceAll(used, fresh) : text);
  for (const [name, value] of Object.entries(headers))
    response.setHeader(name, Array.isArray(value) ? value.map(renewed) : renewed(String(value)));
  response.setHeader('x-orderly-frost-page', 'kept');
  response.statusCode = status;
  response.end(renewed(body));
}

/** Listens to what is answered and keeps it, if it is a whole page that everybody with this key may see. */
function listen(key, response) {
  const chunks = [];
  const write = response.write.bind(response);
  const end = response.end.bind(response);
  const hear = (chunk, encoding) => {
    if (typeof chunk === 'string')
      chunks.push(Buffer.from(chunk, typeof encoding === 'string' ? encoding : 'utf8'));
    else if (chunk instanceof Uint8Array) chunks.push(Buffer.from(chunk));
  };
  response.write = (chunk, encoding, done) => {
    hear(chunk, encoding);
    return write(chunk, encoding, done);
  };
  response.end = (chunk, encoding, done) => {
    hear(chunk, encoding);
    const headers = { ...response.getHeaders() };
    const type = String(headers['content-type'] ?? '');
    const whole =
      response.statusCode === 200 && /^text\/(html|x-component)/.test(type) && !headers['set-cookie'];
    if (whole && globalThis.orderlyFrostGone !== true) {
      for (const name of [
        'transfer-encoding',
        'connection',
        'keep-alive',
        'date',
        'content-encoding',
        'content-length',
      ])
        delete headers[name];
      pages.set(key, { key, status: 200, headers, body: Buffer.concat(chunks).toString('utf8') });
    }
    return end(chunk, encoding, done);
  };
}

/** Answers a page from what was kept, or has it made and keeps it. */
export async function answerPage(request, response, make) {
  const stands = isPage(request) ? await standing(request.headers.cookie ?? '') : null;
  if (stands === null) return make(request, response);
  response.setHeader(WHOSE, stands.whose);
  const key = keyOf(request, stands);
  const kept = pages.get(key);
  if (kept) return sendAgain(kept, response);
  listen(key, response);
  return make(request, response);
}
