import { randomUUID } from 'node:crypto';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { type Role, ROLES } from '@/core/model/role';
import { DOOR } from '@/services/door/readCommands';
import { type ApiPage, hostileRequests, type HostileRequest, wrongAnswer } from '../fixtures/hostile';
import { Keyed, keyedServer, type KeyedServer, nobody } from '../fixtures/keyedServer';

let server: KeyedServer;
let db: Connection;
/** A cook of the demo and of a second household; one of each role in the demo; a cook of the second household only. */
let maren: Keyed;
const inDemo = {} as Record<Role, Keyed>;
let tove: Keyed;
let demoId: number;
let otherId: number;

const PASSWORD = 'lamp herring oxide mitten';

async function rows<Row>(statement: string, values: unknown[] = []): Promise<Row[]> {
  const [found] = await db.query<RowDataPacket[]>(statement, values);
  return found as Row[];
}

beforeAll(async () => {
  server = await keyedServer('keys');
  db = await createConnection({ uri: server.database });
  maren = await server.comesIn(server.setUpCode(), 'Maren', PASSWORD);
  const { households } = (await maren.get('/api/v1/households')).body as {
    households: { id: number; demo: boolean }[];
  };
  demoId = households.find(({ demo }) => demo)?.id ?? 0;
  await maren.post('/api/v1/households/choose', { id: demoId });
  for (const role of ROLES) inDemo[role] = await server.comesIn(await maren.invites(role), `Odd the ${role}`);
  const added = await maren.post('/api/v1/households/add', {
    name: 'Quay Cottage',
    time_zone: 'Europe/Dublin',
    currency: 'EUR',
  });
  otherId = added.body.id as number;
  tove = await server.comesIn(await maren.invites('cook'), 'Tove', 'seven kelp doors');
  await maren.post('/api/v1/households/choose', { id: demoId });
});

afterAll(async () => {
  await db.end();
  await server.stop();
});

it('nobody gets in anywhere, and is told of nothing', async () => {
  const page = (await nobody.get(server.base, '/api/v1/openapi.json')).body as ApiPage;
  const open = /^\/api\/v1\/(health|openapi\.json|keys\/(sign-in|sign-out|join|strength))$/;
  for (const [address, operations] of Object.entries(page.paths)) {
    if (open.test(address)) continue;
    const path = address.replaceAll(/\{\w+\}/g, randomUUID());
    const answer = operations.get
      ? await nobody.get(server.base, path)
      : await nobody.post(server.base, path, {});
    expect([address, answer.status, answer.body.error.code]).toEqual([address, 401, 'sign-in']);
  }
  for (const at of ['/', '/stock', '/kitchen/keys', '/p/KT47', '/guest']) {
    const answer = await fetch(`${server.base}${at}`, { redirect: 'manual' });
    expect([at, answer.status]).toEqual([at, 307]);
    expect(answer.headers.get('location')).toMatch(/^\/sign-in/);
  }
});

it('each role may tell what it may, and no other command of all there are', async () => {
  const before = (await maren.get('/api/v1/changes')).body.changes as number;
  for (const [type, { kind }] of DOOR)
    for (const role of ROLES) {
      const may = role === 'cook' || (kind.may ?? []).includes(role);
      const { status } = await inDemo[role].post('/api/v1/commands', {
        id: randomUUID(),
        type,
        wrong: true,
      });
      // Let in, it is no right command.
      expect([type, role, status === 403]).toEqual([type, role, !may]);
      const hidden = await inDemo[role].post('/api/v1/commands', [
        { id: randomUUID(), type: 'package.take', wrong: true },
        { id: randomUUID(), type, wrong: true },
      ]);
      expect([type, role, hidden.status === 403]).toEqual([type, role, !may || role === 'reader']);
    }
  expect((await maren.get('/api/v1/changes')).body.changes).toBe(before);
});

it('a guest takes what stands under “Help yourself” and nothing else, and takes back her own only', async () => {
  const { guest, household } = inDemo;
  const { ready } = (await guest.get('/api/v1/guest')).body as {
    ready: { id: string; version: number; code: string }[];
  };
  const [first] = ready;
  if (!first) throw new Error('nothing stands ready');
  const { packages } = (await maren.get('/api/v1/stock?state=frozen&limit=5')).body as {
    packages: { id: string; version: number }[];
  };
  const [frozen] = packages;
  const refused = await guest.command({
    type: 'package.take',
    package: frozen?.id,
    version: frozen?.version,
  });
  expect([refused.status, refused.body.error.message]).toEqual([
    403,
    expect.stringContaining('Help yourself'),
  ]);
  const id = randomUUID();
  const took = await guest.command({ id, type: 'package.take', package: first.id, version: first.version });
  expect(took.status).toBe(200);
  const byOther = await household.command({ type: 'ledger.undo', command: id });
  expect(byOther.status).toBe(403);
  expect((await guest.command({ type: 'ledger.undo', command: id })).status).toBe(200);
  const [told] = await rows<{ told_by: string }>('SELECT told_by FROM command WHERE id = ?', [id]);
  expect(told?.told_by).toBe('Odd the guest');
  // The rest of the house is shut: other views, members, the ledger's news.
  for (const at of ['/api/v1/stock', '/api/v1/today', '/api/v1/keys', '/api/v1/changes', '/api/v1/labels'])
    expect([at, (await guest.get(at)).status]).toEqual([at, 403]);
});

