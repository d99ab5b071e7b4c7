import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { freePort, prepareDatabase, serve } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { type Answer, get, post } from '../fixtures/api';
import { pause } from '../fixtures/startedHouse';

/** Thousands of rows here; twenty thousand where somebody wants to wait (IMPORT_PACKAGES). */
const PACKAGES = Number(process.env.IMPORT_PACKAGES ?? 3000);
/** The list of a large paper notebook: a row a thing, in two ways of speaking. */
const LIST = [
  'What,How much,Frozen on,Notes',
  ...Array.from({ length: PACKAGES }, (_, at) =>
    at % 2 === 0
      ? `Peas,${100 + (at % 900)} g,2026-0${1 + (at % 9)}-12,bag ${at}`
      : `Trout,${200 + at} g,yes,`,
  ),
].join('\n');

let db: Connection;
let base: string;
let url: string;
let pid: number;
let demo: number;
let close: () => Promise<void>;

interface Run {
  id: string;
  state: string;
  done: number;
  total: number;
  says: string;
}

async function file(
  path: string,
  text: string | Buffer,
): Promise<{ status: number; body: Record<string, never> }> {
  const response = await fetch(`${base}/api/v1/exchange/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: typeof text === 'string' ? text : new Uint8Array(text),
  });
  return { status: response.status, body: await response.json() };
}

async function started(): Promise<void> {
  const port = await freePort();
  base = `http://localhost:${port}`;
  pid = (await serve({ port, host: '127.0.0.1', url, quiet: true })).pid ?? 0;
}

/** As a page of the demo asks, whichever household came in meanwhile. */
async function asked(path: string, body?: object): Promise<Answer> {
  const headers = { 'content-type': 'application/json', 'x-orderly-frost-household': String(demo) };
  const response = await fetch(`${base}${path}`, {
    headers,
    ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
  });
  return { status: response.status, body: await response.json() };
}

const counted = async (): Promise<number[]> => {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT (SELECT COUNT(*) FROM package) AS packages, (SELECT COUNT(*) FROM package WHERE here) AS here,
            (SELECT COUNT(*) FROM command) AS commands, (SELECT COUNT(*) FROM household) AS households,
            (SELECT SUM(packages) FROM day_tally) AS tally, (SELECT SUM(packages) FROM zone_fill) AS filled`,
  );
  return Object.values(rows[0] ?? {}).map(Number);
};

async function ended(id: string, hear: (run: Run) => void = () => undefined): Promise<Run> {
  for (;;) {
    const run = (await asked(`/api/v1/exchange/runs/${id}`)).body as Run;
    hear(run);
    if (run.state !== 'running') return run;
    await pause(200);
  }
}

/** Waits until some of it is in. */
async function underWay(id: string): Promise<void> {
  for (let done = 0; done === 0; await pause(30))
    done = Number(((await asked(`/api/v1/exchange/runs/${id}`)).body as Run).done);
}

beforeAll(async () => {
  const database = await openThrowaway('imports');
  ({ url, close } = database);
  await prepareDatabase(url);
  db = await createConnection({ uri: url });
  await started();
  demo = Number((await get('/api/v1/households', base)).body.here);
});
afterAll(async () => {
  process.kill(pid, 'SIGKILL');
  await db.end();
  await close();
});

it('a look tells every row that is wrong and stores nothing; a whole household comes in and goes', async () => {
  const before = await counted();
  const list = [
    'Our freezer 2026',
    '',
    'Item;How many;Where;Date frozen',
    'Peas 900 g;2;Layer 1;12/09/2026',
    'Zorbleflux;2;Layer 1;12/09/2026',
    'Trout 400 g;1;Attic;12/09/2026',
    'Trout 400 g;;Layer 1;12/09/2099',
  ].join('\n');
  const { body } = await file('look?name=list.csv', list);
  expect(body).toMatchObject({
    kind: 'table',
    rows: 4,
    packages: 2,
    shown: ['Peas 1800 g in 2 packs'],
    faults: [{ row: 5 }, { row: 6 }, { row: 7 }],
  });
  const refused = await file('begin?name=list.csv', list);
  expect([refused.status, await counted()]).toEqual([422, before]);
  // What goes out as a table comes in as it was, but for its code and what stands on the counter; what is here is not brought again.
  const csv = async () => (await fetch(`${base}/api/v1/exchange/table?table=stock`)).text();
  const rowsOf = (text: string) => parse(text, { bom: true, columns: true }) as Record<string, string>[];
  const out = await csv();
  const told = rowsOf(out);
  expect((await file('look?name=stock.csv', out)).body).toMatchObject({
    rows: told.length,
    same: told.length,
    packages: 0,
    faults: [],
  });
  // Saved by a spreadsheet, its columns in another order, it is still the same.
  const saved = told.map(({ price = '', ...row }) => ({
    price: price.replace(/0$/, '').replace('.', ','),
    ...row,
  }));
  expect(
    (await file('look?name=stock.csv', stringify(saved, { header: true, delimiter: ';' }))).body,
  ).toMatchObject({
    same: told.length,
    faults: [],
  });
  expect((await file('begin?name=stock.csv', out)).status).toBe(422);
  const sound = told.filter(
    ({ unit, opened_on: opened, not_for_eating: bad }) => unit === 'g' && !opened && bad === 'no',
  );
  const [one = {}, two = {}, three = {}] = sound.filter(({ frozen_on: frozen }) => frozen);
  const wrong = [
    { ...one, amount: '7' },
    { ...two, code: '', not_for_eating: 'yes' },
    { ...three, code: '', history: three.history?.slice(1) },
    { ...three, code: '', frozen_on: '', opened_on: '2026-01-02' },
    { ...three, code: '', start: '28/10/2026' },
  ];
  expect((await file('look?name=stock.csv', stringify(wrong, { header: true }))).body).toMatchObject({
    packages: 0,
    faults: [2, 3, 4, 5, 6].map((row) => ({ row })),
  });
  const fresh = told.map((row) => ({ ...row, code: '' }));
  const come = await file('begin?name=stock.csv', stringify(fresh, { header: true }));
  expect((await ended(String(come.body.id))).state).toBe('done');
  const codes = new Set(told.map(({ code }) => code));
  const came = rowsOf(await csv()).filter(({ code }) => !codes.has(code));
  const words = (rows: Record<string, string>[]) =>
    rows
      .filter(({ counter_since: since }) => since === '')
      .map((row) => JSON.stringify({ ...row, code: '' }))
      .sort();
  expect(came.length).toBe(told.length);
  // What stood on the counter has stood there since.
  const stood = came.filter(({ counter_since: since }) => since !== '');
  expect(stood.length).toBeGreaterThan(0);
  for (const { history } of stood) expect(history).toContain('"did":"counter"');
  expect(words(came)).toEqual(words(told));
  expect(words(told).length).toBeGreaterThan(told.length * 0.9);
  await asked('/api/v1/exchange/undo', { id: come.body.id });
  const between = await counted();
  const document = await (await fetch(`${base}/api/v1/exchange/household`)).text();
  const begun = await file('begin?name=household.json', document);
  const run = await ended(String(begun.body.id));
  expect([run.state, run.says]).toEqual(['done', 'Skerry Row 2 came in.']);
  expect((await counted())[0]).toBe(Number(between[0]) * 2);
  await asked('/api/v1/exchange/undo', { id: begun.body.id });
  expect(await counted()).toEqual(between);
}, 300_000);

it('a list of thousands comes in with its progress told, and goes out again in one go', async () => {
  const before = await counted();
  const begun = Date.now();
  const { status, body } = await file('begin?name=notebook.csv', LIST);
  expect(status).toBe(200);
  const told: number[] = [];
  const run = await ended(String(body.id), ({ done }) => told.push(done));
  console.log(`${PACKAGES} packages came in within ${Math.round((Date.now() - begun) / 100) / 10} s`);
  expect([run.state, run.done, run.says]).toEqual(['done', PACKAGES, `${PACKAGES} packages came in.`]);
  // Somebody who waits sees it grow.
  expect(new Set(told).size).toBeGreaterThan(3);
  expect(told).toEqual(told.toSorted((a, b) => a - b));
  const after = await counted();
  expect([after[0], after[1], after[4]]).toEqual([
    Number(before[0]) + PACKAGES,
    Number(before[1]) + PACKAGES,
    Number(before[4]) + PACKAGES,
  ]);
  const undone = await post('/api/v1/exchange/undo', { id: body.id }, base);
  expect([undone.status, undone.body.state]).toEqual([200, 'undone']);
  const back = await counted();
  expect([back[1], back[4], back[5]]).toEqual([before[1], before[4], before[5]]);
  expect((await post('/api/v1/exchange/undo', { id: body.id }, base)).status).toBe(409);
}, 600_000);

it('stopped, or killed in the middle, it leaves nothing', async () => {
  const before = await counted();
  const first = await file('begin?name=notebook.csv', LIST);
  const id = String(first.body.id);
  await underWay(id);
  expect((await post('/api/v1/exchange/stop', { id }, base)).status).toBe(200);
  expect((await ended(id)).says).toBe('Stopped. Nothing of it came in.');
  expect(await counted()).toEqual(before);
  const second = await file('begin?name=notebook.csv', LIST);
  await underWay(String(second.body.id));
  process.kill(pid, 'SIGKILL');
  await started();
  for (let waited = 0; waited < 300 && (await counted()).join() !== before.join(); waited++) await pause(100);
  expect(await counted()).toEqual(before);
  await db.query('UPDATE import_run SET beat_at = beat_at - INTERVAL 1 MINUTE');
  expect((await get(`/api/v1/exchange/runs/${second.body.id}`, base)).body).toMatchObject({
    state: 'failed',
    says: expect.stringContaining('Nothing of it came in'),
  });
}, 600_000);
