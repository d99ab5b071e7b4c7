// What a person who runs this for others sees of it: a log line a request with an id, and figures in the usual text format.
import { AsyncLocalStorage } from 'node:async_hooks';
import { randomUUID, timingSafeEqual } from 'node:crypto';
import process from 'node:process';
import pino from 'pino';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';

/** `all`: every request; else only what failed on our side. */
const LOGS_ALL = process.env.LOGS === 'all';
/** Never written: what lets anybody in. Addresses are written without their query, where keys may stand. */
export const log = pino(
  {
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    redact: ['*.cookie', '*.authorization', '*.password', '*.code', '*.token', '*.sql'],
  },
  pino.destination({ dest: 2, sync: false }),
);

/** The id of the request that is being answered, for whoever logs in the middle of it. */
const asking = new AsyncLocalStorage();
globalThis.orderlyFrostRequestId = () => asking.getStore();
globalThis.orderlyFrostLog = (told, says) => log.error({ id: asking.getStore(), ...told }, says);

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

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];

/** Where a request goes, one of few: the place of the API or of the pages, never an id. */
function placeOf(path) {
  const [, first = '', second = '', third = ''] = path.split('/');
  const plain = (word) => (/^[a-z0-9.-]{1,24}$/.test(word) ? word : '*');
  if (first === 'api') return `/api/${plain(second)}/${plain(third)}`;
  return first.startsWith('_next') ? '/_next' : `/${first === '' ? '' : plain(first)}`;
}

const ID = /^[\w-]{8,64}$/;

/** Answers a request under an id of its own, and tells how that went. */
export function watched(request, response, answer) {
  const told = process.env.TRUST_PROXY === '1' ? String(request.headers['x-request-id'] ?? '') : '';
  const id = ID.test(told) ? told : randomUUID();
  const begun = process.hrtime.bigint();
  const path = (request.url ?? '/').split('?', 1)[0].slice(0, 200);
  const method = METHODS.includes(request.method) ? request.method : 'other';
  response.setHeader('x-request-id', id);
  open.inc();
  response.once('close', () => {
    open.dec();
    const took = Number(process.hrtime.bigint() - begun) / 1e9;
    const status = response.statusCode;
    // Unknown places would make a line each in the figures.
    const place = status === 404 ? 'unknown' : placeOf(path);
    seconds.observe({ method, place, status: String(status) }, took);
    const line = { id, method, path, status, ms: Math.round(took * 1000) };
    if (status >= 500) log.error(line, 'failed');
    else if (LOGS_ALL) log.info(line, 'answered');
  });
  return asking.run(id, answer);
}

/** Whether the figures may be read: from this machine itself, or with the key that was set for it. */
function mayRead({ headers, socket }) {
  const key = process.env.METRICS_KEY ?? '';
  const told = /^Bearer (.+)$/.exec(headers.authorization ?? '')?.[1] ?? '';
  if (key !== '') return told.length === key.length && timingSafeEqual(Buffer.from(told), Buffer.from(key));
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
