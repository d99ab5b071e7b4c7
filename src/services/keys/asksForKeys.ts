const LOOPBACK = /^(localhost|127(\.\d+){3}|\[?::1\]?|)$/;

/** Every name under which this server may be reached, and where it listens. */
function names(): string[] {
  const { PUBLIC_URL, ALLOWED_HOSTS = '', LISTENS_AT = '' } = process.env;
  const configured = PUBLIC_URL && URL.canParse(PUBLIC_URL) ? [new URL(PUBLIC_URL).hostname] : [];
  return [LISTENS_AT, ...configured, ...ALLOWED_HOSTS.split(',')].map((name) => name.trim().toLowerCase());
}

/**
 * Whether this server asks who comes: as soon as it can be reached from anywhere else than this machine, or when it is told to
 * (`KEYS=ask`). One person at one machine is asked nothing.
 */
export function asksForKeys(): boolean {
  return process.env.KEYS === 'ask' || names().some((name) => !LOOPBACK.test(name));
}

/** Whether browsers reach it by TLS, here or at a proxy in front of it. */
export const isSecure = (): boolean =>
  Boolean(process.env.TLS_CERT) || (process.env.PUBLIC_URL ?? '').startsWith('https:');
