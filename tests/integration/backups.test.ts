import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { createConnection } from 'mysql2/promise';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { backUp, backUpTonight } from '../../scripts/backups/backUp';
import { restore } from '../../scripts/backups/restore';
import { tryBackup } from '../../scripts/backups/tryBackup';
import { command, get, line } from '../fixtures/api';
import { leftBy } from '../fixtures/leftBy';
import { begin, endAll, up } from '../fixtures/startedHouse';

const folder = mkdtempSync(path.join(os.tmpdir(), 'backups-'));
let database: Awaited<ReturnType<typeof openThrowaway>>;
let base: string;
let pid: number | undefined;
/** Headers of a page of the demo. */
let headers: Record<string, string>;

const exported = async (): Promise<string> => {
  const response = await fetch(`${base}/api/v1/exchange/household`, { headers });
  return response.text();
};

beforeAll(async () => {
  database = await openThrowaway('backups');
  await prepareDatabase(database.url);
  const port = await freePort();
  base = `http://localhost:${port}`;
  pid = (await serve({ port, host: '127.0.0.1', url: database.url, quiet: true })).pid;
  headers = { 'x-orderly-frost-household': String((await get('/api/v1/households', base)).body.here) };
});
afterAll(async () => {
  if (pid) await stopPid(pid);
  await database.close();
  rmSync(folder, { recursive: true });
});

/** Stores and takes until it is told to end. @returns how often it was refused */
async function living(until: () => boolean): Promise<number> {
  let refused = 0;
  while (!until()) {
    const stored = await command({ type: 'haul.store', lines: [line({ amount: 400, packs: 1 })] }, base);
    // While the store is put in its place nothing may be lost that was acknowledged; refused may be.
    if (stored.status !== 200) refused += 1;
  }
  return refused;
}

it('is written and restored under load: the store is as it was, byte for byte, photos too; running servers see it at once', async () => {
  const photo = await fetch(`${base}/api/v1/photos`, {
    method: 'POST',
    headers: { 'content-type': 'image/png', ...headers },
    body: new Uint8Array(readFileSync('docs/simulated-waste.png')),
  });
  expect(photo.status).toBe(200);
  let over = false;
  const load = living(() => over);
  const packages = await backUp(database.url, path.join(folder, 'under-load.sql.gz'));
  over = true;
  await load;
  // Written in the middle of it, it is whole all the same.
  expect(packages).toBeGreaterThan(100);
  const before = await exported();
  const stock = (await get('/api/v1/stock?limit=1', base)).body.total as number;
  await backUp(database.url, path.join(folder, 'quiet.sql.gz'));
  await command({ type: 'haul.store', lines: [line({ amount: 400, packs: 3 })] }, base);
  expect((await get('/api/v1/stock?limit=1', base)).body.total).toBe(stock + 3);
  over = false;
  const more = living(() => over);
  await restore(database.url, path.join(folder, 'quiet.sql.gz'));
  over = true;
  await more;
  await restore(database.url, path.join(folder, 'quiet.sql.gz'));
  expect(await exported()).toBe(before);
  expect((await get('/api/v1/stock?limit=1', base)).body.total).toBe(stock);
  expect((await command({ type: 'haul.store', lines: [line()] }, base)).status).toBe(200);
});

it('every night one is kept, checked, for a fortnight; a broken file restores nothing', async () => {
  for (let day = 1; day <= 16; day++)
    writeFileSync(path.join(folder, `2026-11-${String(day).padStart(2, '0')}.sql.gz`), '');
  await backUpTonight(database.url, folder, '2026-11-17');
  const kept = readdirSync(folder).filter((name) => name.startsWith('2026'));
  expect([kept.length, kept.sort().at(0), kept.at(-1)]).toEqual([
    14,
    '2026-11-04.sql.gz',
    '2026-11-17.sql.gz',
  ]);
  const before = await exported();
  const whole = readFileSync(path.join(folder, '2026-11-17.sql.gz'));
  const cut = path.join(folder, 'cut.sql.gz');
  writeFileSync(cut, whole.subarray(0, whole.length - 2000));
  await expect(restore(database.url, cut)).rejects.toThrow('a whole backup');
  expect(await exported()).toBe(before);
});

/** The text of a backup and its manifest's line. */
function opened(file: string): { text: string; manifest: string } {
  const all = gunzipSync(readFileSync(file)).toString('utf8');
  const at = all.indexOf('-- Orderly Frost backup ');
  return { text: all.slice(0, at), manifest: all.slice(at) };
}

/** What is no backup of ours, and what it is told. */
const NO_BACKUPS: [name: string, make: (told: ReturnType<typeof opened>) => Buffer, says: RegExp][] = [
  [
    'anything that ends as a dump does',
    () => gzipSync('SELECT 1;\n-- Dump completed\n'),
    /is no part of a backup/,
  ],
  ['nothing but the last words', () => gzipSync('-- Dump completed on 2026-12-01\n'), /whole backup/],
  ['a dump without its manifest', ({ text }) => gzipSync(text), /whole backup/],
  [
    'another database',
    ({ text, manifest }) => gzipSync(`USE mysql;\n${text}${manifest}`),
    /is no part of a backup/,
  ],
  [
    'a statement behind the rows',
    ({ text, manifest }) => gzipSync(text.replace(/\);\n/, '); DROP DATABASE orderly_frost;\n') + manifest),
    /another statement/,
  ],
  [
    'a changed cell',
    ({ text, manifest }) => gzipSync(text.replace('Skerry Row', 'Skerry Tow') + manifest),
    /changed after it was written/,
  ],
  [
    'rows of something else behind it',
    ({ text, manifest }) => Buffer.concat([gzipSync(text + manifest), gzipSync('DELETE FROM package;\n')]),
    /follows its last line/,
  ],
  [
    'counts that are not so',
    ({ text, manifest }) => gzipSync(text + manifest.replace(/"package":\d+/, '"package":1')),
    /rows instead of 1/,
  ],
  [
    'a later version',
    ({ text, manifest }) => gzipSync(text + manifest.replace(/"version":"[^"]+"/, '"version":"99.0.0"')),
    /99\.0\.0/,
  ],
];

