import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { type Sql, sql } from './database';

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

/**
 * Brings the schema up to date, file by file in order.
 *
 * @returns names of what was applied now
 * @throws Error when an applied file was changed since, or a statement fails
 */
export async function migrate(): Promise<string[]> {
  const db = sql();
  await db.run(
    `CREATE TABLE IF NOT EXISTS schema_migration (
       name VARCHAR(120) NOT NULL,
       digest CHAR(64) NOT NULL,
       applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
       PRIMARY KEY (name)
     ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`,
  );
  const seen = await applied(db);
  const done: string[] = [];
  for (const { name, statements, digest } of await migrationFiles()) {
    const known = seen.get(name);
    if (known !== undefined) {
      if (known !== digest)
        throw new Error(`db/migrations/${name} was changed after it was applied; add a new file instead`);
      continue;
    }
    for (const statement of statements) await db.run(statement);
    await db.run(`INSERT INTO schema_migration (name, digest) VALUES (:name, :digest)`, { name, digest });
    done.push(name);
  }
  return done;
}
