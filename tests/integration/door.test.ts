import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import { createConnection } from 'mysql2/promise';
import { packageCode } from '@/core/labels/packageCode';
import { BASE, command, get, line, post } from '../fixtures/api';

async function storeOne(more: Record<string, unknown> = {}) {
  const { body } = await command({ type: 'haul.store', lines: [line({ packs: 1, amount: 400, ...more })] });
  return body.answers[0].packages[0] as { id: string; code: string; version: number };
}

const count = async (): Promise<number> => (await get('/api/v1/stock?limit=1')).body.total;

describe('the same command again', () => {
  it('answers as the first time and stores once', async () => {
    const before = await count();
    const same = { id: randomUUID(), type: 'haul.store', lines: [line()] };
    const first = await command(same);
    const second = await command(same);
    expect(first.status).toBe(200);
    expect(second).toEqual(first);
    expect(await count()).toBe(before + 4);
    const other = await command({ ...same, lines: [line({ packs: 2 })] });
    expect([other.status, other.body.error.code]).toEqual([409, 'id-used']);
  });

  it('stores once when twenty copies come at the same moment', async () => {
    const before = await count();
    const same = { id: randomUUID(), type: 'haul.store', lines: [line()] };
    const answers = await Promise.all(Array.from({ length: 20 }, () => command(same)));
    expect(answers.map(({ status }) => status)).toEqual(Array(20).fill(200));
    expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1);
    expect(await count()).toBe(before + 4);
  });

  it('lets many different hauls in at once, each with codes of its own', async () => {
    const answers = await Promise.all(
      Array.from({ length: 12 }, () => command({ type: 'haul.store', lines: [line()] })),
    );
    const codes = answers.flatMap(({ body }) =>
      body.answers[0].packages.map((found: { code: string }) => found.code),
    );
    expect(new Set(codes).size).toBe(48);
  });
});

it('a code that is on a label already is kept when it is free, and is never on two packages', async () => {
  const db = await createConnection({ uri: process.env.DATABASE_URL ?? '' });
  const [[{ next }]] = (await db.query('SELECT MAX(next_code) AS next FROM household')) as unknown as [
    [{ next: number }],
  ];
  await db.end();
  const [code, other] = [packageCode(next + 40), packageCode(next + 41)];
  const stored = await storeOne({ code });
  expect(stored.code).toBe(code);
  const refusals: [Record<string, unknown>, number, string][] = [
    [{ code }, 422, `${code} is a package`],
    [{ code: other, packs: 2 }, 422, 'One code is on one pack'],
    [{ code: 'ZZ999999' }, 422, 'is no code of a package'],
    [{ code: 'no code' }, 400, 'code'],
    [{ code: other, counter_since: '2199-01-01T00:00:00Z' }, 422, 'a time to come'],
  ];
  for (const [more, status, says] of refusals) {
    const told = line({ packs: 1, amount: 400, ...more });
    const { status: is, body } = await command({ type: 'haul.store', lines: [told] });
    expect([more, is, JSON.stringify(body)]).toEqual([more, status, expect.stringContaining(says)]);
  }
  const twice = [line({ packs: 1, code: other }), line({ packs: 1, code: other })];
  const { body } = await command({ type: 'haul.store', lines: twice });
  expect(body.error.message).toBe(`${other} stands on two packages.`);
  // What is cooked is new: it has no label yet.
  const cooked = { type: 'package.cook', package: stored.id, version: 1, amount: null };
  const into = line({ food: 'stew', packs: 1, code: other });
  expect((await command({ ...cooked, into })).body.error.fields).toEqual([
    expect.objectContaining({ path: 'into.code' }),
  ]);
  // Those that come next pass over it.
  const next48 = await command({ type: 'haul.store', lines: [line({ packs: 48, amount: 4800 })] });
  const codes = next48.body.answers[0].packages.map((found: { code: string }) => found.code);
  expect(codes).not.toContain(code);
  const counted = { package: stored.id, version: 1 };
  expect((await command({ type: 'package.relabel', ...counted })).status).toBe(200);
  // Its old label still finds it, so no other package gets that.
  const late = await command({ type: 'haul.store', lines: [line({ packs: 1, code })] });
  expect(late.status).toBe(422);
});

