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

/** The database went away while it was told to keep a transaction: whether it did is not known. */
export class KeptOrNot extends DatabaseGone {
  constructor(cause: unknown) {
    super(cause);
    this.name = 'KeptOrNot';
  }
}

/** The disk that the database lies on is full, or may not be written. Nothing was changed. */
export class DiskFull extends Error {
  constructor(cause: unknown) {
    super('the disk of the database is full or read-only', { cause });
    this.name = 'DiskFull';
  }
}

/** Somebody else's work on the same household went on for too long. Nothing was changed. */
export class StoreBusy extends Error {
  constructor(cause: unknown) {
    super('the database is busy', { cause });
    this.name = 'StoreBusy';
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
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'POOL_CLOSED',
]);
const FULL_CODES = new Set([
  'ER_DISK_FULL',
  'ER_RECORD_FILE_FULL',
  'ER_ERROR_ON_WRITE',
  'ER_OPTION_PREVENTS_STATEMENT',
  'ER_CANT_CREATE_FILE',
  'ER_READ_ONLY_MODE',
]);
/** Deadlock, lock wait, and a Galera node that lost its race: the transaction may be tried again. */
const RETRY_CODES = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_UNKNOWN_COM_ERROR']);
const MOST_TRIES = 8;

/** How long a statement may take, and how long one waits for a connection, ms: a database that hangs is as good as gone. */
const QUERY_MS = Number(process.env.ORDERLY_FROST_QUERY_MS ?? 6000);
const CONNECT_MS = 3000;
/** How long others wait for one household's work, s; together with the tries never longer than a request may take. */
const LOCK_S = 4;
const TRYING_MS = 12_000;
/** After it was found gone, it is asked for anew once in so many ms; everybody else is told at once. */
const ASK_AGAIN_MS = 1000;

type Values = Record<string, unknown>;

/** Runs statements with named placeholders (`:name`). */
export interface Sql {
  rows<Row>(statement: string, values?: Values): Promise<Row[]>;
  run(statement: string, values?: Values): Promise<ResultSetHeader>;
}

// One pool a process, also over hot reloads and the several bundles of a build.
const shared = globalThis as typeof globalThis & {
  orderlyFrostPool?: Pool;
  /** It was gone when it was last asked; pages say so in their status too (scripts/server.mjs). */
  orderlyFrostGone?: boolean;
  orderlyFrostAskedAt?: number;
};

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
      connectTimeout: CONNECT_MS,
      multipleStatements: false,
    });
    shared.orderlyFrostPool.on('connection', (fresh) => {
      fresh.query(`SET SESSION innodb_lock_wait_timeout = ${LOCK_S}`);
    });
  }
  return shared.orderlyFrostPool;
}

function codeOf(error: unknown): string {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === 'string' ? code : '';
}

/** Tells an unreachable database, or a full disk, from a fault of ours. */
function translate(error: unknown): unknown {
  const message = error instanceof Error ? error.message : '';
  const closed = /closed state|Connection lost|Pool is closed/i.test(message);
  if (GONE_CODES.has(codeOf(error)) || closed) {
    shared.orderlyFrostGone = true;
    return new DatabaseGone(error);
  }
  return FULL_CODES.has(codeOf(error)) ? new DiskFull(error) : error;
}

/** A connection of the pool. @throws DatabaseGone when there is none in time, or it was just found gone */
async function connect(): Promise<PoolConnection> {
  const asked = shared.orderlyFrostAskedAt ?? 0;
  if (shared.orderlyFrostGone && Date.now() - asked < ASK_AGAIN_MS) throw new DatabaseGone('just found gone');
  shared.orderlyFrostAskedAt = Date.now();
  const coming = pool().getConnection();
  let late: NodeJS.Timeout | undefined;
  const tooLate = new Promise<never>((_, reject) => {
    late = setTimeout(
      () => reject(Object.assign(new Error('no connection'), { code: 'ETIMEDOUT' })),
      CONNECT_MS,
    );
  });
  try {
    return await Promise.race([coming, tooLate]);
  } catch (error) {
    void coming.then((connection) => connection.release()).catch(() => undefined);
    throw translate(error);
  } finally {
    clearTimeout(late);
  }
}

/** Statements on one connection; one that hung is cut off and never used again. */
function sqlOver(connection: PoolConnection, timeout: number | undefined): Sql {
  const send = async <Result>(statement: string, values: Values): Promise<Result> => {
    try {
      const [result] = await connection.query({ sql: statement, values: values as QueryValues, timeout });
      shared.orderlyFrostGone = false;
      return result as Result;
    } catch (error) {
      const told = translate(error);
      if (told instanceof DatabaseGone) connection.destroy();
      throw told;
    }
  };
  return {
    rows: <Row>(statement: string, values: Values = {}) => send<(Row & RowDataPacket)[]>(statement, values),
    run: (statement, values = {}) => send<ResultSetHeader>(statement, values),
  };
}

async function once<Result>(work: (db: Sql) => Promise<Result>): Promise<Result> {
  const connection = await connect();
  try {
    return await work(sqlOver(connection, QUERY_MS));
  } finally {
    connection.release();
  }
}

/** Statements outside a transaction: reads. */
export function sql(): Sql {
  return {
    rows: (statement, values) => once((db) => db.rows(statement, values)),
    run: (statement, values) => once((db) => db.run(statement, values)),
  };
}

async function attempt<Result>(work: (sql: Sql) => Promise<Result>): Promise<Result> {
  const connection = await connect();
  const db = sqlOver(connection, QUERY_MS);
  let keeping = false;
  try {
    await db.run('START TRANSACTION');
    const result = await work(db);
    keeping = true;
    await db.run('COMMIT');
    return result;
  } catch (error) {
    if (error instanceof DatabaseGone) throw keeping ? new KeptOrNot(error.cause) : error;
    await db.run('ROLLBACK').catch(() => connection.destroy());
    throw error;
  } finally {
    connection.release();
  }
}

/**
 * Runs `work` in one transaction: all of it or nothing. Tried again when the database asks for it (deadlock), so
 * `work` must not do anything outside the database.
 *
 * @throws DatabaseGone, KeptOrNot, DiskFull or StoreBusy
 */
export async function transaction<Result>(work: (sql: Sql) => Promise<Result>): Promise<Result> {
  const until = Date.now() + TRYING_MS;
  for (let tries = 1; ; tries++) {
    try {
      return await attempt(work);
    } catch (error) {
      if (!RETRY_CODES.has(codeOf(error))) throw error;
      if (tries >= MOST_TRIES || Date.now() > until) throw new StoreBusy(error);
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
  const connection = await connect();
  const db = sqlOver(connection, undefined);
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
