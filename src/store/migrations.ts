import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { alone, hasCode, type Sql, sql } from './database';

const FOLDER = path.join(process.cwd(), 'db', 'migrations');

export interface Migration {
  name: string;
  statements: string[];
  digest: string;
}

/** The migrations of the source tree in order. One statement ends with `;` at the end of a line. */
async function migrationFiles(folder = FOLDER): Promise<Migration[]> {
  const names = (await readdir(/*turbopackIgnore: true*/ folder))
    .filter((name) => /^\d{3}_.+\.sql$/.test(name))
    .sort();
  return Promise.all(
    names.map(async (name) => {
      const text = await readFile(path.join(/*turbopackIgnore: true*/ folder, name), 'utf8');
      const statements = text
        .split(/;\s*$/m)
        .map((statement) => statement.replace(/^\s*--.*$/gm, '').trim())
        .filter((statement) => statement !== '');
      return { name, statements, digest: createHash('sha256').update(text).digest('hex') };
    }),
  );
}

async function applied(db: Sql): Promise<Map<string, string>> {
  const rows = await db.rows<{ name: string; digest: string }>(
    `SELECT name, digest
       FROM schema_migration`,
  );
  return new Map(rows.map(({ name, digest }) => [name, digest]));
}

/** Names of migrations that the database has not seen yet. */
export async function pendingMigrations(): Promise<string[]> {
  const seen = await applied(sql());
  return (await migrationFiles()).map(({ name }) => name).filter((name) => !seen.has(name));
}

/** What a statement says that had been carried out before a run was killed, and was not written down any more. */
const DONE_BEFORE = [
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_DUP_ENTRY',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_BAD_FIELD_ERROR',
  'ER_BAD_TABLE_ERROR',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_FK_DUP_NAME',
];
/** Statements that fail the second time, so that success tells they are new. */
const ONCE_ONLY = /^(CREATE TABLE|ALTER TABLE[\s\S]*\bADD COLUMN\b)/i;
const CHANGES_ROWS = /^(INSERT|UPDATE|DELETE|REPLACE)\b/i;

/** True when a statement fails since it was carried out before; a constraint that is there has no code of its own. */
function wasDone(error: unknown): boolean {
  if (hasCode(error, DONE_BEFORE)) return true;
  return hasCode(error, ['ER_CANT_CREATE_TABLE']) && String((error as Error).message).includes('errno: 121');
}

/** Carries out one statement and writes down that it was; what changes rows does both or neither. */
async function runStep(db: Sql, name: string, step: number, statement: string): Promise<void> {
  const written = (): Promise<unknown> =>
    db.run(`INSERT INTO schema_step (name, step) VALUES (:name, :step)`, { name, step });
  if (!CHANGES_ROWS.test(statement)) {
    await db.run(statement);
    await written();
    return;
  }
  await db.run('START TRANSACTION');
  try {
    await db.run(statement);
    await written();
    await db.run('COMMIT');
  } catch (error) {
    await db.run('ROLLBACK');
    throw error;
  }
}

/**
 * Applies one file, or the rest of it after a run that was killed: statements that were written down are not run again, and the
 * one that was carried out but not written down says so itself.
 */
async function applyFile(db: Sql, { name, statements, digest }: Migration): Promise<void> {
  const steps = await db.rows<{ step: number }>(`SELECT step FROM schema_step WHERE name = :name`, { name });
  const done = new Set(steps.map(({ step }) => step));
  // Statements are carried out in order: after one that cannot succeed twice has, none behind it was there before.
  let resuming = true;
  for (const [step, statement] of statements.entries()) {
    if (done.has(step)) continue;
    try {
      await runStep(db, name, step, statement);
      if (ONCE_ONLY.test(statement)) resuming = false;
    } catch (error) {
      if (!resuming || !wasDone(error)) throw error;
      await db.run(`INSERT INTO schema_step (name, step) VALUES (:name, :step)`, { name, step });
    }
  }
  await db.run(`INSERT INTO schema_migration (name, digest) VALUES (:name, :digest)`, { name, digest });
  await db.run(`DELETE FROM schema_step WHERE name = :name`, { name });
}

/**
 * Brings the schema up to date, file by file in order; of two starts at once one waits for the other. A run that was killed is
 * gone on with.
 *
 * @param folder where the files lie
 * @returns names of what was applied now
 * @throws Error when an applied file was changed since, or a statement fails
 */
export function migrate(folder = FOLDER): Promise<string[]> {
  return alone('schema', async (db) => {
    await db.run(
      `CREATE TABLE IF NOT EXISTS schema_migration (
         name VARCHAR(120) NOT NULL,
         digest CHAR(64) NOT NULL,
         applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
         PRIMARY KEY (name)
       ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`,
    );
    await db.run(
      `CREATE TABLE IF NOT EXISTS schema_step (
         name VARCHAR(120) NOT NULL,
         step SMALLINT UNSIGNED NOT NULL,
         PRIMARY KEY (name, step)
       ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`,
    );
    const seen = await applied(db);
    const done: string[] = [];
    for (const file of await migrationFiles(folder)) {
      const known = seen.get(file.name);
      if (known === undefined) {
        await applyFile(db, file);
        done.push(file.name);
      } else if (known !== file.digest) {
        throw new Error(
          `db/migrations/${file.name} was changed after it was applied; add a new file instead`,
        );
      }
    }
    return done;
  });
}
