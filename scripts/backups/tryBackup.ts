/** A backup is loaded into a database of its own, by a user that may nothing else, and looked at, before it is put in place. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { prepareDatabase } from '../machine.mjs';
import { addressOf, beside, ended, program, rowsOf, tablesOf, withClient, withDb } from './client';
import { countRows, type Manifest, ourVersion } from './manifest';
import { NoBackup, readBackup } from './readBackup';

/** The user that loads backups into `…_check` and `…_restored` and may do nothing else; the private server has it. */
const LOADER = 'orderly_loader';

/** By which address a trial database is filled: as the loader, where the server has one. */
async function loaderUrl(url: string): Promise<string> {
  const loader = new URL(url);
  loader.username = LOADER;
  return withDb(loader.href, () => Promise.resolve(loader.href)).catch(() => url);
}

async function emptyDatabase(url: string, name: string): Promise<void> {
  await withDb(url, async (db) => {
    await db.query('DROP DATABASE IF EXISTS ??', [name]);
    await db.query(`CREATE DATABASE ?? CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`, [name]);
  });
}

/** Has MariaDB's own program carry out what a backup says. */
async function pour(url: string, file: string, bare: boolean): Promise<Manifest | null> {
  return withClient(url, async (client, { name }) => {
    const child = spawn(
      program('mariadb', 'mysql'),
      [`--defaults-extra-file=${client}`, '--binary-mode', name],
      { stdio: ['pipe', 'inherit', 'inherit'] },
    );
    const input = child.stdin as Writable;
    // Where it ends early, its own words say why.
    input.on('error', () => undefined);
    const done = ended(child, 'Loading the backup');
    done.catch(() => undefined);
    const manifest = await readBackup(file, bare, async (line) => {
      if (!input.write(line) && child.exitCode === null) await Promise.race([once(input, 'drain'), done]);
    });
    input.end();
    await done;
    return manifest;
  });
}

/** What a database of ours was filled with. */
export interface Loaded {
  manifest: Manifest | null;
  counts: Record<string, number>;
  households: string[];
}

/** @throws NoBackup when what was loaded is not what the backup says */
async function look(url: string, name: string, file: string, manifest: Manifest | null): Promise<Loaded> {
  return withDb(beside(url, name), async (db) => {
    for (const table of await tablesOf(db, name)) {
      const checked = await rowsOf<{ Msg_type: string; Msg_text: string }>(db, 'CHECK TABLE ?? EXTENDED', [
        table,
      ]);
      const words = checked.at(-1);
      if (words?.Msg_type !== 'status' || words.Msg_text !== 'OK')
        throw new NoBackup(file, `its table ${table} is broken (${words?.Msg_text})`);
    }
    const counts = await countRows(db, name);
    if (!(counts.household && counts.schema_migration && counts.command !== undefined))
      throw new NoBackup(file, 'there is no household in it');
    const households = await rowsOf<{ name: string }>(db, 'SELECT name FROM household ORDER BY id');
    const [wrong] = Object.entries(manifest?.counts ?? {}).filter(([table, n]) => counts[table] !== n);
    if (wrong)
      throw new NoBackup(
        file,
        `its table ${wrong[0]} has ${counts[wrong[0]] ?? 0} rows instead of ${wrong[1]}`,
      );
    return { manifest, counts, households: households.map((one) => one.name) };
  });
}

const isNewer = (version: string): boolean => {
  const [theirs, ours] = [version, ourVersion()].map((one) => one.split('.').map(Number));
  const at = (theirs ?? []).findIndex((part, nth) => part !== ours?.[nth]);
  return at !== -1 && (theirs?.[at] ?? 0) > (ours?.[at] ?? 0);
};

/**
 * Loads a backup into a fresh database beside the live one, checks that it holds what it says, and brings it up to date.
 *
 * @param bare it has no manifest @throws NoBackup and leaves no database behind
 */
export async function loadBackup(url: string, file: string, name: string, bare: boolean): Promise<Loaded> {
  const said = await readBackup(file, bare);
  if (said && isNewer(said.version))
    throw new NoBackup(file, `it was written by Orderly Frost ${said.version}, and this is ${ourVersion()}`);
  await emptyDatabase(url, name);
  try {
    const manifest = await pour(beside(await loaderUrl(url), name), file, bare);
    const loaded = await look(url, name, file, manifest);
    await prepareDatabase(beside(url, name), ['--no-demo']);
    return loaded;
  } catch (error) {
    await withDb(url, (db) => db.query('DROP DATABASE IF EXISTS ??', [name]));
    throw error;
  }
}

/** Loads a backup on trial and throws that away. @returns what is in it */
export async function tryBackup(url: string, file: string, bare: boolean): Promise<Loaded> {
  const name = `${addressOf(url).name}_check`;
  try {
    return await loadBackup(url, file, name, bare);
  } finally {
    await withDb(url, (db) => db.query('DROP DATABASE IF EXISTS ??', [name]));
  }
}
