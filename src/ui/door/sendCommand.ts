import { v4 as newUuid } from 'uuid';

/** What the door answers to one command. */
export interface DoorAnswer {
  id: string;
  type: string;
  says: string;
  packages: { id: string; code: string; version: number; here: boolean }[];
}

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

/** Reads JSON from the API. @throws DoorError with a sentence for the cook */
export async function fetchJson<Body>(address: string, init?: RequestInit): Promise<Body> {
  let response: Response;
  try {
    response = await fetch(address, init);
  } catch {
    throw new DoorError(
      'The kitchen server does not answer. Nothing was changed; try again in a moment.',
      'offline',
      undefined,
    );
  }
  const body = (await response.json().catch(() => ({}))) as Body & ErrorBody;
  if (!response.ok) {
    const { message, code, rule } = body.error ?? {};
    throw new DoorError(message ?? 'That did not work. Nothing was changed.', code ?? 'fault', rule);
  }
  return body;
}

/** Posts JSON to the API. */
export function postJson<Body>(address: string, body: unknown): Promise<Body> {
  return fetchJson<Body>(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
}

export type NewCommand = { type: string } & Record<string, unknown>;

/** Sends commands through the door, all or nothing; they get their ids here, so a repeated send is harmless. */
export async function sendCommands(commands: readonly NewCommand[]): Promise<DoorAnswer[]> {
  const body = commands.map((command) => ({ id: newUuid(), ...command }));
  const { answers } = await postJson<{ answers: DoorAnswer[] }>('/api/v1/commands', body);
  return answers;
}
