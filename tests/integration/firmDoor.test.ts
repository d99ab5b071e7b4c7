import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { connect } from 'node:net';
import path from 'node:path';
import { BASE, command, get, line, post } from '../fixtures/api';
import { hostileRun } from '../fixtures/hostileRun';
import { waitFor } from '../fixtures/waitFor';

const API = path.resolve(__dirname, '../../src/app/api/v1');

/** Every address there is a file for, as the API page writes it. */
function routes(): string[] {
  return readdirSync(API, { recursive: true, encoding: 'utf8' })
    .filter((file) => path.basename(file) === 'route.ts')
    .map((file) => `/api/v1/${path.dirname(file).replaceAll(/\[(\w+)\]/g, '{$1}')}`)
    .sort();
}

interface Page {
  paths: Record<
    string,
    Record<string, { parameters?: { name: string; in: string }[]; requestBody?: unknown }>
  >;
}

const page = async (): Promise<Page> => (await get('/api/v1/openapi.json')).body as Page;
const filled = (address: string): string => address.replaceAll(/\{\w+\}/g, 'none');

describe('the API page and the routes', () => {
  it('name the same addresses', async () => {
    expect(Object.keys((await page()).paths).sort()).toEqual(routes());
  });

  it('take the methods that are told, and answer any other with Allow', async () => {
    for (const [address, operations] of Object.entries((await page()).paths)) {
      const [told = ''] = Object.keys(operations);
      for (const method of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE']) {
        if (method === told.toUpperCase()) continue;
        const response = await fetch(`${BASE}${filled(address)}`, { method });
        const { error } = (await response.json()) as { error: { code: string } };
        expect([address, method, response.status, error.code]).toEqual([
          address,
          method,
          405,
          'wrong-method',
        ]);
        expect(response.headers.get('allow')).toContain(told.toUpperCase());
      }
    }
  });

  it('take the queries that are told and no other, each once', async () => {
    for (const [address, operations] of Object.entries((await page()).paths)) {
      const { get: read, post: sent } = operations;
      const at = `${BASE}${filled(address)}`;
      const init = sent
        ? { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }
        : {};
      const odd = await fetch(`${at}?colour=red`, init);
      // What answers for itself whether it is well takes anything.
      if (address !== '/api/v1/health') {
        expect([address, odd.status]).toEqual([address, 400]);
        expect(((await odd.json()) as { error: { fields: unknown } }).error.fields).toContainEqual(
          expect.objectContaining({ path: 'colour' }),
        );
      }
      for (const { name, in: where } of read?.parameters ?? []) {
        if (where !== 'query') continue;
        const twice = await fetch(`${at}?${name}=1&${name}=1`);
        expect([address, name, twice.status]).toEqual([address, name, 400]);
      }
    }
  });
});

