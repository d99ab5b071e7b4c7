import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { createConnection } from 'mysql2/promise';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { backUp, backUpTonight, checkBackup, restore } from '../../scripts/backups';
import { command, get, line } from '../fixtures/api';
import { leftBy } from '../fixtures/leftBy';

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
  await backUp(database.url, path.join(folder, 'under-load.sql.gz'));
  over = true;
  await load;
  // Written in the middle of it, it is whole all the same.
  expect(await checkBackup(database.url, path.join(folder, 'under-load.sql.gz'))).toBeGreaterThan(100);
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
  await expect(restore(database.url, cut)).rejects.toThrow('no whole backup');
  expect(await exported()).toBe(before);
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
