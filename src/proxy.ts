import { type NextRequest, NextResponse } from 'next/server';

/** Host names under which this server may be asked: loopback, and what the cook configured. */
function hostsAllowed(): Set<string> {
  const hosts = new Set(['localhost', '127.0.0.1', '[::1]']);
  if (process.env.PUBLIC_URL) hosts.add(new URL(process.env.PUBLIC_URL).hostname);
  for (const host of (process.env.ALLOWED_HOSTS ?? '').split(',')) {
    if (host.trim() !== '') hosts.add(host.trim().toLowerCase());
  }
  return hosts;
}

function refuse(status: number, code: string, message: string): NextResponse {
  return NextResponse.json({ error: { code, message } }, { status });
}

/**
 * What a page may load and run: its own scripts by a nonce that is new each time, nothing from elsewhere. Styles may stand in
 * attributes, where the drawings have their measures.
 */
function contentPolicy(nonce: string): string {
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "frame-src 'self' blob:",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** Lets a request in; a page gets its policy and its nonce, anything else may run nothing at all. */
function letIn(request: NextRequest): NextResponse {
  if (/^\/(api\/|calendar\.ics)/.test(request.nextUrl.pathname)) {
    const response = NextResponse.next();
    response.headers.set('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
    return response;
  }
  const policy = contentPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

/**
 * The door: a foreign Host header (another name pointed at this machine) and changes asked for by another site's
 * page are refused before anything is read.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  const hostname = host.replace(/:\d+$/, '').toLowerCase();
  if (!hostsAllowed().has(hostname))
    return refuse(403, 'foreign-host', 'This server does not answer to that name.');
  if (request.method === 'GET' || request.method === 'HEAD') return letIn(request);
  const site = request.headers.get('sec-fetch-site');
  const origin = request.headers.get('origin');
  const foreignOrigin = origin !== null && (!URL.canParse(origin) || new URL(origin).host !== host);
  if (foreignOrigin || (site !== null && site !== 'same-origin' && site !== 'none')) {
    return refuse(403, 'foreign-site', 'Changes are taken from this site’s own pages only.');
  }
  return letIn(request);
}

export const config = { matcher: ['/((?!_next/static).*)'] };
