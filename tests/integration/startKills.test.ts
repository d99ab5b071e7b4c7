import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/machine.mjs';
import { get } from '../fixtures/api';

const pause = (ms: number): Promise<void> => new Promise((wake) => setTimeout(wake, ms));

/** `npm start` over a folder of its own, with what it prints. */
function begin(
  folder: string,
  port: number,
): { child: ChildProcess; printed: () => string; ended: Promise<void> } {
  const { DATABASE_URL: _d, CLOCK: _c, CLOCK_FILE: _f, ...env } = process.env;
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    env: { ...env, ORDERLY_FROST_VAR: folder, PORT: String(port) },
  });
  let printed = '';
  for (const stream of [child.stdout, child.stderr])
    stream?.on('data', (chunk: Buffer) => (printed += chunk.toString()));
  const ended = new Promise<void>((done) => child.once('exit', () => done()));
  return { child, printed: () => printed, ended };
}

/** Processes that still speak of the folder, by what they were started with. */
function orphans(folder: string): string[] {
  return readdirSync('/proc').flatMap((pid) => {
    if (!/^\d+$/.test(pid) || Number(pid) === process.pid) return [];
    try {
      const told =
        readFileSync(`/proc/${pid}/cmdline`, 'utf8') + readFileSync(`/proc/${pid}/environ`, 'utf8');
      return told.includes(folder)
        ? [`${pid} ${readFileSync(`/proc/${pid}/cmdline`, 'utf8').slice(0, 80)}`]
        : [];
    } catch {
      return [];
    }
  });
}

async function noneLeft(folder: string): Promise<string[]> {
  for (let waited = 0; waited < 400 && orphans(folder).length > 0; waited++) await pause(100);
  return orphans(folder);
}

async function up(printed: () => string, ended: Promise<void>): Promise<string> {
  let over = false;
  void ended.then(() => (over = true));
  for (let waited = 0; waited < 1200 && !over; waited++) {
    const address = /Orderly Frost is at (\S+)/.exec(printed())?.[1];
    if (address) return address;
    await pause(100);
  }
  throw new Error(printed());
}

it('killed at any moment of its first start, it leaves nothing running, nothing half done, and starts the next time', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orderly-start-'));
  // Each goes on where the one before was killed: files, schema, reference, demo, server.
  const after = [700, 3000, 6500, 8000, 9500, 12_000];
  try {
    for (const [nth, ms] of after.entries()) {
      const run = begin(folder, await freePort());
      await Promise.race([pause(ms), run.ended]);
      run.child.kill(nth % 2 === 0 ? 'SIGKILL' : 'SIGTERM');
      await run.ended;
      expect([ms, await noneLeft(folder)]).toEqual([ms, []]);
    }
    const last = begin(folder, await freePort());
    const address = await up(last.printed, last.ended);
    expect((await get('/api/v1/health', address)).status).toBe(200);
    // The demo is whole: every step of its story stands in the ledger, once.
    const stock = (await get('/api/v1/stock?limit=1', address)).body.total;
    const { days, events, minutesAgo } = JSON.parse(readFileSync('data/demo/skerry-row.json', 'utf8'));
    const { entries } = (await get('/api/v1/ledger?limit=100', address)).body;
    expect(entries.length).toBe(days.length + events.length + minutesAgo.length);
    // A second start beside it waits, works, and shares the database.
    const second = begin(folder, await freePort());
    const other = await up(second.printed, second.ended);
    expect((await get('/api/v1/stock?limit=1', other)).body.total).toBe(stock);
    second.child.kill('SIGKILL');
    await second.ended;
    expect((await get('/api/v1/health', address)).status).toBe(200);
    last.child.kill('SIGTERM');
    await last.ended;
    expect(await noneLeft(folder)).toEqual([]);
    expect(existsSync(path.join(folder, 'mariadb', 'data', 'mysql'))).toBe(true);
  } finally {
    for (const left of orphans(folder)) process.kill(Number(left.split(' ')[0]), 'SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}, 400_000);
