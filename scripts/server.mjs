// The production server: Next.js behind a door that times out, limits, and never answers HTML under /api.
// node scripts/server.mjs HOST PORT
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import compression from 'compression';
import next from 'next';
import { answerPage } from './pages.mjs';
import { requestLimit } from './requestLimit.mjs';
import { answerFigures, log, METHODS, wantedStatus, watched } from './watch.mjs';

const [, , host, portText] = process.argv;
const port = Number(portText);
/** By this the kitchen knows whether it can be reached from elsewhere, and so asks for keys. */
process.env.LISTENS_AT = host;

/** A request that has not come in whole by then is ended. */
const KEEP_ALIVE_MS = 65_000;
const REQUEST_MS = 20_000;
const HEADERS_MS = 10_000;
const LONGEST_ADDRESS = 8_000;
/** Requests a minute from one address; a house that cooks together sends a hundredth of it. */
const MOST_A_MINUTE = Number(process.env.MOST_REQUESTS_A_MINUTE ?? 60_000);

const takeRequest = requestLimit(
  MOST_A_MINUTE,
  async (address, count) => (await globalThis.orderlyFrostCount?.(address, count, MOST_A_MINUTE)) ?? 0,
);

/** What the browser says of itself; where it is wrong, the page puts it right as soon as it knows how wide it is. */
const isPhone = ({ headers }) =>
  headers['sec-ch-ua-mobile'] === '?1' || /\bMobi/.test(headers['user-agent'] ?? '');

/** Squeezed lightly: a page is made and sent sooner than it could be squeezed well. */
const squeeze = compression({ level: 4 });
const compressed = (request, response) => new Promise((done) => squeeze(request, response, () => done()));

const isApi = (url) => /^\/(api(\/|\?|$)|calendar\.ics)/.test(url);

const bodyOf = (code, message) => JSON.stringify({ error: { code, message } });

function refuse(response, status, code, message, headers = {}) {
  const text = bodyOf(code, message);
  response.writeHead(status, {
    'content-type': 'application/json',
    'content-length': Buffer.byteLength(text),
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    connection: 'close',
    ...headers,
  });
  response.end(text);
}

/** An address that cannot be read: a `%` that stands for nothing. */
function isBroken(url) {
  try {
    decodeURIComponent(url);
    return false;
  } catch {
    return true;
  }
}

/** A page made while the store could not be reached, or that turns somebody away, says so in its status too. */
function tellStatus(request, response) {
  const writeHead = response.writeHead.bind(response);
  response.writeHead = (status, ...rest) => {
    if (status !== 200 || request.url.startsWith('/_next/')) return writeHead(status, ...rest);
    const gone = globalThis.orderlyFrostGone === true;
    if (gone) response.setHeader('retry-after', '5');
    return writeHead(gone ? 503 : (wantedStatus() ?? 200), ...rest);
  };
}

/** What keeps pages for a house without network; asked for anew each time, so that a new version is known at once. */
const serviceWorker = readFileSync(path.join(process.cwd(), '.next', 'service-worker.js'));
function answerWorker(response) {
  response.writeHead(200, {
    'content-type': 'text/javascript; charset=utf-8',
    'content-length': serviceWorker.byteLength,
    'cache-control': 'no-cache',
    'content-security-policy': "default-src 'none'; connect-src 'self'; script-src 'self'",
    'x-content-type-options': 'nosniff',
  });
  response.end(serviceWorker);
}

/** What a phone is told to trust; it holds no secret. */
const CERTIFICATE = '/home-certificate.crt';
function answerCertificate(response) {
  response.writeHead(200, {
    'content-type': 'application/x-x509-ca-cert',
    'content-length': tls.cert.byteLength,
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
  });
  response.end(tls.cert);
}

/** Where a request comes from: what stands in front of this server says so when it is trusted (`TRUST_PROXY=1`). */
function addressOf({ headers, socket }) {
  const told = process.env.TRUST_PROXY === '1' ? String(headers['x-forwarded-for'] ?? '') : '';
  return told.split(',').at(-1).trim() || (socket.remoteAddress ?? '');
}

/** Sends whoever has no key for a page where one is had. @returns false when she may have it */
async function sendAway(request, response) {
  const to = await globalThis.orderlyFrostGate?.(request.url, request.headers.cookie ?? '').catch((error) => {
    // Then the page says so itself, and shows nothing else.
    if (error?.name === 'DatabaseGone') return null;
    throw error;
  });
  if (!to) return false;
  response.writeHead(307, { location: to, 'cache-control': 'no-store', 'content-length': 0 });
  response.end();
  return true;
}

