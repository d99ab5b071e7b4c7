import { randomUUID } from 'node:crypto';
import { createConnection, type Connection } from 'mysql2/promise';
import { Secret, TOTP } from 'otpauth';
import { line } from '../fixtures/api';
import { type Keyed, keyedServer, type KeyedServer, nobody } from '../fixtures/keyedServer';

let server: KeyedServer;
let db: Connection;
let maren: Keyed;
let demoId: number;

const PASSWORD = 'lamp herring oxide mitten';

interface Member {
  id: string;
  name: string;
  role: string;
  has_calendar: boolean;
  devices: { id: string; here: boolean }[];
}
const members = async (by = maren): Promise<Member[]> =>
  ((await by.get('/api/v1/keys')).body as { members: Member[] }).members;
const memberCalled = async (name: string): Promise<Member> => {
  const found = (await members()).find((one) => one.name === name);
  if (!found) throw new Error(`${name} is no member`);
  return found;
};
/** As if ten minutes had gone by since the password was given. */
const later = () => db.query('UPDATE device SET proved_at = proved_at - INTERVAL 11 MINUTE');

beforeAll(async () => {
  server = await keyedServer('keys-held');
  db = await createConnection({ uri: server.database });
  maren = await server.comesIn(server.setUpCode(), 'Maren', PASSWORD);
  const { here } = (await maren.get('/api/v1/households')).body as { here: number };
  demoId = here;
});
afterAll(async () => {
  await db.end();
  await server.stop();
});

it('nobody is lowered by a code, her own neither; the last cook stays', async () => {
  const code = await maren.invites('guest');
  const refused = await maren.post('/api/v1/keys/join', { code });
  expect([refused.status, refused.body.error.code]).toEqual([409, 'member-already']);
  expect((await memberCalled('Maren')).role).toBe('cook');
  // It was meant for somebody, who comes in by it.
  const odd = await server.comesIn(code, 'Odd');
  expect((await odd.get('/api/v1/guest')).status).toBe(200);
  // A code for more raises her.
  expect((await odd.post('/api/v1/keys/join', { code: await maren.invites('household') })).status).toBe(200);
  expect((await memberCalled('Odd')).role).toBe('household');
  const { id } = await memberCalled('Maren');
  for (const [address, body] of [
    ['role', { member: id, role: 'reader' }],
    ['member/end', { member: id }],
  ] as const)
    expect([address, (await maren.post(`/api/v1/keys/${address}`, body)).status]).toEqual([address, 422]);
});

it('invitations are counted one after the other', async () => {
  await maren.post('/api/v1/keys/invite/back', {});
  const asked = await Promise.all(
    Array.from({ length: 30 }, () => maren.post('/api/v1/keys/invite', { role: 'guest' })),
  );
  expect(asked.filter(({ status }) => status === 200)).toHaveLength(20);
  expect(asked.filter(({ status }) => status === 422)).toHaveLength(10);
  await maren.post('/api/v1/keys/invite/back', {});
});

it('guesses count by the name the database knows, however it is written', async () => {
  await server.comesIn(await maren.invites('reader'), 'Åse', 'seven kelp doors');
  const written = [
    'Åse',
    'ase',
    'ASE',
    'Ａｓｅ',
    'a\u200bse',
    'åsE',
    'A\u030ase',
    'Asé',
    'ａse',
    'ÀSÉ',
    'âse',
    'ÂSE',
  ];
  const statuses: number[] = [];
  for (const name of written)
    statuses.push(
      (await nobody.post(server.base, '/api/v1/keys/sign-in', { name, password: 'nothing' })).status,
    );
  expect(statuses.filter((status) => status === 401)).toHaveLength(10);
  expect(statuses.slice(10)).toEqual([429, 429]);
  await db.query('DELETE FROM attempt');
});

