import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { freePort, prepareDatabase, serve } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { type Answer, get } from '../fixtures/api';
import { pause, waitFor } from '../fixtures/waitFor';

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

const PEAS = { food: 'peas', unit: 'g', start: { did: 'bought', on: '2026-01-02' } };

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
  household = demo,
): Promise<{ status: number; body: Record<string, never> }> {
  const response = await fetch(`${base}/api/v1/exchange/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream', 'x-orderly-frost-household': String(household) },
    body: typeof text === 'string' ? text : new Uint8Array(text),
  });
  return { status: response.status, body: await response.json() };
}

async function started(): Promise<void> {
  const port = await freePort();
  base = `http://localhost:${port}`;
  pid = (await serve({ port, host: '127.0.0.1', url, quiet: true })).pid ?? 0;
}

/** As a page of a household asks, whichever came in meanwhile. */
async function asked(path: string, body?: object, household = demo): Promise<Answer> {
  const headers = { 'content-type': 'application/json', 'x-orderly-frost-household': String(household) };
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

async function ended(id: string, hear: (run: Run) => void = () => undefined, household = demo): Promise<Run> {
  for (;;) {
    const run = (await asked(`/api/v1/exchange/runs/${id}`, undefined, household)).body as Run;
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

const rowsOf = (text: string) => parse(text, { bom: true, columns: true }) as Record<string, string>[];

/** The stock of a household as a table goes out. */
async function stockOf(household: number): Promise<string> {
  const headers = { 'x-orderly-frost-household': String(household) };
  return (await fetch(`${base}/api/v1/exchange/table?table=stock`, { headers })).text();
}

/** A household with the demo's kitchen and nothing in it. */
async function emptyKitchen(name: string): Promise<number> {
  const headers = { 'x-orderly-frost-household': String(demo) };
  const document = (await (await fetch(`${base}/api/v1/exchange/household`, { headers })).json()) as {
    household: object;
  };
  const none = ['packages', 'events', 'lots', 'commands', 'hauls', 'haul_lines', 'kept', 'photos'];
  const emptied = {
    ...document,
    ...Object.fromEntries(none.map((section) => [section, []])),
    household: { ...document.household, name, next_code: 0 },
  };
  const { body } = await file('begin?name=empty.json', JSON.stringify(emptied));
  expect((await ended(String(body.id))).says).toBe(`${name} came in.`);
  const { households } = (await asked('/api/v1/households')).body as {
    households: { id: number; name: string }[];
  };
  return households.find((one) => one.name === name)?.id ?? 0;
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
  // What goes out as a table comes in as it was, but for its code; what is here is not brought again.
  const out = await stockOf(demo);
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
  // The third is not for eating, though its history does not say so: it comes in as found bad.
  const wrong = [
    { ...one, amount: '7' },
    { ...two, code: '', not_for_eating: 'yes' },
    { ...three, code: '', history: three.history?.slice(1) },
    { ...three, code: '', frozen_on: '', opened_on: '2026-01-02' },
    { ...three, code: '', start: '28/10/2026' },
  ];
  expect((await file('look?name=stock.csv', stringify(wrong, { header: true }))).body).toMatchObject({
    packages: 1,
    faults: [2, 4, 5, 6].map((row) => ({ row })),
  });
  const fresh = told.map((row) => ({ ...row, code: '' }));
  const come = await file('begin?name=stock.csv', stringify(fresh, { header: true }));
  expect((await ended(String(come.body.id))).state).toBe('done');
  const codes = new Set(told.map(({ code }) => code));
  const came = rowsOf(await stockOf(demo)).filter(({ code }) => !codes.has(code));
  const words = (rows: Record<string, string>[]) =>
    rows.map((row) => JSON.stringify({ ...row, code: '' })).sort();
  expect(words(came)).toEqual(words(told));
  await asked('/api/v1/exchange/undo', { id: come.body.id });
  const between = await counted();
  const document = await (await fetch(`${base}/api/v1/exchange/household`)).text();
  const begun = await file('begin?name=household.json', document);
  const run = await ended(String(begun.body.id));
  expect([run.state, run.says]).toEqual(['done', 'Skerry Row 2 came in.']);
  expect((await counted())[0]).toBe(Number(between[0]) * 2);
  await asked('/api/v1/exchange/undo', { id: begun.body.id });
  expect(await counted()).toEqual(between);
});

it('stock.csv comes into an empty kitchen byte for byte, codes on labels too; two who bring it at once bring it once', async () => {
  const out = await stockOf(demo);
  // Own foods of two households in one store have ids of their own.
  const lines = (text: string): string[] =>
    text
      .replaceAll(/,own-[^,]+,/g, ',own,')
      .split('\n')
      .toSorted();
  const empty = await emptyKitchen('Quiet kitchen');
  const { length } = rowsOf(out);
  expect((await file('look?name=stock.csv', out, empty)).body).toMatchObject({
    coded: length,
    packages: length,
  });
  const begun = await file('begin?name=stock.csv', out, empty);
  expect((await ended(String(begun.body.id), undefined, empty)).state).toBe('done');
  expect(lines(await stockOf(empty))).toEqual(lines(out));
  // The codes after those on the labels are free.
  const codes = new Set(rowsOf(out).map(({ code }) => code));
  const stored = await asked(
    '/api/v1/commands',
    { id: crypto.randomUUID(), type: 'haul.store', lines: [{ ...PEAS, packs: 40, amount: 4000 }] },
    empty,
  );
  const { packages } = stored.body.answers[0] as { packages: { code: string }[] };
  expect([packages.length, packages.filter(({ code }) => codes.has(code))]).toEqual([40, []]);
  // A label of a package that left is not another one's; the same code twice is told.
  const [first = {}, second = {}] = rowsOf(out);
  const { body: view } = await asked(`/api/v1/packages/${first.code}`, undefined, empty);
  await asked(
    '/api/v1/commands',
    { id: crypto.randomUUID(), type: 'package.lose', package: view.id, version: view.version },
    empty,
  );
  const looked = await file(
    'look?name=stock.csv',
    stringify([first, second, second], { header: true }),
    empty,
  );
  expect(looked.body).toMatchObject({ same: 1, packages: 0, faults: [{ row: 2 }, { row: 4 }] });

  const busy = await emptyKitchen('Busy kitchen');
  const both = await Promise.all([0, 1].map(() => file('begin?name=stock.csv', out, busy)));
  const runs = [];
  for (const { body } of both) runs.push(await ended(String(body.id), undefined, busy));
  expect(runs.map(({ state }) => state).toSorted()).toEqual(['done', 'failed']);
  expect(lines(await stockOf(busy))).toEqual(lines(out));
  // Taken back and brought again, it has codes of its own.
  const done = runs.find(({ state }) => state === 'done');
  await asked('/api/v1/exchange/undo', { id: done?.id }, busy);
  expect(rowsOf(await stockOf(busy))).toEqual([]);
  expect((await file('look?name=stock.csv', out, busy)).body).toMatchObject({
    coded: 0,
    packages: codes.size,
  });
  const again = await file('begin?name=stock.csv', out, busy);
  expect((await ended(String(again.body.id), undefined, busy)).state).toBe('done');
  const renewed = rowsOf(await stockOf(busy));
  expect([renewed.length, renewed.filter(({ code }) => codes.has(code))]).toEqual([codes.size, []]);
});

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
  const undone = await asked('/api/v1/exchange/undo', { id: body.id });
  expect([undone.status, undone.body.state]).toEqual([200, 'undone']);
  const back = await counted();
  expect([back[1], back[4], back[5]]).toEqual([before[1], before[4], before[5]]);
  expect((await asked('/api/v1/exchange/undo', { id: body.id })).status).toBe(409);
});

it('stopped, or killed in the middle, it leaves nothing', async () => {
  const before = await counted();
  const first = await file('begin?name=notebook.csv', LIST);
  const id = String(first.body.id);
  await underWay(id);
  expect((await asked('/api/v1/exchange/stop', { id })).status).toBe(200);
  expect((await ended(id)).says).toBe('Stopped. Nothing of it came in.');
  expect(await counted()).toEqual(before);
  const second = await file('begin?name=notebook.csv', LIST);
  await underWay(String(second.body.id));
  process.kill(pid, 'SIGKILL');
  await started();
  await waitFor(async () => (await counted()).join() === before.join());
  expect(await counted()).toEqual(before);
  await db.query('UPDATE import_run SET beat_at = beat_at - INTERVAL 1 MINUTE');
  expect((await asked(`/api/v1/exchange/runs/${second.body.id}`)).body).toMatchObject({
    state: 'failed',
    says: expect.stringContaining('Nothing of it came in'),
  });
});
