import { StaleSetting, StaleVersion } from '@/core/model/stale';
import { Refusal } from '@/core/model/refusal';
import { DatabaseGone, DiskFull, KeptOrNot, StoreBusy } from '@/store/storeFaults';

export interface FieldFault {
  path: string;
  message: string;
}

/** Something is wrong with a request; carries what the answer says. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly more: {
      fields?: FieldFault[];
      rule?: string;
      candidates?: { id: string; name: string }[];
      present?: unknown;
    } = {},
  ) {
    super(message);
    this.name = 'Problem';
  }
}

/** What a page asks for, or `null` while too many long answers are worked out: the page says so with that status. */
export async function orBusy<Answer>(asked: Promise<Answer>): Promise<Answer | null> {
  try {
    return await asked;
  } catch (error) {
    if (!(error instanceof Problem) || error.status !== 429) throw error;
    watching.orderlyFrostStatus?.(429);
    return null;
  }
}

/** The error body of the API; never a stack trace. */
export interface ProblemBody {
  error: { code: string; message: string } & Problem['more'];
}

const watching = globalThis as typeof globalThis & {
  /** Set by the server (scripts/watch.mjs): writes a line with the id of the request. */
  orderlyFrostLog?: (told: object, says: string) => void;
  /** Set by the same: the status of the page that is being made. */
  orderlyFrostStatus?: (status: number) => void;
};

/** Writes a fault of ours down; never what a statement had in it, where names and digests stand. */
function logFault(error: unknown): void {
  const { name, message, stack, code } = (
    error instanceof Error ? error : new Error(String(error))
  ) as Error & {
    code?: string;
  };
  if (watching.orderlyFrostLog) watching.orderlyFrostLog({ name, message, stack, fault: code }, 'fault');
  else console.error(stack);
}

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof Refusal) return new Problem(422, 'refused', error.says, { rule: error.rule });
  if (error instanceof StaleVersion) {
    return new Problem(409, 'stale', 'Somebody changed it in the meantime; here is how it stands now.', {
      present: {
        code: error.present.code,
        version: error.present.version,
        amount: error.present.amount,
        gone: error.present.gone,
      },
    });
  }
  if (error instanceof StaleSetting) {
    return new Problem(409, 'stale', `Somebody else was quicker: ${error.message}. Look at it again.`);
  }
  if (error instanceof KeptOrNot) {
    return new Problem(
      503,
      'not-known',
      'The store went away in the middle. It is not known whether this was kept; asking again with the same id tells.',
    );
  }
  if (error instanceof DiskFull) {
    return new Problem(
      507,
      'disk-full',
      'The disk of the kitchen’s store is full, or cannot be written. Nothing was changed. Make room there, then try again.',
    );
  }
  if (error instanceof StoreBusy) {
    return new Problem(
      503,
      'busy',
      'The kitchen is busy at the moment. Nothing was changed; try again shortly.',
    );
  }
  if (error instanceof DatabaseGone) {
    return new Problem(
      503,
      'database-gone',
      'The store cannot be reached at the moment. Nothing was changed; try again shortly.',
    );
  }
  logFault(error);
  return new Problem(500, 'fault', 'Something went wrong on our side. Nothing was changed.');
}

/** Turns whatever was thrown into a status and a body. */
export function toProblem(error: unknown): { status: number; body: ProblemBody } {
  const { status, code, message, more } = problemOf(error);
  return { status, body: { error: { code, message, ...more } } };
}

/** For a page that turned somebody away who asked too often: what to say, with the status that belongs to it. @throws anything else */
export function saysTooOften(error: unknown): { tooOften: string } {
  if (!(error instanceof Problem) || error.status !== 429) throw error;
  watching.orderlyFrostStatus?.(429);
  return { tooOften: error.message };
}

/** What was read, or `null` when there is no such thing, or its address names none. */
export async function orNotFound<Found>(reading: Promise<Found>): Promise<Found | null> {
  try {
    return await reading;
  } catch (error) {
    if (error instanceof Problem && (error.status === 404 || error.status === 400)) return null;
    throw error;
  }
}