it('codes count once and for a day; devices are put out; the last cook stays; attempts are counted for all copies', async () => {
  const code = await maren.invites('reader');
  const lise = await server.comesIn(code, 'Lise');
  await expect(server.comesIn(code, 'Lisa')).rejects.toThrow('no-invitation');
  await expect(server.comesIn(await maren.invites('reader'), 'LISE')).rejects.toThrow('name-taken');
  const late = await maren.invites('reader');
  await db.query('UPDATE invitation SET ends_at = UTC_TIMESTAMP(3)');
  await expect(server.comesIn(late, 'Lars')).rejects.toThrow('no-invitation');
  const { members } = (await maren.get('/api/v1/keys')).body as {
    members: { id: string; name: string; role: Role; devices: { id: string }[] }[];
  };
  const hers = members.find(({ name }) => name === 'Lise');
  expect((await lise.get('/api/v1/stock')).status).toBe(200);
  // Only a cook, or she herself, puts it out.
  const device = hers?.devices[0]?.id;
  expect((await inDemo.reader.post('/api/v1/keys/device/out', { device })).status).toBe(404);
  expect((await maren.post('/api/v1/keys/device/out', { device })).status).toBe(200);
  expect((await lise.get('/api/v1/stock')).status).toBe(401);
  // Of somebody who belongs to another household too, that one keeps what it gave.
  const both = await server.comesIn(await maren.invites('household'), 'Sif');
  const { body: invited } = await tove.post('/api/v1/keys/invite', { role: 'cook' });
  await both.post('/api/v1/keys/join', { code: invited.code });
  const seen = (await maren.get('/api/v1/keys')).body.members as typeof members;
  const sif = seen.find(({ name }) => name === 'Sif');
  await maren.post('/api/v1/keys/device/out', { device: sif?.devices[0]?.id });
  const sees = async () =>
    ((await both.get('/api/v1/households')).body.households as { id: number }[]).map(({ id }) => id);
  expect(await sees()).toEqual([otherId]);
  const firmly = { cookie: both.cookie(), 'x-orderly-frost-household': String(demoId) };
  expect((await fetch(`${server.base}/api/v1/today`, { headers: firmly })).status).toBe(404);
  await both.post('/api/v1/keys/join', { code: await maren.invites('household') });
  expect((await sees()).sort()).toEqual([demoId, otherId].sort());
  const cooks = members.filter(({ role }) => role === 'cook');
  expect(cooks.map(({ name }) => name).sort()).toEqual(['Maren', 'Odd the cook']);
  const odd = cooks.find(({ name }) => name === 'Odd the cook');
  const me = cooks.find(({ name }) => name === 'Maren');
  expect((await maren.post('/api/v1/keys/member/end', { member: odd?.id })).status).toBe(200);
  expect((await maren.post('/api/v1/keys/role', { member: me?.id, role: 'reader' })).status).toBe(422);
  // Neither tokens nor passwords nor codes lie in the database.
  const kept = JSON.stringify([
    await rows('SELECT * FROM member'),
    await rows('SELECT * FROM device'),
    await rows('SELECT * FROM invitation'),
  ]);
  expect(kept).not.toContain(PASSWORD);
  for (const secret of maren.cookie().matchAll(/=([\w-]{40,})/g)) expect(kept).not.toContain(secret[1]);
  expect(kept).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  const tries = [];
  for (let at = 0; at < 11; at++)
    tries.push(await nobody.post(server.base, '/api/v1/keys/sign-in', { name: 'maren', password: 'x' }));
  expect(tries.map(({ status }) => status)).toEqual([...Array<number>(10).fill(401), 429]);
  const [counted] = await rows<{ points: number }>("SELECT points FROM attempt WHERE `key` LIKE 'name:%'");
  expect(counted?.points).toBe(11);
  await db.query('DELETE FROM attempt');
  const back = new Keyed(server.base);
  await back.post('/api/v1/keys/sign-in', { name: 'Maren', password: PASSWORD });
  expect((await back.get('/api/v1/keys')).status).toBe(200);
});

/** The request with every id and code of the other household put otherwise, each always the same. */
function substituted(request: HostileRequest, ids: readonly string[]): HostileRequest {
  const put = new Map<string, string>();
  const other = (id: string): string => {
    const before = put.get(id);
    if (before) return before;
    // Codes begin with two letters; none has three.
    const fresh = id.length > 8 ? randomUUID() : `ZZZ${Math.floor(Math.random() * 1000)}`;
    put.set(id, fresh);
    return fresh;
  };
  const pattern = new RegExp(ids.toSorted((a, b) => b.length - a.length).join('|'), 'g');
  return {
    ...request,
    address: request.address.replace(pattern, other),
    body: request.body?.replace(pattern, other),
  };
}

