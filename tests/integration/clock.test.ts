import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { command, get, line } from '../fixtures/api';

it('keeps every event in order when the clock of the machine is set back, and notes it in the ledger', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'clock-'));
  const file = path.join(folder, 'now');
  const set = (instant: string): void => writeFileSync(file, instant);
  const database = await openThrowaway('clock');
  let server: Awaited<ReturnType<typeof serve>> | null = null;
  try {
    await prepareDatabase(database.url);
    const port = await freePort();
    const far = new Date(Date.now() + 40 * 86_400_000);
    set(far.toISOString());
    server = await serve({
      port,
      host: '127.0.0.1',
      url: database.url,
      env: { CLOCK_FILE: file },
      quiet: true,
    });
    const base = `http://localhost:${port}`;
    const day = far.toISOString().slice(0, 10);
    const milk = line({
      food: 'milk',
      amount: 1000,
      unit: 'ml',
      packs: 1,
      start: { did: 'bought', on: day },
    });
    const stored = await command({ type: 'haul.store', lines: [milk] }, base);
    const { id, code } = stored.body.answers[0].packages[0];
    set(new Date(far.getTime() - 5 * 3_600_000 - 86_400_000).toISOString());
    const opened = await command({ type: 'package.open', package: id, version: 1 }, base);
    expect(opened.status).toBe(200);
    const taken = await command({ type: 'package.take', package: id, version: 2, amount: 200 }, base);
    expect(taken.status).toBe(200);
    const { entries } = (await get('/api/v1/ledger?limit=3', base)).body;
    expect(entries.map(({ id: entry }: { id: string }) => entry)).toEqual([
      taken.body.answers[0].id,
      opened.body.answers[0].id,
      stored.body.answers[0].id,
    ]);
    expect(entries[1].note).toMatch(/went back 29 hours/);
    expect(entries[2].note).toBe('');
    expect((await get(`/api/v1/packages/${code}`, base)).body).toMatchObject({ opened: true, amount: 800 });
  } finally {
    if (server?.pid) await stopPid(server.pid);
    await database.close();
    rmSync(folder, { recursive: true });
  }
}, 120_000);