it('what cannot be taken back asks for the password again after ten minutes', async () => {
  const lise = await server.comesIn(await maren.invites('reader'), 'Lise');
  const { id } = await memberCalled('Lise');
  await later();
  const role = () => maren.post('/api/v1/keys/role', { member: id, role: 'household' });
  expect(await role()).toMatchObject({ status: 403, body: { error: { code: 'prove' } } });
  expect((await maren.post('/api/v1/keys/prove', { password: 'not it' })).status).toBe(401);
  expect((await role()).status).toBe(403);
  expect((await maren.post('/api/v1/keys/prove', { password: PASSWORD })).status).toBe(200);
  expect((await role()).status).toBe(200);
  await later();
  for (const [address, body] of [
    ['keys/member/end', { member: id }],
    ['households/remove', { id: demoId, name: 'Skerry Row' }],
    ['keys/second-factor/begin', {}],
  ] as const)
    expect([address, (await maren.post(`/api/v1/${address}`, body)).body.error.code]).toEqual([
      address,
      'prove',
    ]);
  // Who has no password yet sets one first.
  expect((await lise.post('/api/v1/keys/member/end', { member: id })).body.error.code).toBe('no-password');
});

it('a second factor: each code once, recovery codes once, the password alone no more', async () => {
  await maren.post('/api/v1/keys/prove', { password: PASSWORD });
  const { secret } = (await maren.post('/api/v1/keys/second-factor/begin', {})).body as { secret: string };
  const totp = new TOTP({ secret: Secret.fromBase32(secret) });
  expect((await maren.post('/api/v1/keys/second-factor/set', { secret, code: '000000' })).status).toBe(422);
  // One instant for both codes: a period that ends in between would make the used one another.
  const setAt = Date.now();
  const used = totp.generate({ timestamp: setAt });
  const next = totp.generate({ timestamp: setAt + 30_000 });
  const set = await maren.post('/api/v1/keys/second-factor/set', { secret, code: used });
  expect([set.status, set.body.codes.length]).toEqual([200, 8]);
  const signIn = async (code?: string) => {
    const { status, body } = await nobody.post(server.base, '/api/v1/keys/sign-in', {
      name: 'Maren',
      password: PASSWORD,
      ...(code === undefined ? {} : { code }),
    });
    return status === 200 ? 'in' : body.error.code;
  };
  expect(await signIn()).toBe('second-factor');
  expect(await signIn('123456')).toBe('wrong-code');
  // The code that set it was used; the next period's is good, once.
  expect([await signIn(used), await signIn(next), await signIn(next)]).toEqual([
    'wrong-code',
    'in',
    'wrong-code',
  ]);
  const [recovery] = set.body.codes as string[];
  expect([await signIn(recovery), await signIn(recovery)]).toEqual(['in', 'wrong-code']);
  await db.query('DELETE FROM attempt');
  expect((await maren.post('/api/v1/keys/second-factor/end', {})).status).toBe(200);
  expect(await signIn()).toBe('in');
});

it('a calendar address is a member’s own, is listed, renewed, and ends with her', async () => {
  const vera = await server.comesIn(await maren.invites('household'), 'Vera');
  const pageOf = async (by: Keyed): Promise<string> => {
    const response = await fetch(`${server.base}/kitchen/household`, { headers: { cookie: by.cookie() } });
    return /calendar\.ics\?key=([\w-]+)/.exec(await response.text())?.[1] ?? '';
  };
  const [hers, marens] = [await pageOf(vera), await pageOf(maren)];
  expect(new Set([hers, marens, '']).size).toBe(3);
  const status = async (key: string) => (await fetch(`${server.base}/calendar.ics?key=${key}`)).status;
  expect([await status(hers), await status(marens)]).toEqual([200, 200]);
  // The address of the household itself, as it is where nobody is asked, opens nothing here.
  const [rows] = await db.query('SELECT feed_key FROM household WHERE id = ?', [demoId]);
  expect(await status((rows as { feed_key: string }[])[0]?.feed_key ?? '')).toBe(404);
  expect((await vera.post('/api/v1/keys/calendar', {})).status).toBe(200);
  expect(await status(hers)).toBe(404);
  const renewed = await pageOf(vera);
  expect([await status(renewed), (await memberCalled('Vera')).has_calendar]).toEqual([200, true]);
  await maren.post('/api/v1/keys/prove', { password: PASSWORD });
  await maren.post('/api/v1/keys/member/end', { member: (await memberCalled('Vera')).id });
  expect([await status(renewed), await status(marens)]).toEqual([404, 200]);
});

