import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/machine.mjs';
import { get } from '../fixtures/api';
import { begin, endAll, noneLeft, processesOf, up } from '../fixtures/startedHouse';
import { waitFor } from '../fixtures/waitFor';

const serverOf = (folder: string): number | undefined =>
  processesOf(folder).find(({ told }) => told.includes('scripts/server.mjs'))?.pid;

it('a server that ends is started again, later each time; after five times in ten minutes the start says so and ends', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orderly-restart-'));
  try {
    const run = begin(folder, await freePort());
    const address = await up(run);
    const counted = (words: string): number => run.printed().split(words).length - 1;
    for (let nth = 1; nth <= 5; nth++) {
      const pid = serverOf(folder);
      if (pid === undefined) throw new Error(run.printed());
      process.kill(pid, 'SIGKILL');
      expect(await waitFor(() => counted('The server is back.') === nth)).toBe(true);
      expect((await get('/api/v1/health', address)).status).toBe(200);
      expect(counted('The server has ended')).toBe(nth);
    }
    expect(run.printed()).toContain('in 16 s');
    process.kill(serverOf(folder) ?? 0, 'SIGKILL');
    await run.ended;
    expect(run.printed()).toContain('ended 6 times in ten minutes');
    expect([run.child.exitCode, await noneLeft(folder)]).toEqual([1, []]);
  } finally {
    endAll(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});

it('two starts at once do not take each other for themselves: each has an address of its own', async () => {
  const folders = [0, 1].map(() => mkdtempSync(path.join(os.tmpdir(), 'orderly-twins-')));
  const port = await freePort();
  try {
    const runs = folders.map((folder) => begin(folder, port));
    const addresses = await Promise.all(runs.map(up));
    expect(new Set(addresses).size).toBe(2);
    for (const [nth, run] of runs.entries()) {
      run.child.kill('SIGTERM');
      await run.ended;
      // The other one is still there.
      if (nth === 0) expect((await get('/api/v1/health', addresses[1])).status).toBe(200);
    }
  } finally {
    for (const folder of folders) {
      endAll(folder);
      rmSync(folder, { recursive: true, force: true });
    }
  }
});
