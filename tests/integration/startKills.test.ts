import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/machine.mjs';
import { get } from '../fixtures/api';
import { killRun } from '../fixtures/killRun';
import { begin, endAll, noneLeft, up } from '../fixtures/startedHouse';
import { pause } from '../fixtures/waitFor';

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
    const address = await up(last);
    expect((await get('/api/v1/health', address)).status).toBe(200);
    // The demo is whole: every step of its story stands in the ledger, once.
    const stock = (await get('/api/v1/stock?limit=1', address)).body.total;
    const { days, events, minutesAgo } = JSON.parse(readFileSync('data/demo/skerry-row.json', 'utf8'));
    const { entries } = (await get('/api/v1/ledger?limit=100', address)).body;
    expect(entries.length).toBe(days.length + events.length + minutesAgo.length);
    // A second start beside it waits, works, and shares the database.
    const second = begin(folder, await freePort());
    const other = await up(second);
    expect((await get('/api/v1/stock?limit=1', other)).body.total).toBe(stock);
    second.child.kill('SIGKILL');
    await second.ended;
    expect((await get('/api/v1/health', address)).status).toBe(200);
    last.child.kill('SIGTERM');
    await last.ended;
    expect(await noneLeft(folder)).toEqual([]);
    expect(existsSync(path.join(folder, 'mariadb', 'data', 'mysql'))).toBe(true);
  } finally {
    endAll(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});

it('killed at random, start, server or database: nothing is lost, doubled, half done or left running', async () => {
  const told: string[] = [];
  const { kills, wrong } = await killRun(9, 26, (line) => told.push(line));
  expect(wrong).toEqual([]);
  expect(kills).toBe(9);
});
