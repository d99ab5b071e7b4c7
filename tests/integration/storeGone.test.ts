import { randomUUID } from 'node:crypto';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { command, get, line } from '../fixtures/api';
import { waitFor } from '../fixtures/waitFor';

interface Copies {
  /** Addresses of two server copies over one store. */
  bases: [string, string];
  store: number;
}

/** Two copies of the server over a store of their own. */
async function withCopies(
  name: string,
  env: Record<string, string>,
  work: (copies: Copies) => Promise<void>,
) {
  const database = await openThrowaway(name);
  const pids: number[] = [];
  try {
    await prepareDatabase(database.url);
    const bases: string[] = [];
    for (let copy = 0; copy < 2; copy++) {
      const port = await freePort();
      const { pid } = await serve({ port, host: '127.0.0.1', url: database.url, env, quiet: true });
      if (pid !== undefined) pids.push(pid);
      bases.push(`http://localhost:${port}`);
    }
    await work({ bases: bases as [string, string], store: database.pid ?? 0 });
  } finally {
    await Promise.all(pids.map((pid) => stopPid(pid)));
    await database.close();
  }
}

const pages = ['/', '/stock', '/ledger', '/kitchen', '/p/XXXX'];
const reads = [
  '/api/v1/health',
  '/api/v1/today',
  '/api/v1/stock',
  '/api/v1/ledger',
  '/api/v1/vocabulary',
  '/api/v1/slip',
];

it('a store that hangs: every request is answered all the same, pages say so in their status, and it comes back', async () => {
  await withCopies('hang', { ORDERLY_FROST_QUERY_MS: '6000' }, async ({ bases: [base], store }) => {
    for (const address of [...pages.slice(0, 4), ...reads])
      expect([address, (await fetch(`${base}${address}`)).status]).toEqual([address, 200]);
    const id = randomUUID();
    const told = { id, type: 'haul.store', lines: [line({ packs: 1, amount: 400 })] };
    process.kill(store, 'SIGSTOP');
    try {
      // Many at once, so that some wait for a connection that others hold.
      const asked = [...pages, ...reads, ...pages, ...reads].map(async (address) => {
        const response = await fetch(`${base}${address}`, { signal: AbortSignal.timeout(300_000) });
        return [address, response.status, (await response.text()).length > 0];
      });
      const stored = command(told, base);
      for (const [address, status, words] of await Promise.all(asked))
        expect([address, status, words]).toEqual([address, 503, true]);
      const { status, body } = await stored;
      expect([status, ['database-gone', 'not-known'].includes(body.error.code)]).toEqual([503, true]);
      const html = await (await fetch(`${base}/`)).text();
      expect(html).toContain('The store cannot be reached');
    } finally {
      process.kill(store, 'SIGCONT');
    }
    expect(await waitFor(async () => (await get('/api/v1/health', base)).status === 200)).toBe(true);
    const before = (await get('/api/v1/stock?limit=1', base)).body.total as number;
    // Asked again with the same id, it is there once, whether or not the first try had arrived.
    expect((await command(told, base)).status).toBe(200);
    expect((await command(told, base)).status).toBe(200);
    const after = (await get('/api/v1/stock?limit=1', base)).body.total as number;
    expect(after - before).toBeLessThanOrEqual(1);
    expect((await fetch(`${base}/`)).status).toBe(200);
  });
});

/** As of a device that went through a door before. */
const WENT_THROUGH = { cookie: 'orderly-frost-household=1' };

it('what one server copy keeps is old as soon as something goes through the door of another', async () => {
  await withCopies('copies', {}, async ({ bases: [one, two] }) => {
    const total = async (base: string): Promise<number> => (await get('/api/v1/today', base)).body.total;
    const shows = async (base: string, words: string): Promise<boolean> =>
      (await (await fetch(`${base}/`, { headers: WENT_THROUGH })).text()).includes(words);
    const before = await total(two);
    expect(await shows(two, 'Gurnard of today')).toBe(false);
    const { body } = await command(
      { type: 'haul.store', lines: [line({ packs: 1, amount: 400, called: 'Gurnard of today' })] },
      one,
    );
    expect(await total(two)).toBe(before + 1);
    expect(await shows(two, 'Gurnard of today')).toBe(true);
    // Caution set at the one is what the other stores by, and its zones are those drawn there.
    const { zones } = (await get('/api/v1/zones', one)).body as {
      zones: { id: string; name: string; cold?: string }[];
    };
    const zone = zones.find(({ name }) => name === 'Top shelf') ?? zones[0];
    const measured = await command({ type: 'zone.measure', zone: zone?.id, celsius: 7 }, two);
    expect(measured.status).toBe(200);
    const seen = (await get('/api/v1/today', one)).body.appliances.flatMap(
      ({ zones: inside }: { zones: { id: string; temperature_c: number }[] }) => inside,
    ) as { id: string; temperature_c: number }[];
    expect(seen.find(({ id }) => id === zone?.id)?.temperature_c).toBe(7);
    await command({ type: 'ledger.undo', command: body.answers[0].id }, two);
    expect(await shows(one, 'Gurnard of today')).toBe(false);
    expect(await total(one)).toBe(before);
  });
});

it('whoever asks too often is told to wait, and how long', async () => {
  await withCopies('often', { MOST_REQUESTS_A_MINUTE: '40' }, async ({ bases: [other, base] }) => {
    const statuses: number[] = [];
    let last: Response | null = null;
    for (let at = 0; at < 60; at++) {
      last = await fetch(`${base}/api/v1/zones`);
      await last.arrayBuffer();
      statuses.push(last.status);
    }
    expect(statuses.filter((status) => status === 200).length).toBeLessThanOrEqual(40);
    expect(statuses.at(-1)).toBe(429);
    expect(Number(last?.headers.get('retry-after'))).toBeGreaterThan(0);
    const refused = await get('/api/v1/zones', base);
    expect(refused.body.error.code).toBe('too-often');
    expect(refused.body.error.message).toMatch(/Wait \d+ seconds/);
    // A page is turned away in the same words.
    expect((await fetch(`${base}/`)).status).toBe(429);
    // The other copy has heard of it.
    let there = 200;
    for (let asked = 0; there === 200 && asked < 20; asked++)
      there = (await get('/api/v1/zones', other)).status;
    expect(there).toBe(429);
  });
});