describe('an address', () => {
  it.each([
    ['/api/v1/foods/%', 400, 'invalid'],
    ['/api/%E0%A4%A', 400, 'invalid'],
    ['/api/v1/foods/', 404, 'not-found'],
    ['/api/v1/codes/%C3%A9', 404, 'not-found'],
    ['/api/v1/packages/%00', 404, 'not-found'],
    [`/api/v1/stock?q=${'x'.repeat(9000)}`, 414, 'too-long'],
    ['/api/v1/stock?limit=0', 400, 'invalid'],
    ['/api/v1/stock?limit=501', 400, 'invalid'],
    ['/api/v1/stock?limit=1.5', 400, 'invalid'],
    ['/api/v1/stock?state=warm', 400, 'invalid'],
    ['/api/v1/stock?zone=shelf', 400, 'invalid'],
    ['/api/v1/stock?after=yesterday', 400, 'invalid'],
    ['/api/v1/today?scope=room:Moon', 400, 'invalid'],
  ])('%# that cannot be', async (address, status, code) => {
    const response = await fetch(`${BASE}${address}`);
    expect(response.headers.get('content-type')).toMatch(/application\/json/);
    const { error } = (await response.json()) as { error: { code: string; message: string } };
    expect([response.status, error.code]).toEqual([status, code]);
    expect(error.message.length).toBeGreaterThan(10);
  });

  it('a search as long as a letter is cut, and finds nothing', async () => {
    const { status, body } = await get(`/api/v1/stock?q=${'lettuce '.repeat(600)}`);
    expect([status, Array.isArray(body.packages)]).toEqual([200, true]);
  });

  it('of a page that shows nothing here is a 404, never a 500', async () => {
    for (const address of [
      '/?scope=room:Moon',
      '/p/%C3%A9',
      '/p/XXXX',
      '/kitchen/foods/none',
      '/kitchen/draw/none',
      '/kitchen/chest/x',
    ])
      expect([address, (await fetch(`${BASE}${address}`)).status]).toEqual([address, 404]);
    for (const address of [
      '/stock?state=warm&zone=1&q=%F0%9F%90%9F',
      '/kitchen/draw?shape=tent&shape=cave',
      '/kitchen/foods?group=x',
    ])
      expect([address, (await fetch(`${BASE}${address}`)).status]).toEqual([address, 200]);
  });
});

describe('what a page may run', () => {
  it('is its own scripts, by a nonce that no two answers share', async () => {
    const seen = new Set<string>();
    for (let at = 0; at < 3; at++) {
      const response = await fetch(`${BASE}/`);
      const policy = response.headers.get('content-security-policy') ?? '';
      const nonce = /script-src 'self' 'nonce-([^']+)' 'strict-dynamic'/.exec(policy)?.[1] ?? '';
      expect(nonce).not.toBe('');
      expect(policy).toMatch(/default-src 'none'/);
      expect(policy).toMatch(/object-src 'none'/);
      expect(policy).toMatch(/base-uri 'none'/);
      expect(policy).toMatch(/frame-ancestors 'none'/);
      const html = await response.text();
      const scripts = [...html.matchAll(/<script\b[^>]*>/g)].map(([tag]) => tag);
      expect(scripts.length).toBeGreaterThan(5);
      expect(scripts.filter((tag) => !tag.includes(`nonce="${nonce}"`))).toEqual([]);
      expect(html).not.toMatch(/\son[a-z]+="/);
      seen.add(nonce);
    }
    expect(seen.size).toBe(3);
  });

  it('is told with the usual headers, on pages, on the API, and where it is turned away', async () => {
    for (const address of ['/', '/stock', '/nowhere', '/api/v1/today', '/api/v1/nowhere', '/api/v1/slip']) {
      const { headers } = await fetch(`${BASE}${address}`);
      expect([address, headers.get('x-content-type-options')]).toEqual([address, 'nosniff']);
      expect([address, headers.get('x-frame-options')]).toEqual([address, 'DENY']);
      expect([address, headers.get('referrer-policy')]).toEqual([address, 'no-referrer']);
      expect(headers.get('content-security-policy')).toMatch(/default-src 'none'/);
      expect(headers.get('x-powered-by')).toBeNull();
    }
    expect((await fetch(`${BASE}/api/%`)).headers.get('x-content-type-options')).toBe('nosniff');
  });
});

