import type { OnPackage } from '@/core/model/command';
import { type Role, ROLE_WORDS } from '@/core/model/role';
import type { Sql } from '@/store/database';
import type { Household } from '@/store/households';
import { readTeller } from '@/store/commands';
import { Problem } from '../door/problem';
import { DOOR, type ReadCommand } from '../door/readCommands';
import { contextOf } from '../household/context';
import { readStockRows } from '../stock/stockRows';
import { helpYourself } from '@/core/stock/helpYourself';
import type { Visitor } from './whoAsks';

const notYours = (what: string): Problem =>
  new Problem(403, 'not-yours', `Your key does not open that: ${what}. Ask a cook of this kitchen.`);

/** Types that a body speaks of, whatever else is in it. */
const typesIn = (body: unknown): string[] =>
  (Array.isArray(body) ? body.slice(0, 200) : [body]).map((one) =>
    String((one as { type?: unknown } | null)?.type),
  );

/** The commands that a role may not tell. */
export const refusedTo = (role: Role): string[] =>
  role === 'cook' ? [] : [...DOOR].flatMap(([type, { kind }]) => (kind.may?.includes(role) ? [] : [type]));

/** Refuses kinds of command that a role may not tell, before anything else of them is looked at. @throws Problem 403 */
export function refuseTypes(body: unknown, role: Role): void {
  if (role === 'cook') return;
  for (const type of typesIn(body)) {
    if (role === 'reader') throw notYours('you may look at everything and change nothing');
    const kind = DOOR.get(type)?.kind;
    if (kind && !kind.may?.includes(role)) throw notYours(`you may ${ROLE_WORDS[role].may}`);
  }
}

/** The package a command takes. */
const takenBy = ({ command }: ReadCommand): string => (command as unknown as OnPackage).package;

/**
 * What else a member who is no cook may not: undo what somebody else told; as a guest, take what does not stand under “Help
 * yourself”.
 *
 * @throws Problem 403
 */
export async function refuseOthers(
  db: Sql,
  commands: readonly ReadCommand[],
  household: Household,
  { member, role }: Visitor,
): Promise<void> {
  if (role === 'cook') return;
  for (const { kind, command } of commands) {
    const past = kind.pastOf?.(command);
    if (past !== undefined && (await readTeller(db, household.id, past)) !== (member?.member ?? ''))
      throw notYours('somebody else told it');
  }
  if (role !== 'guest') return;
  const taken = commands.filter(({ kind }) => kind.type === 'package.take').map(takenBy);
  if (taken.length === 0) return;
  const { reference, today, mayEat } = await contextOf(household);
  const stock = await readStockRows(household, today);
  const rows = helpYourself(stock, (id) => reference.byId.get(id), today, mayEat);
  const may = new Set(rows.filter(({ whose }) => whose === '').map(({ id }) => id));
  if (!taken.every((id) => may.has(id))) throw notYours('it does not stand under “Help yourself”');
}
