// What a person who runs this for others sees of it: a log line a request with an id, and figures in the usual text format.
import { AsyncLocalStorage } from 'node:async_hooks';
import { createHash, randomUUID, timingSafeEqual } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import pino from 'pino';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';

/** `all`: every request; else what failed on our side, and who was turned away. */
const LOGS_ALL = process.env.LOGS === 'all';
const REFUSED = [401, 403, 429];
/** Never written: what lets anybody in. Addresses are written without their query, where keys may stand. */
export const log = pino(
  {
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    redact: ['*.cookie', '*.authorization', '*.password', '*.code', '*.token', '*.sql'],
  },
  pino.destination({ dest: 2, sync: false }),
);

/** The request that is being answered: its id, for whoever logs in the middle of it, and the status that a page wants. */
const asking = new AsyncLocalStorage();
globalThis.orderlyFrostRequestId = () => asking.getStore()?.id;
globalThis.orderlyFrostLog = (told, says) => log.error({ id: asking.getStore()?.id, ...told }, says);
/** A page cannot set its status; it says here which one is right. */
globalThis.orderlyFrostStatus = (status) => {
  const asked = asking.getStore();
  if (asked) asked.status = status;
};
export const wantedStatus = () => asking.getStore()?.status;

const figures = new Registry();
collectDefaultMetrics({ register: figures, prefix: 'orderly_frost_' });
const seconds = new Histogram({
  name: 'orderly_frost_request_seconds',
  help: 'How long requests took to be answered',
  labelNames: ['method', 'place', 'status'],
  buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10, 30],
  registers: [figures],
});
const open = new Gauge({
  name: 'orderly_frost_requests_open',
  help: 'Requests that are being answered',
  registers: [figures],
});
new Gauge({
  name: 'orderly_frost_database_up',
  help: '1 while the store was reached when it was last asked',
  registers: [figures],
  collect() {
    this.set(globalThis.orderlyFrostGone === true ? 0 : 1);
  },
});

export const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];

/** The addresses there are, as the build knows them; what catches all others is none. */
const routes = JSON.parse(readFileSync(path.join(process.cwd(), '.next', 'routes-manifest.json'), 'utf8'));
const fixed = new Set(routes.staticRoutes.map(({ page }) => page));
const patterns = routes.dynamicRoutes
  .filter(({ page }) => !page.includes('[...'))
  .map(({ page, regex }) => ({ page, regex: new RegExp(regex) }));

/** Where a request goes: the pattern of its route, of which there are a few hundred whatever is asked. */
function placeOf(asked) {
  if (asked.startsWith('/_next/')) return '/_next';
  if (fixed.has(asked)) return asked;
  return patterns.find(({ regex }) => regex.test(asked))?.page ?? 'unknown';
}

const ID = /^[\w-]{8,64}$/;

/** Answers a request under an id of its own, and tells how that went. */
export function watched(request, response, answer) {
  const told = process.env.TRUST_PROXY === '1' ? String(request.headers['x-request-id'] ?? '') : '';
  const id = ID.test(told) ? told : randomUUID();
  const begun = process.hrtime.bigint();
  const asked = (request.url ?? '/').split('?', 1)[0].slice(0, 200);
  const method = METHODS.includes(request.method) ? request.method : 'other';
  response.setHeader('x-request-id', id);
  open.inc();
  response.once('close', () => {
    open.dec();
    const took = Number(process.hrtime.bigint() - begun) / 1e9;
    const status = response.statusCode;
    // Unknown places would make a line each in the figures.
    const place = status === 404 ? 'unknown' : placeOf(asked);
    seconds.observe({ method, place, status: String(status) }, took);
    const line = { id, method, path: asked, status, ms: Math.round(took * 1000) };
    if (status >= 500) log.error(line, 'failed');
    // Who was turned away is known too (ASVS 7.2).
    else if (REFUSED.includes(status)) log.warn(line, 'refused');
    else if (LOGS_ALL) log.info(line, 'answered');
  });
  return asking.run({ id }, answer);
}

/** What is compared has one length, whatever bytes were sent. */
const digestOf = (text) => createHash('sha256').update(text).digest();

/** Whether the figures may be read: from this machine itself, or with the key that was set for it. */
function mayRead({ headers, socket }) {
  const key = process.env.METRICS_KEY ?? '';
  const told = /^Bearer (.+)$/.exec(headers.authorization ?? '')?.[1] ?? '';
  if (key !== '') return timingSafeEqual(digestOf(told), digestOf(key));
  // A proxy on this machine says for whom it asks.
  return (
    /^(::1|(::ffff:)?127\.)/.test(socket.remoteAddress ?? '') && headers['x-forwarded-for'] === undefined
  );
}

/** Answers `/metrics`. @returns false for whoever may not read it: then it is an address like any other */
export async function answerFigures(request, response) {
  if (!mayRead(request)) return false;
  const text = await figures.metrics();
  response.writeHead(200, { 'content-type': figures.contentType, 'cache-control': 'no-store' });
  response.end(text);
  return true;
}
