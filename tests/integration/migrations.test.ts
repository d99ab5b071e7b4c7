import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { createConnection } from 'mysql2/promise';
import { migrate } from '@/store/migrations';
import { closeDatabase } from '@/store/database';

const FOLDER = path.join('db', 'migrations');
const files = readdirSync(FOLDER).sort();
const textOf = (name: string): string => readFileSync(path.join(FOLDER, name), 'utf8');
const statements = files.flatMap((name) =>
  textOf(name)
    .split(/;\s*$/m)
    .map((statement) => statement.replace(/^\s*--.*$/gm, '').trim())
    .filter((statement) => statement !== ''),
);

/** A database of its own beside the shared one, empty, for `work`. */
async function inDatabase(name: string, work: (url: string) => Promise<void>): Promise<void> {
  const shared = process.env.DATABASE_URL ?? '';
  const url = shared.replace(/\/[^/]*$/, `/orderly_frost_${name}`);
  const db = await createConnection({ uri: shared });
  await db.query(`DROP DATABASE IF EXISTS orderly_frost_${name}`);
  await db.query(`CREATE DATABASE orderly_frost_${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  process.env.DATABASE_URL = url;
  await closeDatabase();
  try {
    await work(url);
  } finally {
    process.env.DATABASE_URL = shared;
    await closeDatabase();
    await db.query(`DROP DATABASE orderly_frost_${name}`);
    await db.end();
  }
}

/** All tables as the database describes them. */
async function schemaOf(url: string): Promise<string> {
  const db = await createConnection({ uri: url });
  const [tables] = await db.query<never>('SHOW TABLES');
  const told: string[] = [];
  for (const row of tables as Record<string, string>[]) {
    const [made] = await db.query<never>(`SHOW CREATE TABLE ${Object.values(row)[0]}`);
    told.push(
      String((made as Record<string, string>[])[0]?.['Create Table']).replace(/ AUTO_INCREMENT=\d+/, ''),
    );
  }
  await db.end();
  return told.sort().join('\n');
}

afterAll(closeDatabase);

it('what has landed is never edited', () => {
  const landed = {
    '001_household_and_kitchen.sql': '267cf1e9076b52f338579359231a883852a352a339e962429597c8dc14dc590a',
    '002_reference.sql': 'e45d2826da2a0b59ce1f95135e3264d4ca1eaac851e768ad4d19c12022a26fc4',
    '003_stock_and_ledger.sql': '1792b3ede099db560bf410f159961afda9bbd4476c80b1bf3493de8c88505a67',
    '004_heads_ups.sql': 'e1965db2e0ca38484576329929695cd1260668b19cc4f4e92ea0d7edfda78a39',
    '005_drawn_kitchen.sql': 'f5efcb239d904f2cb8a79dae2704073623faad18daa79c16cde69d5023b50ae5',
    '006_haul_bench.sql': 'c8d32a6e21560381924f2a6e5cc9e28b1fee9208269fa6c54b26ec5791e305c0',
  };
  for (const [name, digest] of Object.entries(landed)) {
    expect([name, createHash('sha256').update(textOf(name)).digest('hex')]).toEqual([name, digest]);
  }
});

describe('a schema change that was killed', () => {
  it('is gone on with from wherever it was, and ends as if nothing had been', async () => {
    let whole = '';
    await inDatabase('whole', async (url) => {
      expect(await migrate()).toEqual(files);
      expect(await migrate()).toEqual([]);
      whole = await schemaOf(url);
    });
    // Carried out up to a statement, and none of it written down: the worst that a kill can leave of a file.
    const cuts = [1, 3, 9, 14, 22, 37, statements.length - 2];
    for (const cut of cuts) {
      await inDatabase('cut', async (url) => {
        const db = await createConnection({ uri: url });
        for (const statement of statements.slice(0, cut)) await db.query(statement);
        await db.end();
        await migrate();
        expect(await schemaOf(url)).toBe(whole);
      });
    }
  });

  it('of two starts at once one waits, and both work', async () => {
    await inDatabase('twice', async () => {
      const both = await Promise.all([migrate(), migrate(), migrate()]);
      expect(both.map(({ length }) => length).sort()).toEqual([0, 0, files.length]);
    });
  });
});
