/** The door said no; `message` is for the cook. */
export class DoorError extends Error {
  constructor(
    message: string,
    readonly code: string,
    readonly rule: string | undefined,
  ) {
    super(message);
    this.name = 'DoorError';
  }
}

interface ErrorBody {
  error?: { message?: string; code?: string; rule?: string };
}

/** By this the door knows which household a page shows, whatever this device chose meanwhile. */
const HOUSEHOLD_HEADER = 'x-orderly-frost-household';

/** By this the door knows who told it, whoever is signed in on this device by now. */
export const MEMBER_HEADER = 'x-orderly-frost-member';

/** The household this page shows; empty: the page shows none. */
export const shownHousehold = (): string => document.documentElement.dataset.household ?? '';

/** Longer than the server takes for anything it still answers. */
const GIVE_UP_MS = 70_000;

/** `household`: another one than the page shows. */
type ForHousehold = RequestInit & { household?: string };

/** The key of this device is gone: another one is asked for, and then this page again. */
function askForKey(): void {
  const { pathname, search } = window.location;
  if (/^\/(sign-in|join)/.test(pathname)) return;
  window.location.assign(`/sign-in?to=${encodeURIComponent(pathname + search)}`);
}

/** Asks for the password again; resolves to whether it was given. Set by the page that can ask. */
let askProof: (() => Promise<boolean>) | null = null;

export function onProofAsked(ask: (() => Promise<boolean>) | null): void {
  askProof = ask;
}

/** Reads JSON from the API. @throws DoorError with a sentence for the cook; code `offline` when there was no answer at all */
export async function fetchJson<Body>(address: string, init?: ForHousehold): Promise<Body> {
  let response: Response;
  try {
    const { household = shownHousehold(), ...more } = init ?? {};
    const headers = new Headers(more.headers);
    if (household !== '') headers.set(HOUSEHOLD_HEADER, household);
    response = await fetch(address, { signal: AbortSignal.timeout(GIVE_UP_MS), ...more, headers });
  } catch {
    throw new DoorError('The kitchen server does not answer. Try again in a moment.', 'offline', undefined);
  }
  const body = (await response.json().catch(() => ({}))) as Body & ErrorBody;
  if (!response.ok) {
    const { message, code, rule } = body.error ?? {};
    if (code === 'sign-in') askForKey();
    if (code === 'prove' && askProof && (await askProof())) return fetchJson<Body>(address, init);
    throw new DoorError(message ?? 'That did not work.', code ?? `status-${response.status}`, rule);
  }
  return body;
}

/** Posts JSON to the API. */
export function postJson<Body>(address: string, body: unknown, init: ForHousehold = {}): Promise<Body> {
  return fetchJson<Body>(address, {
    ...init,
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(init.headers as Record<string, string> | undefined) },
    body: JSON.stringify(body),
  });
}
