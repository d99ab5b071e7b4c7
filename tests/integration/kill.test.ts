import { type ChildProcess, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createConnection, type Connection } from 'mysql2/promise';
import { freePort } from '../../scripts/machine.mjs';
import { get, line, post } from '../fixtures/api';
import { waitFor } from '../fixtures/waitFor';

async function startServer(port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['scripts/server.mjs', '127.0.0.1', String(port)], {
    stdio: 'ignore',
    env: { ...process.env, NODE_ENV: 'production', PORT: String(port) },
  });
  const health = () => get('/api/v1/health', `http://localhost:${port}`).catch(() => null);
  if (await waitFor(async () => (await health())?.status === 200)) return child;
  child.kill('SIGKILL');
  throw new Error('the server did not start');
}

async function counts(
  db: Connection,
  id: string,
): Promise<{ commands: number; packages: number; events: number; lots: number }> {
  const [rows] = await db.query(
    `SELECT (SELECT COUNT(*) FROM command WHERE id = :id) AS commands,
            (SELECT COUNT(*) FROM lot WHERE command_id = :id) AS lots,
            (SELECT COUNT(*) FROM ledger_event WHERE command_id = :id) AS events,
            (SELECT COUNT(*) FROM package JOIN lot ON lot.id = package.lot_id WHERE lot.command_id = :id) AS packages`,
    { id },
  );
  return (rows as Awaited<ReturnType<typeof counts>>[])[0] as Awaited<ReturnType<typeof counts>>;
}

describe('a server killed in the middle of a haul', () => {
  it('leaves all fifty packages or none, with a ledger that agrees; sent again, they are there once', async () => {
    const db = await createConnection({ uri: process.env.DATABASE_URL ?? '', namedPlaceholders: true });
    const body = (id: string) => ({
      id,
      type: 'haul.store',
      lines: Array.from({ length: 10 }, () => line({ packs: 5 })),
    });
    const seen = new Set<number>();
    let haulMs = 0;
    // The first one is let through, and tells how long a haul takes; the others die at shares of that time.
    for (const share of [Infinity, 0, 0.2, 0.4, 0.6, 0.8, 0.95]) {
      const port = await freePort();
      const base = `http://localhost:${port}`;
      const server = await startServer(port);
      await post('/api/v1/commands', { id: randomUUID(), type: 'haul.store', lines: [line()] }, base);
      const id = randomUUID();
      const begun = Date.now();
      const sent = post('/api/v1/commands', body(id), base).catch(() => null);
      if (share === Infinity) {
        await sent;
        haulMs = Date.now() - begun;
      } else await new Promise((wake) => setTimeout(wake, haulMs * share));
      server.kill('SIGKILL');
      await sent;
      // The database rolls back when it notices that the connection is gone.
      await new Promise((wake) => setTimeout(wake, 300));
      const left = await counts(db, id);
      seen.add(left.packages);
      expect([
        { commands: 0, lots: 0, events: 0, packages: 0 },
        { commands: 1, lots: 10, events: 50, packages: 50 },
      ]).toContainEqual(left);
      expect((await post('/api/v1/commands', body(id))).status).toBe(200);
      expect(await counts(db, id)).toEqual({ commands: 1, lots: 10, events: 50, packages: 50 });
    }
    await db.end();
    expect(seen).toEqual(new Set([0, 50]));
  });
});