it('readers and guests make no household, by hand or from a document; nobody makes any number of them', async () => {
  const words = { time_zone: 'UTC', currency: 'EUR' };
  const reader = await server.comesIn(await maren.invites('reader'), 'Ragna');
  const refused = await reader.post('/api/v1/households/add', { name: 'Attic', ...words });
  expect([refused.status, refused.body.error.code]).toEqual([403, 'not-yours']);
  const statuses: number[] = [];
  for (let nth = 0; nth < 21; nth++)
    statuses.push((await maren.post('/api/v1/households/add', { name: `Cabin ${nth}`, ...words })).status);
  expect([statuses.filter((status) => status === 200).length, statuses.at(-1)]).toEqual([19, 422]);
  await maren.post('/api/v1/households/choose', { id: demoId });
});

it('what was entered by one member is never sent as another', async () => {
  const { id: marensId } = await memberCalled('Maren');
  const { id: lisesId } = await memberCalled('Lise');
  const send = (member: string) =>
    fetch(`${server.base}/api/v1/commands`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        cookie: maren.cookie(),
        'x-orderly-frost-member': member,
      },
      body: JSON.stringify({ id: randomUUID(), type: 'haul.store', lines: [line()] }),
    });
  const other = await send(lisesId);
  expect([other.status, (await other.json()).error.code]).toEqual([409, 'another-member']);
  expect((await send(marensId)).status).toBe(200);
});

it('a session ends after thirty days; the log of keys is a cook’s; photos are kept by nobody else’s device', async () => {
  const [rows] = await db.query(
    'SELECT MAX(DATEDIFF(ends_at, seen_at)) AS days, COUNT(*) AS devices FROM device',
  );
  expect((rows as { days: number }[])[0]?.days).toBe(30);
  const { events } = (await maren.get('/api/v1/keys/log')).body as {
    events: { kind: string; says: string }[];
  };
  expect(new Set(events.map(({ kind }) => kind))).toEqual(
    new Set(['sign-in', 'refused', 'role', 'member', 'code', 'password']),
  );
  const lise = events.find(
    ({ says }) => says === 'A wrong password for Maren, on a device that is signed in.',
  );
  expect(lise).toBeDefined();
  await maren.get('/api/v1/exchange/household');
  const after = (await maren.get('/api/v1/keys/log')).body.events as { says: string }[];
  expect(after[0]?.says).toBe('The whole household was exported.');
  const reader = await server.comesIn(await maren.invites('reader'), 'Runa');
  // Others read what they did themselves.
  const hers = (await reader.get('/api/v1/keys/log')).body.events as { member: string }[];
  expect(new Set(hers.map(({ member }) => member))).toEqual(new Set(['Runa']));
  const photo = await fetch(`${server.base}/api/v1/photos`, {
    method: 'POST',
    headers: { 'content-type': 'image/png', cookie: maren.cookie() },
    body: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    ),
  });
  const { id } = (await photo.json()) as { id: string };
  const shown = await fetch(`${server.base}/api/v1/photos/${id}`, { headers: { cookie: maren.cookie() } });
  expect([shown.status, shown.headers.get('cache-control')]).toEqual([200, 'no-store']);
  for (const other of [
    '<svg xmlns="http://www.w3.org/2000/svg"/>',
    'GIF89a\u0001\u0000\u0001\u0000',
    'II*\u0000',
    '\u0000\u0000\u0000 ftypavif',
  ]) {
    const refused = await fetch(`${server.base}/api/v1/photos`, {
      method: 'POST',
      headers: { 'content-type': 'image/png', cookie: maren.cookie() },
      body: Buffer.from(other, 'latin1'),
    });
    expect([other, refused.status]).toEqual([other, 415]);
  }
});