describe('a name', () => {
  const called = (name: string) =>
    command({ type: 'haul.store', lines: [line({ packs: 1, amount: 400, called: name })] });

  it.each([
    ['half a character', 'trout \ud83d'],
    ['a line break', 'trout\nDTSTART:20270101'],
    ['a line separator', 'trout\u2028DTSTART:20270101'],
    ['a paragraph separator', 'a\u2029b'],
    ['only blanks that look like letters', '\u3164\u3164'],
    ['only marks', '\u0301\u0301'],
    ['only joiners', '\u200d\u200d'],
    ['what only one machine knows', '\ue000'],
    ['a byte-order mark', 'a\ufeffb'],
  ])('with %s is refused, by its place', async (_what, name) => {
    const { status, body } = await called(name);
    expect([status, body.error.fields[0].path]).toEqual([400, 'lines.0.called']);
  });

  it('in any script people write is kept as it was typed', async () => {
    for (const name of [
      'سمك مدخن',
      'דג מעושן',
      '鯖の味噌煮',
      '김치찌개',
      'Ψάρι',
      'Щука',
      'मछली',
      '👩‍🍳 soup',
      'Kåldolmar',
    ])
      expect([name, (await called(name)).status]).toEqual([name, 200]);
  });

  it('cannot carry a key that JSON must not', async () => {
    const body = `{"id":"${randomUUID()}","type":"haul.store","lines":[],"__proto__":{"polluted":true}}`;
    expect((await post('/api/v1/commands', body)).status).toBe(400);
    const nested = `{"id":"${randomUUID()}","type":"haul.store","lines":[{"constructor":{"prototype":{}}}]}`;
    expect((await post('/api/v1/commands', nested)).status).toBe(400);
    const half = `{"id":"${randomUUID()}","type":"cut.prepare","expected":null,"ticked":["\\ud800"]}`;
    expect((await post('/api/v1/commands', half)).status).toBe(400);
  });
});

describe('sizes', () => {
  const lines = (count: number, packs: number) =>
    Array.from({ length: count }, () => line({ amount: packs * 100, packs, note: 'n'.repeat(60) }));

  it('a haul of 40,000 packages is refused, and one of the largest allowed size is stored whole', async () => {
    const before = (await get('/api/v1/stock?limit=1')).body.total as number;
    const far = await command({ type: 'haul.store', lines: lines(200, 200) });
    expect([far.status, far.body.error.code]).toEqual([413, 'too-large']);
    expect(far.body.error.message).toMatch(/40000 packages.*1000/);
    const largest = await command({ type: 'haul.store', lines: lines(200, 5) });
    expect(largest.status).toBe(200);
    expect(largest.body.answers[0].packages).toHaveLength(1000);
    expect((await get('/api/v1/stock?limit=1')).body.total).toBe(before + 1000);
    const undone = await command({ type: 'ledger.undo', command: largest.body.answers[0].id });
    expect(undone.status).toBe(200);
    expect((await get('/api/v1/stock?limit=1')).body.total).toBe(before);
  });

  it('a body that never ends is ended by the door', async () => {
    const { port } = new URL(BASE);
    const told = await new Promise<string>((resolve, reject) => {
      const socket = connect(Number(port), '127.0.0.1');
      let answer = '';
      socket.on('data', (chunk) => (answer += chunk.toString()));
      socket.once('error', reject);
      socket.once('close', () => resolve(answer));
      socket.write(
        `POST /api/v1/commands HTTP/1.1\r\nhost: localhost:${port}\r\ncontent-type: application/json\r\ncontent-length: 5000\r\n\r\n{"id":`,
      );
    });
    expect(told).toMatch(/^HTTP\/1\.1 (408|400)/);
    expect(told).toMatch(/"code":/);
  });
});

describe('one connection', () => {
  it('is answered two thousand requests that came in one go', async () => {
    const { port, hostname } = new URL(BASE);
    const asked = 2000;
    const answered = await new Promise<number>((done) => {
      const socket = connect(Number(port), hostname);
      let count = 0;
      socket.on('data', (chunk: Buffer) => {
        count += chunk.toString('latin1').split('HTTP/1.1 200').length - 1;
        if (count >= asked - 5) socket.end();
      });
      socket.on('close', () => done(count));
      socket.write(`GET /api/v1/health HTTP/1.1\r\nhost: localhost:${port}\r\n\r\n`.repeat(asked));
    });
    // A status line that is cut between two parts is not counted.
    expect(answered).toBeGreaterThanOrEqual(asked - 5);
    // Nor does the address have to wait for it afterwards.
    expect((await get('/api/v1/health')).status).toBe(200);
  });
});

