/** Backups of the whole store: written, checked by restoring them, restored while servers run. */
import { spawn } from 'node:child_process';
import {
  createReadStream,
  createWriteStream,
  mkdtempSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { createConnection, type Connection } from 'mysql2/promise';
import { findProgram, giveUp, installPackages, prepareDatabase, say } from './machine.mjs';

const NIGHTS_KEPT = 14;
/** A whole dump says so in its last line. */
const WHOLE = '-- Dump completed';

interface Place {
  user: string;
  password: string;
  host: string;
  port: string;
  name: string;
}

/** Of several nodes of a cluster the first: whatever is put in place there comes to all. */
const oneNode = (url: string): string => url.replace(/,[^/@]+(?=\/)/, '');

function placeOf(url: string): Place {
  const { username, password, hostname, port, pathname } = new URL(oneNode(url));
  return {
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
    host: hostname,
    port: port || '3306',
    name: pathname.slice(1),
  };
}

/** The same store under another name. */
const beside = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

function program(...names: string[]): string {
  if (!findProgram(...names)) installPackages(['mariadb-client'], 'MariaDB’s client');
  return findProgram(...names) ?? giveUp(`${names[0]} is not found.`);
}

/** Runs one of MariaDB’s own programs; the password stands in a file that nobody else may read, never in its arguments. */
async function withClient<Result>(
  url: string,
  work: (file: string, place: Place) => Promise<Result>,
): Promise<Result> {
  const place = placeOf(url);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orderly-frost-'));
  const file = path.join(folder, 'client.cnf');
  const { user, password, host, port } = place;
  writeFileSync(
    file,
    `[client]\nuser=${user}\npassword="${password}"\nhost=${host}\nport=${port}\nprotocol=tcp\n`,
    {
      mode: 0o600,
    },
  );
  try {
    return await work(file, place);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const ended = (child: ReturnType<typeof spawn>, what: string): Promise<void> =>
  new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`${what} failed (${code}).`))));
  });

