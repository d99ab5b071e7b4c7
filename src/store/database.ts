import {
  createPool,
  type Pool,
  type PoolConnection,
  type QueryValues,
  type ResultSetHeader,
  type RowDataPacket,
} from 'mysql2/promise';

/** The database cannot be reached. Nothing was changed; the pool connects again by itself when it is back. */
export class DatabaseGone extends Error {
  constructor(cause: unknown) {
    super('the database cannot be reached', { cause });
    this.name = 'DatabaseGone';
  }
}

const GONE_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  'ENOENT',
  'ENOTFOUND',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'POOL_CLOSED',
]);
/** Deadlock, lock wait, and a Galera node that lost its race: the transaction may be tried again. */
const RETRY_CODES = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_UNKNOWN_COM_ERROR']);
const MOST_TRIES = 8;

type Values = Record<string, unknown>;

/** Runs statements with named placeholders (`:name`). */
export interface Sql {
  rows<Row>(statement: string, values?: Values): Promise<Row[]>;
  run(statement: string, values?: Values): Promise<ResultSetHeader>;
}

// One pool a process, also over hot reloads and the several bundles of a build.
const shared = globalThis as typeof globalThis & { orderlyFrostPool?: Pool };

function pool(): Pool {
  if (!shared.orderlyFrostPool) {
    const uri = process.env.DATABASE_URL;
    if (!uri) throw new DatabaseGone('DATABASE_URL is not set');
    shared.orderlyFrostPool = createPool({
      uri,
      namedPlaceholders: true,
      dateStrings: true,
      timezone: 'Z',
      charset: 'utf8mb4',
      connectionLimit: 16,
      connectTimeout: 4000,
      multipleStatements: false,
    });
  }
  return shared.orderlyFrostPool;
}

function codeOf(error: unknown): string {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' ? code : '';
}

/** Tells an unreachable database from a fault of ours. */
function translate(error: unknown): unknown {
  const message = error instanceof Error ? error.message : '';
  const closed = /closed state|Connection lost|Pool is closed/i.test(message);
  return GONE_CODES.has(codeOf(error)) || closed ? new DatabaseGone(error) : error;
}

function sqlOver(target: Pool | PoolConnection): Sql {
  const send = async <Result>(statement: string, values: Values): Promise<Result> => {
    try {
      const [result] = await target.query(statement, values as QueryValues);
      return result as Result;
    } catch (error) {
      throw translate(error);
    }
  };
  return {
    rows: <Row>(statement: string, values: Values = {}) => send<(Row & RowDataPacket)[]>(statement, values),
    run: (statement, values = {}) => send<ResultSetHeader>(statement, values),
  };
}

/** Statements outside a transaction: reads. */
export function sql(): Sql {
  return sqlOver(pool());
}

async function attempt<Result>(work: (sql: Sql) => Promise<Result>): Promise<Result> {
  let connection: PoolConnection;
  try {
    connection = await pool().getConnection();
  } catch (error) {
    throw translate(error);
  }
  try {
    await connection.beginTransaction();
    const result = await work(sqlOver(connection));
    await connection.commit();
    return result;
  } catch (error) {
    await connection.rollback().catch(() => connection.destroy());
    throw translate(error);
  } finally {
    connection.release();
  }
}

/**
 * Runs `work` in one transaction: all of it or nothing. Tried again when the database asks for it (deadlock), so
 * `work` must not do anything outside the database.
 */
export async function transaction<Result>(work: (sql: Sql) => Promise<Result>): Promise<Result> {
  for (let tries = 1; ; tries++) {
    try {
      return await attempt(work);
    } catch (error) {
      if (!RETRY_CODES.has(codeOf(error)) || tries >= MOST_TRIES) throw error;
      await new Promise((wake) => setTimeout(wake, tries * 15));
    }
  }
}

const LOCK_WAIT_S = 600;

/**
 * Runs `work` on a connection of its own while nobody else on this database is inside the same lock, outside any transaction.
 *
 * @throws Error when the lock is not to be had within ten minutes
 */
export async function alone<Result>(lock: string, work: (sql: Sql) => Promise<Result>): Promise<Result> {
  let connection: PoolConnection;
  try {
    connection = await pool().getConnection();
  } catch (error) {
    throw translate(error);
  }
  const db = sqlOver(connection);
  try {
    const [row] = await db.rows<{ had: number | null }>(
      `SELECT GET_LOCK(CONCAT(DATABASE(), :lock), ${LOCK_WAIT_S}) AS had`,
      { lock: `:${lock}` },
    );
    if (row?.had !== 1) throw new Error(`another start has been busy with the ${lock} for ten minutes`);
    return await work(db);
  } finally {
    await db.run(`DO RELEASE_LOCK(CONCAT(DATABASE(), :lock))`, { lock: `:${lock}` }).catch(() => undefined);
    connection.release();
  }
}

/** True for an error of the store with one of these codes. */
export function hasCode(error: unknown, codes: readonly string[]): boolean {
  return codes.includes(codeOf(error));
}

/** True when an error says that a unique key is taken. */
export function isDuplicate(error: unknown): boolean {
  return codeOf(error) === 'ER_DUP_ENTRY';
}

/** Closes the pool; for scripts and tests. */
export async function closeDatabase(): Promise<void> {
  const open = shared.orderlyFrostPool;
  delete shared.orderlyFrostPool;
  await open?.end();
}

/** "2026-11-25T08:10:47.000Z" as the database stores it, and back. */
export function toSqlInstant(instant: string): string {
  return new Date(instant).toISOString().slice(0, 23).replace('T', ' ');
}

export function fromSqlInstant(stored: string): string {
  return new Date(`${stored.replace(' ', 'T')}Z`).toISOString();
}

/** A JSON column, whichever way the driver hands it over. */
export function fromJson<Value>(stored: unknown): Value {
  return (typeof stored === 'string' ? JSON.parse(stored) : stored) as Value;
}