describe('a page of a household that is named in a header', () => {
  it('is that household’s, and is kept for nobody who asks for another', async () => {
    const words = { name: `Header ${randomUUID().slice(0, 8)}`, time_zone: 'UTC', currency: 'EUR' };
    const { here } = (await get('/api/v1/households')).body as { here: number };
    const { id } = (await post('/api/v1/households/add', words)).body as { id: number };
    const pageOf = async (household?: number) => {
      const headers: Record<string, string> = { cookie: `orderly-frost-household=${here}` };
      if (household !== undefined) headers['x-orderly-frost-household'] = String(household);
      return (await fetch(`${BASE}/stock`, { headers })).text();
    };
    for (const household of [id, undefined, id, undefined])
      expect(await pageOf(household)).toContain(`data-household="${household ?? here}"`);
    await post('/api/v1/households/remove', { id, name: words.name });
  });
});

describe('told late', () => {
  const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  const store = (more: Record<string, unknown>) =>
    // Bought the day before: an hour and a half ago it may have been that.
    command({
      type: 'haul.store',
      lines: [line({ packs: 1, amount: 300, start: { did: 'bought', on: yesterday } })],
      ...more,
    });

  it('a command that says how long ago it was told is dated so, once, and answers the same again', async () => {
    const id = randomUUID();
    const before = Date.now();
    const first = await store({ id, ago_ms: 90 * 60_000 });
    expect(first.status).toBe(200);
    const again = await store({ id, ago_ms: 95 * 60_000 });
    expect(again.body).toEqual(first.body);
    const { entries } = (await get('/api/v1/ledger?limit=20')).body as {
      entries: { id: string; at: string }[];
    };
    const at = Date.parse(entries.find((entry) => entry.id === id)?.at ?? '');
    expect(Math.abs(before - 90 * 60_000 - at)).toBeLessThan(30_000);
    expect(entries.filter((entry) => entry.id === id)).toHaveLength(1);
    // An hour and a half on the counter is not forgotten: K10 counts from when it was told.
    const { code } = first.body.answers[0].packages[0] as { code: string };
    expect((await get(`/api/v1/packages/${code}`)).body.minutes_left).toBeLessThanOrEqual(31);
  });

  it('counts for what was split off since; its label and the rest of its lot are asked about once', async () => {
    const foods = { food: 'ham-sliced', called: 'Firm ham', start: { did: 'bought', on: yesterday } };
    const stored = await command({
      type: 'haul.store',
      lines: [line({ ...foods, packs: 2, amount: 600 })],
      ago_ms: 60 * 60_000,
    });
    type Pack = { id: string; code: string; version: number };
    const [one, other] = stored.body.answers[0].packages as [Pack, Pack];
    expect((await command({ type: 'labels.print', codes: [one.code] })).status).toBe(200);
    const on = { package: one.id, version: one.version };
    const split = await command({
      type: 'package.split',
      ...on,
      amounts: [100],
      pieces: 'closed',
      ago_ms: 20 * 60_000,
    });
    expect(split.status).toBe(200);
    const half = (split.body.answers[0].packages as Pack[]).find(({ id }) => id !== one.id);
    const told = { package: one.id, version: one.version + 1, ago_ms: 30 * 60_000 };
    expect((await command({ type: 'package.find', finding: 'bad', ...told })).status).toBe(200);
    expect((await get(`/api/v1/packages/${half?.code}`)).body).toMatchObject({ verdict: 'discard' });
    const jobs = async () =>
      (
        (await get('/api/v1/today')).body.jobs as {
          id: string;
          says: string;
          done: Record<string, unknown>;
        }[]
      ).filter(({ says }) => says.includes(one.code));
    const asked = await jobs();
    expect(asked.map(({ done }) => done.type).sort()).toEqual(['labels.print', 'lot.looked']);
    expect(asked.find(({ done }) => done.type === 'lot.looked')?.says).toContain(other.code);
    expect((await get(`/api/v1/packages/${one.code}`)).body.label_words).not.toBe('');
    for (const { done } of asked) expect((await command(done)).status).toBe(200);
    expect(await jobs()).toEqual([]);
  });

  it('when and how long ago are not told both, nor longer ago than a month', async () => {
    expect((await store({ at: new Date().toISOString(), ago_ms: 5 })).status).toBe(400);
    expect((await store({ ago_ms: 40 * 86_400_000 })).status).toBe(400);
    expect((await store({ ago_ms: -5 })).status).toBe(400);
  });
});

