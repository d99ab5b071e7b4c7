/** MariaDB's own programs, and connections for those who write and restore backups. */
import { type spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { createConnection, type Connection } from 'mysql2/promise';
import { findProgram, giveUp, installPackages } from '../machine.mjs';

interface Address {
  user: string;
  password: string;
  host: string;
  port: string;
  name: string;
}

/** Of several nodes of a cluster the first: whatever is put in place there comes to all. */
const oneNode = (url: string): string => url.replace(/,[^/@]+(?=\/)/, '');

export function addressOf(url: string): Address {
  const { username, password, hostname, port, pathname } = new URL(oneNode(url));
  return {
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
    host: hostname,
    port: port || '3306',
    name: pathname.slice(1),
  };
}

/** The same server's database of another name. */
export const beside = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

export function program(...names: string[]): string {
  if (!findProgram(...names)) installPackages(['mariadb-client'], 'MariaDB’s client');
  return findProgram(...names) ?? giveUp(`${names[0]} is not found.`);
}

/** Runs one of MariaDB’s own programs; the password stands in a file that nobody else may read, never in its arguments. */
export async function withClient<Result>(
  url: string,
  work: (file: string, address: Address) => Promise<Result>,
): Promise<Result> {
  const address = addressOf(url);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orderly-frost-'));
  const file = path.join(folder, 'client.cnf');
  const { user, password, host, port } = address;
  writeFileSync(
    file,
    `[client]\nuser=${user}\npassword="${password}"\nhost=${host}\nport=${port}\nprotocol=tcp\n`,
    { mode: 0o600 },
  );
  try {
    return await work(file, address);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

export const ended = (child: ReturnType<typeof spawn>, what: string): Promise<void> =>
  new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`${what} failed (${code}).`))));
  });

export async function withDb<Result>(
  url: string,
  work: (db: Connection) => Promise<Result>,
): Promise<Result> {
  const db = await createConnection({ uri: oneNode(url) });
  try {
    return await work(db);
  } finally {
    await db.end();
  }
}

export async function rowsOf<Row>(db: Connection, statement: string, values: unknown[] = []): Promise<Row[]> {
  const [rows] = await db.query(statement, values);
  return rows as Row[];
}

export async function tablesOf(db: Connection, name: string): Promise<string[]> {
  const rows = await rowsOf<{ name: string }>(
    db,
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? ORDER BY table_name`,
    [name],
  );
  return rows.map((row) => row.name);
}