it('what is no whole backup of ours restores nothing, and the kitchen stays as it was', async () => {
  const file = path.join(folder, 'honest.sql.gz');
  await backUp(database.url, file);
  const { households, manifest } = await tryBackup(database.url, file, false);
  expect([households, manifest?.households]).toEqual([['Skerry Row'], ['Skerry Row']]);
  const before = await exported();
  const told = opened(file);
  for (const [name, make, says] of NO_BACKUPS) {
    const bad = path.join(folder, 'bad.sql.gz');
    writeFileSync(bad, make(told));
    const answer = await restore(database.url, bad).then(
      () => 'restored',
      (error: Error) => error.message,
    );
    expect([name, answer]).toEqual([name, expect.stringMatching(says)]);
    expect([name, await exported()]).toEqual([name, before]);
  }
  // Written before 0.14 it has no manifest: that has to be said.
  writeFileSync(path.join(folder, 'bare.sql.gz'), gzipSync(told.text));
  await restore(database.url, path.join(folder, 'bare.sql.gz'), true);
  expect(await exported()).toBe(before);
  // Whoever loads a backup may fill the trial database and nothing else.
  const loader = new URL(database.url);
  loader.username = 'orderly_loader';
  const db = await createConnection({ uri: loader.href.replace(/\/[^/]*$/, '/') });
  await expect(db.query('SELECT * FROM orderly_frost.package')).rejects.toThrow('denied');
  await db.end();
});

it('on a fresh machine one command restores; who was ended, and codes that were used, stay so', async () => {
  const db = await createConnection({ uri: database.url });
  const add = (name: string) =>
    db.query(`INSERT INTO member (id, name, secret, made_at) SELECT UUID(), ?, 'x', UTC_TIMESTAMP(3)`, [
      name,
    ]);
  for (const name of ['Maren', 'Lise']) await add(name);
  await db.query(
    `INSERT INTO membership (household_id, member_id, role) SELECT (SELECT MIN(id) FROM household), id, 'cook' FROM member`,
  );
  await db.query(
    `INSERT INTO invitation (code_digest, household_id, role, ends_at)
     SELECT REPEAT('a', 64), MIN(id), 'cook', UTC_TIMESTAMP(3) + INTERVAL 1 DAY FROM household`,
  );
  const file = path.join(folder, 'keys.sql.gz');
  await backUp(database.url, file);
  await db.query(`DELETE FROM member WHERE name = 'Lise'`);
  await db.query('DELETE FROM invitation');
  await restore(database.url, file);
  const names = async (url: string) => {
    const here = await createConnection({ uri: url });
    const [rows] = await here.query(
      `SELECT name FROM member UNION ALL SELECT code_digest FROM invitation ORDER BY 1`,
    );
    await here.end();
    return (rows as { name: string }[]).map((row) => row.name);
  };
  expect(await names(database.url)).toEqual(['Maren']);
  await db.end();

  const fresh = mkdtempSync(path.join(os.tmpdir(), 'fresh-machine-'));
  const { DATABASE_URL: _url, ...env } = process.env;
  try {
    const run = spawnSync(process.execPath, ['scripts/backup.mjs', 'restore', file, '--yes'], {
      env: { ...env, ORDERLY_FROST_VAR: fresh },
      encoding: 'utf8',
    });
    expect([run.status, run.stdout]).toEqual([0, expect.stringContaining('Restored: Skerry Row')]);
    const start = begin(fresh, await freePort());
    const address = await up(start);
    const { body } = await get('/api/v1/stock?limit=1', address);
    expect(body.total).toBe((await get('/api/v1/stock?limit=1', base)).body.total);
    start.child.kill('SIGTERM');
    await start.ended;
  } finally {
    endAll(fresh);
    rmSync(fresh, { recursive: true, force: true });
  }
});

it('a backup of a database that 0.4 left restores into this version', async () => {
  const old = database.url.replace(/\/[^/]*$/, '/orderly_frost_old');
  const db = await createConnection({ uri: database.url });
  await db.query('CREATE DATABASE orderly_frost_old CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
  await db.query('USE orderly_frost_old');
  for (const statement of leftBy('0.4')) await db.query(statement);
  const [rows] = await db.query('SELECT COUNT(*) AS packages FROM package WHERE here');
  await db.end();
  const file = path.join(folder, '0.4.sql.gz');
  await backUp(old, file);
  await restore(database.url, file);
  const { total } = (await get('/api/v1/stock?limit=1', base)).body as { total: number };
  expect(total).toBe((rows as { packages: number }[])[0]?.packages);
  expect((await get('/api/v1/health', base)).body.migrations).toBe('current');
  expect((await command({ type: 'haul.store', lines: [line()] }, base)).status).toBe(200);
});