describe('heavy answers', () => {
  const FORECAST = {
    appliance: { kind: 'upright', litres: 300, fill: 0.6 },
    hours: 240,
    samples: 5000,
    openings: Array.from({ length: 60 }, (_, at) => ({ at_h: at * 4, seconds: 60 })),
  };

  it('others are answered while the largest forecasts are worked out', async () => {
    let over = false;
    const forecasts = Promise.all(
      [238, 239, 240].map((hours) => post('/api/v1/estimates/outage', { ...FORECAST, hours })),
    ).finally(() => (over = true));
    const during: boolean[] = [];
    for (let at = 0; at < 5; at++) {
      expect((await get('/api/v1/today')).status).toBe(200);
      during.push(over);
    }
    for (const { status, body } of await forecasts)
      expect([status, body.band.length > 10]).toEqual([200, true]);
    expect(during.filter((done) => !done).length).toBeGreaterThan(0);
  });

  it('a refusal in a worker keeps its rule; a forecast asked twice is the same twice', async () => {
    const small = { ...FORECAST, hours: 24, samples: 300, openings: [] };
    const [one, two] = await Promise.all([
      post('/api/v1/estimates/outage', small),
      post('/api/v1/estimates/outage', small),
    ]);
    expect(one.body).toEqual(two.body);
    const odd = await post('/api/v1/estimates/outage', { ...small, samples: 10 });
    expect([odd.status, odd.body.error.fields[0].path]).toEqual([400, 'samples']);
  });
});

describe('what was kept', () => {
  const shown = async (base = BASE): Promise<{ kept: boolean; html: string }> => {
    const response = await fetch(`${base}/stock?q=sorrel`);
    return { kept: response.headers.get('x-orderly-frost-page') === 'kept', html: await response.text() };
  };

  it('a page is kept until something goes through the door, and never shown after it', async () => {
    const first = await shown();
    // A minute may end between two of them, and a page is made anew then.
    expect(await waitFor(async () => (await shown()).kept)).toBe(true);
    const total = async (): Promise<number> => (await get('/api/v1/today')).body.total;
    const before = await total();
    const stored = await command({
      type: 'haul.store',
      lines: [line({ packs: 1, amount: 250, called: 'Sorrel kept anew', food: 'sorrel' })].map((one) => ({
        ...one,
        food: 'spinach',
      })),
    });
    expect(stored.status).toBe(200);
    const { code } = stored.body.answers[0].packages[0] as { code: string };
    const page = await fetch(`${BASE}/p/${code}`);
    expect([page.status, page.headers.get('x-orderly-frost-page')]).toEqual([200, null]);
    expect(await page.text()).toContain('Sorrel kept anew');
    expect(await total()).toBe(before + 1);
    await command({ type: 'ledger.undo', command: stored.body.answers[0].id });
    expect(await total()).toBe(before);
    expect(first.html).not.toContain('Sorrel kept anew');
  });
});

it('a thousand requests that mean no good: no 5xx, no HTML under /api, every error says what was wrong', async () => {
  const { wrong, statuses } = await hostileRun(BASE, 1000, 41);
  expect(wrong).toEqual([]);
  expect(Object.keys(statuses).length).toBeGreaterThan(5);
});