/** What the build put out, by its address: nothing else is below `/_next/`, for whoever asks. */
const built = new Set(
  readdirSync(path.join(process.cwd(), '.next', 'static'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) =>
      path.relative(path.join(process.cwd(), '.next'), path.join(entry.parentPath ?? entry.path, entry.name)),
    )
    .map((file) => `/_next/${file.split(path.sep).join('/')}`),
);
const isBuilt = (url) => built.has(decodeURIComponent(url.split('?', 1)[0]));

async function answer(request, response, handle) {
  const url = request.url ?? '/';
  if (secure) response.setHeader('strict-transport-security', 'max-age=31536000');
  if (!METHODS.includes(request.method))
    return refuse(response, 405, 'wrong-method', `There is no method ${request.method} here.`, {
      allow: METHODS.join(', '),
    });
  if (url === '/service-worker.js') return answerWorker(response);
  if (url === CERTIFICATE && tls) return answerCertificate(response);
  if (url === '/metrics' && (await answerFigures(request, response))) return;
  if (url.length > LONGEST_ADDRESS)
    return refuse(response, 414, 'too-long', `An address has at most ${LONGEST_ADDRESS} characters.`);
  if (!url.startsWith('/') || isBroken(url))
    return refuse(response, 400, 'invalid', 'This address cannot be read: a “%” in it stands for nothing.');
  if (url.startsWith('/_next/') && !isBuilt(url))
    return refuse(response, 404, 'not-found', 'There is no such file.');
  if (/^\/api(\/[^?]*\/|\/)?(\?|$)/.test(url))
    return refuse(response, 404, 'not-found', 'There is no such address; leave out the “/” at its end.');
  if (!url.startsWith('/_next/')) {
    const seconds = await takeRequest(addressOf(request));
    if (seconds > 0) {
      return refuse(response, 429, 'too-often', `That is too often. Wait ${seconds} seconds.`, {
        'retry-after': String(seconds),
      });
    }
  }
  request.headers['x-orderly-frost-phone'] = isPhone(request) ? '1' : '0';
  request.headers['x-orderly-frost-address'] = addressOf(request);
  if (!isApi(url)) {
    tellStatus(request, response);
    if (!url.startsWith('/_next/') && (await sendAway(request, response))) return;
  }
  await compressed(request, response);
  return answerPage(request, response, handle);
}

const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
await app.prepare();
const handle = app.getRequestHandler();

/** Where the household's own certificate and key lie: then the address is a secure one. */
const { TLS_CERT: certFile, TLS_KEY: keyFile } = process.env;
const tls = certFile && keyFile ? { cert: readFileSync(certFile), key: readFileSync(keyFile) } : null;

/** Browsers come by TLS, here or at a proxy in front of it. */
const secure = tls !== null || (process.env.PUBLIC_URL ?? '').startsWith('https:');

const listen = (request, response) => {
  watched(request, response, () => answer(request, response, handle)).catch((error) => {
    log.error({ name: error.name, message: error.message, stack: error.stack }, 'fault');
    if (!response.headersSent) refuse(response, 500, 'fault', 'Something went wrong on our side.');
    else response.destroy();
  });
};
const server = tls ? createSecureServer(tls, listen) : createServer(listen);
server.requestTimeout = REQUEST_MS;
// Longer than proxies and browsers keep a silent connection, so that none is closed while a request is on its way.
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = HEADERS_MS;
server.connectionsCheckingInterval = 2_000;
server.on('clientError', (error, socket) => {
  if (!socket.writable) return socket.destroy();
  const [status, code, message] =
    error.code === 'ERR_HTTP_REQUEST_TIMEOUT'
      ? ['408 Request Timeout', 'too-slow', 'The request did not come in whole in time. Send it again.']
      : error.code === 'HPE_HEADER_OVERFLOW'
        ? ['431 Request Header Fields Too Large', 'too-large', 'The headers of this request are too long.']
        : ['400 Bad Request', 'invalid', 'This is not a request that can be read.'];
  const text = bodyOf(code, message);
  socket.end(
    `HTTP/1.1 ${status}\r\ncontent-type: application/json\r\ncontent-length: ${Buffer.byteLength(text)}\r\nconnection: close\r\n\r\n${text}`,
  );
});
server.once('error', (error) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken.`
      : error.code === 'EACCES'
        ? `Port ${port} may not be used by this user.`
        : error.message,
  );
  process.exit(1);
});
server.listen(port, host, () => process.send?.('listens'));

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 3_000).unref();
  });