it('who is at home runs a power cut, reads its verdicts, stores leftovers, bins and finds; settings stay a cook’s', async () => {
  const home = await server.comesIn(await maren.invites('household'), 'Hilde');
  const { appliances } = (await home.get('/api/v1/today')).body as { appliances: { id: string }[] };
  const { body: desk } = await home.get('/api/v1/outage');
  const part = desk.parts[0].id as string;
  const cut = randomUUID();
  const from = new Date(Date.now() - 3_600_000).toISOString();
  const tell = async (type: string, body: Record<string, unknown>) => {
    const { status, body: answer } = await home.command({ type, ...body });
    return [type, status, status === 200 ? '' : answer.error.message];
  };
  expect(await tell('cut.begin', { cut, from, parts: [{ id: part, fill: 0.5 }] })).toEqual([
    'cut.begin',
    200,
    '',
  ]);
  expect(await tell('cut.read', { cut, part, reading: randomUUID(), c: 5 })).toEqual(['cut.read', 200, '']);
  expect(await tell('cut.time', { cut, from, until: new Date().toISOString() })).toEqual([
    'cut.time',
    200,
    '',
  ]);
  const judged = (await home.get('/api/v1/outage')).body as {
    cut: string;
    readings: unknown[];
    things: unknown[];
  };
  expect([judged.cut, judged.readings.length > 0, judged.things.length > 0]).toEqual([cut, true, true]);
  const stored = await home.command({ type: 'haul.store', lines: [line({ packs: 1 })] });
  expect(stored.status).toBe(200);
  const [{ id, version }] = stored.body.answers[0].packages as [{ id: string; version: number }];
  expect(await tell('package.discard', { package: id, version, reason: 'unwanted' })).toEqual([
    'package.discard',
    200,
    '',
  ]);
  expect((await home.get('/api/v1/find?q=butter')).status).toBe(200);
  expect(
    (await home.command({ type: 'kitchen.order', appliances: appliances.map((one) => one.id) })).status,
  ).toBe(403);
  const page = await fetch(`${server.base}/kitchen/household`, { headers: { cookie: home.cookie() } });
  const text = await page.text();
  expect(text).not.toContain('Delete this household');
});

it('strangers are turned away as they should be: no 500, no page, no sign-in attempt used up by labels', async () => {
  const status = async (at: string, init?: RequestInit) => {
    const response = await fetch(`${server.base}${at}`, { redirect: 'manual', ...init });
    return response.status;
  };
  for (const [at, wanted] of [
    ['/sign-in/x', 307],
    ['/join/x', 307],
    ['/nothing', 307],
    ['/_next/x', 404],
    ['/_next/static/none.js', 404],
    ['/label/AB', 404],
  ] as const)
    expect([at, await status(at)]).toEqual([at, wanted]);
  for (const method of ['PROPFIND', 'MKCOL']) {
    const response = await fetch(`${server.base}/api/v1/today`, { method });
    expect([method, response.status, (await response.json()).error.code]).toEqual([
      method,
      405,
      'wrong-method',
    ]);
  }
  await db.query('DELETE FROM attempt');
  const looks: number[] = [];
  for (let nth = 0; nth < 125; nth++) looks.push(await status('/label/KT47?g=1-AAAAAAAAAAAA'));
  // A page too says 429 when it is.
  expect([looks.slice(0, 120).every((one) => one === 404), looks.at(-1)]).toEqual([true, 429]);
  const signedIn = await nobody.post(server.base, '/api/v1/keys/sign-in', {
    name: 'Maren',
    password: PASSWORD,
  });
  expect(signedIn.status).toBe(200);
});
