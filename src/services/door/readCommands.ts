import type { Told } from '@/core/model/command';
import { type DoorCommand, LATE_MS } from './atDoor';
import * as commands from './commands';
import { Problem } from './problem';
import { validate } from './validate';

/** Every command at the door, by its type. */
export const DOOR: ReadonlyMap<string, DoorCommand> = new Map(
  Object.values(commands).map((command) => [command.kind.type, command]),
);

/** A command that passed its schema, with what it is. */
export interface ReadCommand {
  kind: DoorCommand['kind'];
  command: Told;
}

/** Clocks of phones run a little ahead. */
const AHEAD_MS = 5 * 60_000;
const MOST_AT_ONCE = 100;

function readCommand(raw: unknown, now: string, path: string): ReadCommand {
  const type = String((raw as { type?: unknown } | null)?.type);
  const door = DOOR.get(type);
  if (!door) {
    throw new Problem(400, 'invalid', `There is no command “${type.slice(0, 60)}”.`, {
      fields: [{ path: `${path}type`, message: `one of ${[...DOOR.keys()].join(', ')}` }],
    });
  }
  const {
    ago_ms: ago = 0,
    at = new Date(Date.parse(now) - ago).toISOString(),
    ...told
  } = validate<Omit<Told, 'at'> & { at?: string; ago_ms?: number }>(door.schema, raw);
  if (Date.parse(at) > Date.parse(now) + AHEAD_MS) {
    throw new Problem(400, 'invalid', 'It cannot have happened after now.', {
      fields: [{ path: `${path}at`, message: 'lies in the future' }],
    });
  }
  if (Date.parse(at) < Date.parse(now) - LATE_MS) {
    throw new Problem(400, 'invalid', 'That long ago nothing can be told any more: at most a month.', {
      fields: [{ path: `${path}at`, message: 'more than a month ago' }],
    });
  }
  const { id } = told as unknown as Told;
  return { kind: door.kind, command: { ...door.read(told), id, type: door.kind.type, at } };
}

/**
 * Reads one command or a list of them.
 *
 * @throws Problem 400
 */
export function readCommands(body: unknown, now: string): ReadCommand[] {
  if (!Array.isArray(body)) return [readCommand(body, now, '')];
  if (body.length === 0 || body.length > MOST_AT_ONCE) {
    throw new Problem(400, 'invalid', `Send 1 to ${MOST_AT_ONCE} commands at once.`);
  }
  return body.map((raw, at) => readCommand(raw, now, `${at}.`));
}