/** Writes the whole store, photos and all, as it stands at one moment, into a compressed file; it is there whole or not at all. */
export function backUp(url: string, file: string): Promise<void> {
  return withClient(url, async (client, { name }) => {
    const child = spawn(
      program('mariadb-dump', 'mysqldump'),
      [
        `--defaults-extra-file=${client}`,
        '--single-transaction',
        '--quick',
        '--skip-lock-tables',
        '--hex-blob',
        '--order-by-primary',
        '--default-character-set=utf8mb4',
        `--ignore-table-data=${name}.attempt`,
        `--ignore-table-data=${name}.import_run`,
        name,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    const part = `${file}.part-${process.pid}`;
    try {
      await Promise.all([
        pipeline(child.stdout, createGzip(), createWriteStream(part, { mode: 0o600 })),
        ended(child, 'The backup'),
      ]);
      renameSync(part, file);
    } finally {
      rmSync(part, { force: true });
    }
  });
}

/** The end of a backup’s text, to see that it is whole. */
async function lastWords(file: string): Promise<string> {
  let tail = '';
  const stream = createReadStream(file).pipe(createGunzip());
  for await (const chunk of stream) tail = (tail + (chunk as Buffer).toString('latin1')).slice(-400);
  return tail;
}

/** Loads a backup into a fresh database beside the store, and brings it up to date. */
async function load(url: string, file: string, name: string): Promise<void> {
  if (!(await lastWords(file).catch(() => '')).includes(WHOLE))
    giveUp(`${file} is no whole backup of Orderly Frost.`);
  const db = await createConnection({ uri: oneNode(url) });
  await db.query(`DROP DATABASE IF EXISTS \`${name}\``);
  await db.query(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  await db.end();
  await withClient(url, async (client) => {
    const child = spawn(
      program('mariadb', 'mysql'),
      [`--defaults-extra-file=${client}`, '--binary-mode', name],
      {
        stdio: ['pipe', 'inherit', 'inherit'],
      },
    );
    await Promise.all([
      pipeline(createReadStream(file), createGunzip(), child.stdin),
      ended(child, 'Loading the backup'),
    ]);
  });
  await prepareDatabase(beside(url, name), ['--no-demo']);
}

async function withDb<Result>(url: string, work: (db: Connection) => Promise<Result>): Promise<Result> {
  const db = await createConnection({ uri: oneNode(url) });
  try {
    return await work(db);
  } finally {
    await db.end();
  }
}

async function tablesOf(db: Connection, name: string): Promise<string[]> {
  const [rows] = await db.query(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? ORDER BY table_name`,
    [name],
  );
  return (rows as { name: string }[]).map((row) => row.name);
}

/** Restores a backup beside the store and looks at what is in it, then throws that away. @returns how many packages it has */
export async function checkBackup(url: string, file: string): Promise<number> {
  const name = `${placeOf(url).name}_check`;
  try {
    await load(url, file, name);
    return await withDb(beside(url, name), async (db) => {
      for (const table of await tablesOf(db, name)) {
        const [told] = await db.query('CHECK TABLE ?? EXTENDED', [table]);
        const words = (told as { Msg_type: string; Msg_text: string }[]).at(-1);
        if (words?.Msg_type !== 'status' || words.Msg_text !== 'OK')
          throw new Error(`${table} in ${file} is broken: ${words?.Msg_text}`);
      }
      const [rows] = await db.query('SELECT COUNT(*) AS packages FROM package');
      return Number((rows as { packages: number }[])[0]?.packages);
    });
  } finally {
    await withDb(url, (db) => db.query(`DROP DATABASE IF EXISTS \`${name}\``));
  }
}

/**
 * Puts a backup in the place of the store, in one step, while servers run: they see the one or the other. What was there before
 * stays beside it, in a database with `_before` behind its name, until the next restore.
 */
export async function restore(url: string, file: string): Promise<void> {
  const { name } = placeOf(url);
  const [fresh, before] = [`${name}_restored`, `${name}_before`];
  await load(url, file, fresh);
  await withDb(url, async (db) => {
    await db.query(`DROP DATABASE IF EXISTS \`${before}\``);
    await db.query(`CREATE DATABASE \`${before}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
    // Whoever kept something of a household sees by these numbers that it is another one now.
    await db.query(
      `UPDATE \`${fresh}\`.household
          SET changes = changes + 1 + (SELECT COALESCE(MAX(changes), 0) FROM \`${name}\`.household),
              kitchen_changes = kitchen_changes + 1 + (SELECT COALESCE(MAX(kitchen_changes), 0) FROM \`${name}\`.household),
              figures_version = figures_version + 1 + (SELECT COALESCE(MAX(figures_version), 0) FROM \`${name}\`.household)`,
    );
    const moves = [
      ...(await tablesOf(db, name)).map((table) => `\`${name}\`.\`${table}\` TO \`${before}\`.\`${table}\``),
      ...(await tablesOf(db, fresh)).map((table) => `\`${fresh}\`.\`${table}\` TO \`${name}\`.\`${table}\``),
    ];
    await db.query(`RENAME TABLE ${moves.join(', ')}`);
    await db.query(`DROP DATABASE \`${fresh}\``);
  });
}

/** The backup of this night, unless it is there: written, checked, and those older than a fortnight thrown away. */
export async function backUpTonight(url: string, folder: string, today: string): Promise<void> {
  const kept = readdirSync(folder).filter((name) => /^\d{4}-\d{2}-\d{2}\.sql\.gz$/.test(name));
  if (kept.includes(`${today}.sql.gz`)) return;
  const file = path.join(folder, `${today}.sql.gz`);
  await backUp(url, file);
  try {
    const packages = await checkBackup(url, file);
    say(`Backup of ${today}: ${packages} packages, restored on trial and whole.`);
  } catch (error) {
    renameSync(file, `${file}.broken`);
    throw error;
  }
  for (const name of [...kept, `${today}.sql.gz`].sort().reverse().slice(NIGHTS_KEPT))
    rmSync(path.join(folder, name));
}