describe('versions, refusals, lists', () => {
  it('answers 409 with the present state to a stale version', async () => {
    const { id, version, code } = await storeOne({ food: 'milk', unit: 'ml' });
    expect((await command({ type: 'package.open', package: id, version })).status).toBe(200);
    const stale = await command({ type: 'package.take', package: id, version });
    expect([stale.status, stale.body.error.code, stale.body.error.present]).toMatchObject([
      409,
      'stale',
      { code, version: 2 },
    ]);
  });

  it('names the rule that refuses, and changes nothing', async () => {
    const { id, version } = await storeOne({ food: 'milk', unit: 'ml' });
    await command({ type: 'package.open', package: id, version });
    const again = await command({ type: 'package.open', package: id, version: 2 });
    expect([again.status, again.body.error.rule]).toEqual([422, 'K4']);
  });

  it('runs a list all or nothing', async () => {
    const before = await count();
    const ledgerBefore = (await get('/api/v1/ledger?limit=1')).body.entries[0].id;
    const { status } = await post('/api/v1/commands', [
      { id: randomUUID(), type: 'haul.store', lines: [line()] },
      { id: randomUUID(), type: 'package.open', package: randomUUID(), version: 1 },
    ]);
    expect(status).toBe(404);
    expect(await count()).toBe(before);
    expect((await get('/api/v1/ledger?limit=1')).body.entries[0].id).toBe(ledgerBefore);
  });

  it('a list whose first commands were run before answers them as then, and runs the rest', async () => {
    const before = (await get('/api/v1/stock?limit=1')).body.total;
    const some = [1, 2, 3].map((packs) => ({
      id: randomUUID(),
      type: 'haul.store',
      lines: [line({ packs })],
    }));
    const first = await post('/api/v1/commands', some.slice(0, 2));
    const all = await post('/api/v1/commands', some);
    expect([first.status, all.status]).toEqual([200, 200]);
    expect(all.body.answers.slice(0, 2)).toEqual(first.body.answers);
    expect((await get('/api/v1/stock?limit=1')).body.total).toBe(before + 6);
    const other = await post('/api/v1/commands', [{ ...some[0], lines: [line({ packs: 4 })] }]);
    expect([other.status, other.body.error.code]).toEqual([409, 'id-used']);
  });

  it('an address that is none answers JSON, whatever the method', async () => {
    for (const method of ['GET', 'POST', 'PUT', 'DELETE']) {
      const response = await fetch(`${BASE}/api/v2/nothing/here`, { method });
      expect([response.status, (await response.json()).error.code]).toEqual([404, 'not-found']);
    }
  });

  it('undoes to the exact earlier state, once, and says why when it cannot', async () => {
    const { id, code } = await storeOne({ food: 'milk', unit: 'ml', amount: 1000, price_minor: 199 });
    const before = (await get(`/api/v1/packages/${code}`)).body;
    const taken = await command({ type: 'package.take', package: id, version: 1, amount: 250 });
    const undo = { type: 'ledger.undo', command: taken.body.answers[0].id };
    expect((await command(undo)).status).toBe(200);
    const after = (await get(`/api/v1/packages/${code}`)).body;
    expect({ ...after, version: 0 }).toEqual({ ...before, version: 0 });
    const twice = await command(undo);
    expect([twice.status, twice.body.error.rule]).toEqual([422, 'undo']);
    const part = await command({ type: 'package.take', package: id, version: 3, amount: 100 });
    await command({ type: 'package.find', finding: 'turning', package: id, version: 4 });
    const late = await command({ type: 'ledger.undo', command: part.body.answers[0].id });
    expect([late.status, late.body.error.message]).toEqual([422, expect.stringContaining('changed since')]);
  });
});

