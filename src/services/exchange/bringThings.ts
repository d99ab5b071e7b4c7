import { v4 as newUuid } from 'uuid';
import { Refusal } from '@/core/model/refusal';
import { StaleSetting } from '@/core/model/stale';
import { type Sql, transaction } from '@/store/database';
import type { Household } from '@/store/households';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { readCommands } from '../door/readCommands';
import { lockedRunner, type Teller } from '../door/runCommands';
import { tableRows, tableWorld } from './exportTable';
import type { RowFault } from './importTable';
import type { FoundTable } from './readTable';
import { type TableName, TABLES } from './tables';
import { type Cells, type Table, type WayIn, withPoint } from './tables/table';

/** Each row of these is told by itself; a longer file is brought in parts. */
const MOST_THINGS = 2000;

/** What the rows of one of our own tables bring. */
export interface ThingsReading {
  /** Ids of what was told. */
  commands: string[];
  /** What each of them says, as the ledger has it. */
  says: string[];
  /** Rows that come in, and rows that stand here as they are. */
  came: number;
  same: number;
  faults: RowFault[];
}

/** "12 containers", "1 wish". */
export function sayCame(name: TableName, came: number): string {
  const { wayIn }: Table = TABLES[name];
  return `${came} ${(came === 1 ? wayIn?.one : wayIn?.many) ?? 'rows'}`;
}

/** How a table's rows come in. @throws Problem 422 for one that only comes with the whole household, 413 for too many rows */
function wayInOf(name: TableName, table: FoundTable): WayIn {
  const { wayIn }: Table = TABLES[name];
  if (!wayIn)
    throw new Problem(
      422,
      'refused',
      `${name}.csv is a record: it comes in with the whole household (JSON).`,
    );
  if (table.rows.length > MOST_THINGS)
    throw new Problem(413, 'too-large', `${MOST_THINGS} rows of ${name}.csv at once. Bring it in parts.`);
  return wayIn;
}

interface Row {
  row: number;
  cells: Cells;
}

const rowsIn = ({ columns, rows, numbers }: FoundTable): Row[] =>
  rows.map((found, at) => ({
    row: numbers[at] ?? 0,
    cells: Object.fromEntries(columns.map((name, place) => [name, found[place] ?? ''])),
  }));

/** Rows that come in together, in the order in which they must. */
function groupsOf(rows: readonly Row[], { together, rank }: WayIn): Row[][] {
  const groups = new Map<string, Row[]>();
  const keyOf = ({ cells, row }: Row): string => together?.(cells) ?? String(row);
  const ranked = rank
    ? rows.toSorted((a, b) => (rank(a.cells) < rank(b.cells) ? -1 : rank(a.cells) > rank(b.cells) ? 1 : 0))
    : rows;
  for (const row of ranked) groups.set(keyOf(row), [...(groups.get(keyOf(row)) ?? []), row]);
  return [...groups.values()];
}

/** What is wrong with a row, for the cook; what is wrong with us is thrown on. */
function faultOf(error: unknown): string {
  if (error instanceof Refusal) return error.says;
  if (error instanceof StaleSetting || (error instanceof Problem && error.status < 500)) return error.message;
  throw error;
}

/**
 * Tells the rows of one of our own tables at the door, each by itself: by the same schema and the same rules as when it is told
 * by hand. A row that stands here as it is is passed over; one that is refused leaves nothing.
 *
 * @param db inside a transaction @param tell is told how many rows are done
 */
export async function bringThings(
  db: Sql,
  name: TableName,
  table: FoundTable,
  household: Pick<Household, 'id' | 'currency'>,
  teller: Teller,
  tell: (rows: number) => Promise<void> = () => Promise.resolve(),
): Promise<ThingsReading> {
  const wayIn = wayInOf(name, table);
  const run = lockedRunner(db, household.id, teller);
  const world = await tableWorld(db, household);
  const plain = (cells: Cells): string =>
    JSON.stringify(wayIn.told.map((column) => withPoint(cells[column] ?? '')));
  const here = new Set<string>();
  for await (const rows of tableRows(db, household.id, name, world))
    for (const cells of rows) here.add(plain(cells));
  const reading: ThingsReading = { commands: [], says: [], came: 0, same: 0, faults: [] };
  for (const group of groupsOf(rowsIn(table), wayIn)) {
    const [first] = group;
    if (!first) continue;
    if (group.every(({ cells }) => here.has(plain(cells)))) {
      reading.same += group.length;
      await tell(group.length);
      continue;
    }
    await db.run('SAVEPOINT before_row');
    try {
      const told = wayIn.tellings(
        group.map(({ cells }) => cells),
        world,
      );
      for (const telling of told) {
        const id = newUuid();
        const [read] = readCommands({ ...telling, id }, now());
        if (!read) continue;
        reading.says.push((await run(read)).says);
        reading.commands.push(id);
      }
      reading.came += group.length;
    } catch (error) {
      const says = faultOf(error);
      await db.run('ROLLBACK TO SAVEPOINT before_row');
      for (const { row } of group)
        reading.faults.push({ row, says: row === first.row ? says : `It comes with row ${first.row}.` });
    }
    await tell(group.length);
  }
  return reading;
}

/** A look has ended; what it told is taken back. */
class LookedAt extends Error {
  constructor(readonly reading: ThingsReading) {
    super('looked at');
  }
}

/** What the rows would bring: told like {@link bringThings}, and all of it taken back. */
export async function lookAtThings(
  name: TableName,
  table: FoundTable,
  household: Pick<Household, 'id' | 'currency'>,
): Promise<ThingsReading> {
  try {
    return await transaction(async (db) => {
      throw new LookedAt(await bringThings(db, name, table, household, { member: null, person: null }));
    });
  } catch (error) {
    if (error instanceof LookedAt) return error.reading;
    throw error;
  }
}