it('two thousand generated requests, with another household’s ids, as nobody, as a guest, as another cook: no row, no hint', async () => {
  const page = (await nobody.get(server.base, '/api/v1/openapi.json')).body as ApiPage;
  for (const shut of Object.keys(page.paths)) if (shut.startsWith('/api/v1/keys/')) delete page.paths[shut];
  const ids = (
    await rows<{ id: string }>(
      `SELECT id FROM (SELECT id, household_id FROM package UNION ALL SELECT code, household_id FROM package
                 UNION ALL SELECT id, household_id FROM zone UNION ALL SELECT id, household_id FROM appliance
                 UNION ALL SELECT id, household_id FROM command UNION ALL SELECT id, household_id FROM job
                 UNION ALL SELECT id, household_id FROM container) AS one
        WHERE household_id = ?`,
      [demoId],
    )
  ).map(({ id }) => id);
  const whole = new Set(ids.filter((id) => id.length > 8));
  const changesOf = async (id: number): Promise<number> =>
    Number((await rows<{ changes: number }>('SELECT changes FROM household WHERE id = ?', [id]))[0]?.changes);
  const wrong: string[] = [];
  let seen = 0;
  const ask = async (request: HostileRequest, cookie: string): Promise<string> => {
    seen += 1;
    const headers = { ...request.headers, ...(cookie === '' ? {} : { cookie }) };
    const { fault, status } = await wrongAnswer(server.base, { ...request, headers });
    if (fault !== null) wrong.push(fault);
    return `${status}`;
  };
  const rowsIn = async (request: HostileRequest, cookie: string): Promise<void> => {
    seen += 1;
    const response = await fetch(`${server.base}${request.address}`, {
      method: request.method,
      headers: { ...request.headers, ...(cookie === '' ? {} : { cookie }) },
      body: request.body ?? null,
      redirect: 'manual',
    });
    const text = await response.text();
    const asked = `${request.address}${request.body ?? ''}`;
    for (const [id] of text.matchAll(/[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g))
      if (whole.has(id) && !asked.includes(id)) wrong.push(`${request.address} told of ${id}`);
    if (text.includes('Skerry Row')) wrong.push(`${request.address} told of the household`);
  };
  const next = hostileRequests(page, ids, 29);
  const demoBefore = await changesOf(demoId);
  const answered = new Set<string>();
  for (let at = 0; at < 300; at++) await rowsIn(next(), '');
  expect(await changesOf(demoId)).toBe(demoBefore);
  // The same request with the other's ids and with ids that are nowhere answers alike; what it changed itself counts twice.
  for (let at = 0; at < 350; at++) {
    const request = next();
    const told = [
      await ask(substituted(request, ids), tove.cookie()),
      await ask(request, tove.cookie()),
      await ask(substituted(request, ids), tove.cookie()),
    ];
    for (const status of told) answered.add(status);
    if (told[1] !== told[0] && told[1] !== told[2])
      wrong.push(`${request.method} ${request.address} ${request.body ?? ''} hints: ${told.join(' ')}`);
  }
  for (let at = 0; at < 350; at++) await rowsIn(next(), tove.cookie());
  expect(await changesOf(demoId)).toBe(demoBefore);
  const otherBefore = await changesOf(otherId);
  for (let at = 0; at < 300; at++) await ask(next(), inDemo.guest.cookie());
  expect(await changesOf(otherId)).toBe(otherBefore);
  expect([...answered]).toEqual(expect.arrayContaining(['200', '400', '404']));
  expect(wrong).toEqual([]);
  expect(seen).toBe(2000);
});

it('a page cannot be led into a household by its header or cookie', async () => {
  for (const headers of [
    { 'x-orderly-frost-household': String(demoId), cookie: tove.cookie() },
    {
      'x-orderly-frost-household': String(demoId),
      cookie: `${tove.cookie()}; orderly-frost-household=${demoId}`,
    },
  ]) {
    const answer = await fetch(`${server.base}/api/v1/stock`, { headers });
    expect([answer.status, (await answer.json()).error.code]).toEqual([404, 'no-household']);
  }
  const cookie = `${tove.cookie().replace(/orderly-frost-household=\d+/, '')}; orderly-frost-household=${demoId}`;
  const page = await fetch(`${server.base}/stock`, { headers: { cookie } });
  expect(await page.text()).not.toContain('Skerry Row');
  expect((await tove.post('/api/v1/households/choose', { id: demoId })).status).toBe(404);
  expect((await tove.post('/api/v1/households/remove', { id: demoId, name: 'Skerry Row' })).status).toBe(404);
  expect((await tove.post('/api/v1/households/demo', {})).status).toBe(404);
});