describe('what the door turns away', () => {
  const good = { type: 'haul.store', lines: [line()] };
  it.each<[string, Record<string, unknown>, number, string]>([
    ['an unknown command', { type: 'package.vanish' }, 400, 'type'],
    ['an unknown key', { ...good, colour: 'red' }, 400, 'colour'],
    ['an unknown food', { ...good, lines: [line({ food: 'unicorn' })] }, 422, 'food'],
    ['zero', { ...good, lines: [line({ amount: 0 })] }, 400, 'lines.0.amount'],
    ['less than nothing', { ...good, lines: [line({ amount: -5 })] }, 400, 'lines.0.amount'],
    ['a tonne', { ...good, lines: [line({ amount: 1_000_000 })] }, 400, 'lines.0.amount'],
    ['500 packs', { ...good, lines: [line({ packs: 500 })] }, 400, 'lines.0.packs'],
    [
      'a date that does not exist',
      { ...good, lines: [line({ start: { did: 'bought', on: '2026-02-30' } })] },
      400,
      'lines.0.start.on',
    ],
    [
      'markup in a name',
      { ...good, lines: [line({ called: '<img src=x onerror=alert(1)>' })] },
      400,
      'lines.0.called',
    ],
    [
      'letters that turn the line around',
      { ...good, lines: [line({ called: 'a\u202Eb' })] },
      400,
      'lines.0.called',
    ],
    ['an id that is no id', { ...good, id: 'me' }, 400, 'id'],
    ['a time to come', { ...good, at: '2999-01-01T00:00:00Z' }, 400, 'at'],
  ])('%s', async (_what, body, status, path) => {
    const before = await count();
    const answer = await command(body);
    expect(answer.status).toBe(status);
    expect(answer.body.error.fields).toContainEqual(expect.objectContaining({ path }));
    expect(JSON.stringify(answer.body)).not.toMatch(/\bat .*\.(js|ts):\d+/);
    expect(await count()).toBe(before);
  });

  it('keeps harmless odd names as they are: quotes, SQL, emoji, right to left', async () => {
    const odd = "Robert'); DROP TABLE package;-- 🐟 سمك";
    const { code } = await storeOne({ called: odd });
    expect((await get(`/api/v1/packages/${code}`)).body.food.name).toBe(odd);
  });

  it('what is not JSON, too large, or of another kind', async () => {
    expect((await post('/api/v1/commands', '{"id":')).status).toBe(400);
    expect((await post('/api/v1/commands', 'null')).status).toBe(400);
    expect((await post('/api/v1/commands', '[]')).status).toBe(400);
    expect((await post('/api/v1/commands', JSON.stringify({ id: 'x'.repeat(2_000_000) }))).status).toBe(413);
    expect((await post('/api/v1/commands', 'a=b', BASE, { 'content-type': 'text/plain' })).status).toBe(415);
  });

  it('another site’s page and a foreign Host header', async () => {
    const foreign: Record<string, string>[] = [
      { origin: 'http://evil.example' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { origin: 'null' },
    ];
    for (const headers of foreign) {
      const { status, body } = await post('/api/v1/commands', good, BASE, headers);
      expect([status, body.error.code]).toEqual([403, 'foreign-site']);
    }
    const { port } = new URL(BASE);
    const status = await new Promise<number | undefined>((resolve, reject) => {
      request(
        { host: '127.0.0.1', port, path: '/api/v1/stock', headers: { host: 'kitchen.example' } },
        (response) => {
          response.resume();
          resolve(response.statusCode);
        },
      )
        .on('error', reject)
        .end();
    });
    expect(status).toBe(403);
  });

  it('zones and packages of another household', async () => {
    const db = await createConnection({ uri: process.env.DATABASE_URL ?? '', namedPlaceholders: true });
    const [appliance, zone] = [randomUUID(), randomUUID()];
    const [made] = await db.query(
      "INSERT INTO household (name, time_zone, currency) VALUES ('Next door', 'Europe/Dublin', 'EUR')",
    );
    const { insertId } = made as { insertId: number };
    const part = { id: randomUUID(), name: '', cold: 'fridge', widthMm: 400, heightMm: 400, depthMm: 300 };
    await db.query(
      "INSERT INTO appliance (id, household_id, name, room, shape, position) VALUES (:appliance, :insertId, 'Fridge', 'Hall', 'fridge', 0)",
      { appliance, insertId },
    );
    await db.query(
      `INSERT INTO compartment (id, household_id, appliance_id, position, cold, width_mm, height_mm, depth_mm)
       VALUES (:id, :insertId, :appliance, 0, 'fridge', 400, 400, 300)`,
      { id: part.id, insertId, appliance },
    );
    await db.query(
      `INSERT INTO zone (id, household_id, appliance_id, compartment_id, name, kind, position, litres, width_mm, depth_mm,
                         height_mm, temperature_c, rules)
       VALUES (:zone, :insertId, :appliance, :id, 'Shelf', 'shelf', 0, 30, 400, 300, 200, 4, '{}')`,
      { zone, insertId, appliance, id: part.id },
    );
    const theirs = {
      id: appliance,
      name: 'Ours now',
      room: 'Hall',
      shape: 'fridge',
      compartments: [part],
      zones: [],
    };
    // An id means nothing outside of its household: what is drawn under it here is ours, and theirs stays as it is.
    const taken = await command({ type: 'appliance.draw', appliance: theirs, version: null });
    expect(taken.status).toBe(200);
    const [names] = await db.query('SELECT name FROM appliance WHERE id = :appliance ORDER BY name', {
      appliance,
    });
    expect((names as { name: string }[]).map(({ name }) => name)).toEqual(['Fridge', 'Ours now']);
    const undone = await command({ type: 'ledger.undo', command: taken.body.answers[0].id });
    expect(undone.status).toBe(200);
    expect((await command({ type: 'zone.measure', zone, celsius: 9 })).status).toBe(404);
    const answer = await command({ type: 'haul.store', lines: [line({ zone })] });
    expect([answer.status, answer.body.error.fields[0].path]).toEqual([404, 'zone']);
    expect((await get('/api/v1/zones')).body.zones.map(({ id }: { id: string }) => id)).not.toContain(zone);
    await db.query('DELETE FROM zone WHERE id = :zone', { zone });
    await db.query('DELETE FROM compartment WHERE appliance_id = :appliance', { appliance });
    await db.query('DELETE FROM appliance WHERE id = :appliance', { appliance });
    await db.query('DELETE FROM household WHERE id = :insertId', { insertId });
    await db.end();
  });
});
