import { spawn } from 'node:child_process';
import { freePort } from '../../scripts/machine.mjs';
import { waitFor } from '../fixtures/waitFor';

interface Line {
  id: string;
  method: string;
  path: string;
  status: number;
  ms: number;
}

it('is watched: parts of its health, figures in the usual text, a log line a request with an id and no secret', async () => {
  const port = await freePort();
  const base = `http://localhost:${port}`;
  const child = spawn(process.execPath, ['scripts/server.mjs', '127.0.0.1', String(port)], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      LOGS: 'all',
      TRUST_PROXY: '1',
      METRICS_KEY: 'figures-key',
    },
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  let told = '';
  child.stderr.on('data', (chunk: Buffer) => (told += chunk.toString()));
  try {
    await waitFor(() => fetch(`${base}/api/v1/health`).catch(() => null));
    const health = await (await fetch(`${base}/api/v1/health`)).json();
    expect(health).toMatchObject({
      database: 'reached',
      migrations: 'current',
      parts: { database: { state: 'good' }, disk: {}, clock: { state: 'good' }, workers: { state: 'good' } },
    });
    const mine = await fetch(`${base}/calendar.ics?key=very-secret-key`, {
      headers: { 'x-request-id': 'from-the-proxy-1', cookie: 'orderly-frost-key=secret-token' },
    });
    expect(mine.headers.get('x-request-id')).toBe('from-the-proxy-1');
    await fetch(`${base}/api/v1/keys/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-request-id': 'bad id\u0009' },
      body: JSON.stringify({ name: 'Maren', password: 'secret-password' }),
    });
    const figures = await fetch(`${base}/metrics`, { headers: { authorization: 'Bearer figures-key' } });
    const text = await figures.text();
    expect(figures.headers.get('content-type')).toContain('text/plain');
    expect(text).toMatch(/^orderly_frost_request_seconds_count\{.*place="\/api\/v1\/health".*\} \d+$/m);
    expect(text).toContain('orderly_frost_database_up 1');
    // Addresses that somebody made up make no figure of their own; a key of other bytes is a wrong one.
    for (let nth = 0; nth < 50; nth++) await fetch(`${base}/made-up-${nth}/x`);
    await fetch(`${base}/p/KT47`);
    const after = await (
      await fetch(`${base}/metrics`, { headers: { authorization: 'Bearer figures-key' } })
    ).text();
    expect([after.includes('made-up'), after.includes('KT47'), after.includes('place="unknown"')]).toEqual([
      false,
      false,
      true,
    ]);
    const odd = await fetch(`${base}/metrics`, { headers: { authorization: 'Bearer figures-k\u00e9y' } });
    expect(odd.status).toBe(404);
    // Without its key it is an address like any other: there is no such page.
    const strangers: Record<string, string>[] = [
      {},
      { authorization: 'Bearer figures-kez' },
      { 'x-forwarded-for': '127.0.0.1' },
    ];
    for (const headers of strangers) expect((await fetch(`${base}/metrics`, { headers })).status).toBe(404);
    const logged = (): Line[] =>
      told
        .split('\n')
        .filter((line) => line.startsWith('{') && line.endsWith('}'))
        .map((line) => JSON.parse(line) as Line);
    expect(await waitFor(() => logged().filter(({ path }) => path === '/metrics').length === 6)).toBe(true);
    const lines = logged();
    expect(lines.find(({ path }) => path === '/calendar.ics')).toMatchObject({
      id: 'from-the-proxy-1',
      method: 'GET',
      status: 404,
      ms: expect.any(Number),
    });
    expect(lines.find(({ path }) => path === '/api/v1/keys/sign-in')?.id).toMatch(/^[0-9a-f-]{36}$/);
    expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
    expect(told).not.toMatch(/very-secret-key|secret-token|secret-password|figures-key/);
  } finally {
    child.kill('SIGTERM');
    await new Promise((done) => child.once('exit', done));
  }
});
