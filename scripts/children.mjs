// What a run has started is written down at once under var/, so that it can be stopped however the run ends: by the run itself,
// or by the keeper that outlives it (keeper.mjs).
import { spawn } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { isAlive, ROOT, stopPid, VAR } from './machine.mjs';

/** When a process began, as the system counts it; a number that was used again is another process. `null`: not told here. */
export function bornAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

/** True when this very process still runs, not a stranger that got its number. */
export const isSame = ({ pid, born }) => isAlive(pid) && bornAt(pid) === (born ?? null);

const folderOf = (owner) => path.join(VAR, 'children', String(owner));

function write(name, record) {
  const folder = folderOf(process.pid);
  mkdirSync(folder, { recursive: true });
  writeFileSync(path.join(folder, name), JSON.stringify(record));
}

/** Writes a child down; it is forgotten when it ends. @returns the child */
export function remember(child) {
  if (child.pid === undefined) return child;
  write(`process-${child.pid}`, { pid: child.pid, born: bornAt(child.pid) });
  child.once('exit', () => rmSync(path.join(folderOf(process.pid), `process-${child.pid}`), { force: true }));
  return child;
}

/** Writes down that this run uses a private database. */
export function rememberDatabase(folder) {
  write(`database-${Buffer.from(folder).toString('base64url')}`, { database: folder });
}

let watched = false;

/** Has a keeper watch over this run: it ends what is left of it, also when the run is killed. */
export function watchOver() {
  if (watched) return;
  watched = true;
  const keeper = spawn(
    process.execPath,
    ['scripts/keeper.mjs', String(process.pid), bornAt(process.pid) ?? ''],
    {
      cwd: ROOT,
      detached: true,
      stdio: 'ignore',
    },
  );
  keeper.unref();
}

/** Stops what a run had started and leaves the databases it used. */
export async function cleanUp(owner) {
  const folder = folderOf(owner);
  let names = [];
  try {
    names = readdirSync(folder);
  } catch {
    return;
  }
  const records = names.flatMap((name) => {
    try {
      return [JSON.parse(readFileSync(path.join(folder, name), 'utf8'))];
    } catch {
      return [];
    }
  });
  await Promise.all(records.filter((one) => one.pid && isSame(one)).map(({ pid }) => stopPid(pid)));
  const { leaveMariadb } = await import('./mariadb.mjs');
  for (const { database } of records) if (database) await leaveMariadb(database, owner);
  rmSync(folder, { recursive: true, force: true });
}
