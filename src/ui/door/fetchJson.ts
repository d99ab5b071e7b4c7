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

/** Longer than the server takes for anything it still answers. */
const GIVE_UP_MS = 70_000;

/** Reads JSON from the API. @throws DoorError with a sentence for the cook; code `offline` when there was no answer at all */
export async function fetchJson<Body>(address: string, init?: RequestInit): Promise<Body> {
  let response: Response;
  try {
    response = await fetch(address, { signal: AbortSignal.timeout(GIVE_UP_MS), ...init });
  } catch {
    throw new DoorError('The kitchen server does not answer. Try again in a moment.', 'offline', undefined);
  }
  const body = (await response.json().catch(() => ({}))) as Body & ErrorBody;
  if (!response.ok) {
    const { message, code, rule } = body.error ?? {};
    throw new DoorError(message ?? 'That did not work.', code ?? `status-${response.status}`, rule);
  }
  return body;
}

/** Posts JSON to the API. */
export function postJson<Body>(address: string, body: unknown, init: RequestInit = {}): Promise<Body> {
  return fetchJson<Body>(address, {
    ...init,
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
}
