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
 * The door: a foreign Host header (another name pointed at this machine) and changes asked for by another site's
 * page are refused before anything is read.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  const hostname = host.replace(/:\d+$/, '').toLowerCase();
  if (!hostsAllowed().has(hostname))
    return refuse(403, 'foreign-host', 'This server does not answer to that name.');
  if (request.method === 'GET' || request.method === 'HEAD') return NextResponse.next();
  const site = request.headers.get('sec-fetch-site');
  const origin = request.headers.get('origin');
  const foreignOrigin = origin !== null && (!URL.canParse(origin) || new URL(origin).host !== host);
  if (foreignOrigin || (site !== null && site !== 'same-origin' && site !== 'none')) {
    return refuse(403, 'foreign-site', 'Changes are taken from this site’s own pages only.');
  }
  return NextResponse.next();
}

export const config = { matcher: ['/((?!_next/static).*)'] };
