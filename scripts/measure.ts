import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import autocannon from 'autocannon';
import { parse } from 'csv-parse/sync';
import { type Connection, createConnection } from 'mysql2/promise';
import { crowd } from '../tests/fixtures/crowd';
import { readFoods } from '../src/core/foods/readFoods';
import type { TableRow } from '../src/core/foods/readTable';
import { type HistoryEvent, USUAL_CONDITIONS } from '../src/core/model/history';
import { judgeKeeping, keepingOn } from '../src/core/keeping/judgeKeeping';
import { readOutageClasses } from '../src/core/powercut/readOutageClasses';
import { benchInBrowser, haulOf50 } from './measureHaul';
import { tenHouseholds } from './measureHouseholds';
import { placeToPlace } from './measurePlaces';
import { coverage, judgedAndForecast } from './measureCuts';
import { measureMeals } from './measureMeals';
import { quantile } from './quantile';
import { roundsAndLookBack } from './measureRounds';
import { scrollStock, type Side, stockFewAgainstMany, twentyTakers } from './measureStock';
import { dragAmong200, fitOf20Kinds, type Measured, placement60 } from './measureKitchen';
import { inFull } from './benchScale';

const BASE = process.env.BASE_URL ?? 'http://localhost:3000';
const LARGE = process.env.LARGE_URL ?? BASE;

const chosen = new Map<string, Promise<string>>();

/** The cookie of a device that went through a door before: else the first page asks which. */
function chosenOn(origin: string): Promise<string> {
  const known =
    chosen.get(origin) ??
    fetch(`${origin}/api/v1/households`)
      .then((response) => response.json() as Promise<{ here: number }>)
      .then(({ here }) => `orderly-frost-household=${here}`);
  chosen.set(origin, known);
  return known;
}

async function fetchMs(url: string): Promise<number> {
  const begun = performance.now();
  const response = await fetch(url, { headers: { cookie: await chosenOn(new URL(url).origin) } });
  await response.text();
  return performance.now() - begun;
}

/** Something goes through the door that changes nothing to be seen: whatever was kept is old then. */
async function touch(base: string): Promise<void> {
  const { appliances } = (await (await fetch(`${base}/api/v1/today`)).json()) as {
    appliances: { id: string }[];
  };
  const told = { id: randomUUID(), type: 'kitchen.order', appliances: appliances.map(({ id }) => id) };
  const headers = { 'content-type': 'application/json' };
  await fetch(`${base}/api/v1/commands`, { method: 'POST', headers, body: JSON.stringify(told) });
}

/** Today against the page that has nothing on it, request by request in turn; as it was left, and first after a command. */
async function todayAgainstEmpty(
  base: string,
  packages: string,
  rounds = inFull(200, 4),
): Promise<Measured[]> {
  const measured: Measured[] = [];
  for (const [when, count, before] of [
    ['nothing changed since', rounds, () => Promise.resolve()],
    ['first after a command', rounds / 4, () => touch(base)],
  ] as const) {
    const today: number[] = [];
    const empty: number[] = [];
    for (let round = -10; round < count; round++) {
      await before();
      const a = await fetchMs(`${base}/`);
      const b = await fetchMs(`${base}/blank`);
      if (round < 0) continue;
      today.push(a);
      empty.push(b);
    }
    const what = `Today, ${packages} packages, ${when}`;
    measured.push(
      { what: `${what}, median`, value: quantile(today, 0.5), unit: 'ms' },
      { what: 'an empty page beside it, median', value: quantile(empty, 0.5), unit: 'ms' },
      { what: `${what} / empty page`, value: quantile(today, 0.5) / quantile(empty, 0.5), unit: '×' },
    );
  }
  return measured;
}

/** Today while the largest forecast runs, against Today as usual. */
async function duringForecast(): Promise<Measured[]> {
  const usual: number[] = [];
  for (let round = 0; round < inFull(60, 5); round++) usual.push(await fetchMs(`${BASE}/api/v1/today`));
  const during: number[] = [];
  for (let run = 0; run < inFull(4, 1); run++) {
    let over = false;
    const forecast = fetch(`${BASE}/api/v1/estimates/outage`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        appliance: { kind: 'upright', litres: 300, fill: 0.6 },
        hours: 240,
        samples: 5000,
        openings: Array.from({ length: 60 }, (_, at) => ({ at_h: at * 4, seconds: 60 })),
      }),
    }).finally(() => (over = true));
    while (!over) during.push(await fetchMs(`${BASE}/api/v1/today`));
    await (await forecast).arrayBuffer();
  }
  return [
    {
      what: 'Today’s reads while the largest forecast runs / usual, p95',
      value: quantile(during, 0.95) / quantile(usual, 0.95),
      unit: '×',
    },
    { what: 'requests answered meanwhile', value: during.length, unit: '' },
  ];
}

async function connect(
  url: string | undefined,
): Promise<{ db: Connection; household: { id: number; feedKey: string } }> {
  const db = await createConnection({ uri: url ?? '' });
  const [rows] = await db.query('SELECT id, feed_key AS feedKey FROM household ORDER BY id LIMIT 1');
  const [household] = rows as { id: number; feedKey: string }[];
  if (!household) throw new Error('no household to measure');
  return { db, household };
}

/** The calendar feed of a household with 5,000 packages. */
async function feedOf5000(rounds = inFull(30, 2)): Promise<Measured[]> {
  const { db, household } = await connect(process.env.LARGE_DATABASE_URL);
  await crowd(db, household.id, 5000);
  await db.end();
  const took: number[] = [];
  for (let round = 0; round < rounds; round++)
    took.push(await fetchMs(`${LARGE}/calendar.ics?key=${household.feedKey}`));
  return [
    { what: 'calendar feed, 5,000 packages, median', value: quantile(took, 0.5), unit: 'ms' },
    { what: 'calendar feed, 5,000 packages, p95', value: quantile(took, 0.95), unit: 'ms' },
  ];
}

/** Today's reads with 200 and with 20,000 packages of the same spread, request by request in turn. */
async function todayFewAgainstMany(rounds = inFull(200, 3)): Promise<Measured[]> {
  for (const [url, count] of [
    [process.env.DATABASE_URL, 200],
    [process.env.LARGE_DATABASE_URL, inFull(20_000, 400)],
  ] as const) {
    const { db, household } = await connect(url);
    await crowd(db, household.id, count);
    await db.end();
  }
  const measured: Measured[] = [];
  for (const [what, address] of [
    ['Today’s reads (API)', '/api/v1/today'],
    ['Today’s page', '/'],
  ] as const) {
    const few: number[] = [];
    const many: number[] = [];
    for (let round = -20; round < rounds; round++) {
      const a = await fetchMs(`${BASE}${address}`);
      const b = await fetchMs(`${LARGE}${address}`);
      if (round < 0) continue;
      few.push(a);
      many.push(b);
    }
    measured.push(
      { what: `${what}, 200 packages, p95`, value: quantile(few, 0.95), unit: 'ms' },
      { what: `${what}, 20,000 packages, p95`, value: quantile(many, 0.95), unit: 'ms' },
      { what: `${what}, 20,000 / 200, p95`, value: quantile(many, 0.95) / quantile(few, 0.95), unit: '×' },
      { what: `${what}, 20,000 / 200, median`, value: quantile(many, 0.5) / quantile(few, 0.5), unit: '×' },
    );
  }
  return measured;
}

/** JavaScript the browser fetches for a page, as sent (gzip). */
async function scriptBytes(): Promise<Measured[]> {
  const html = await (await fetch(`${BASE}/`, { headers: { cookie: await chosenOn(BASE) } })).text();
  // What only browsers of long ago fetch is not counted.
  const modern = html.replaceAll(/<script[^>]*noModule[^>]*>/gi, '');
  const old = [...html.matchAll(/<script[^>]*noModule[^>]*>/gi)].map(
    ([tag]) => /src="([^"]+)"/.exec(tag)?.[1],
  );
  const scripts = new Set(
    [...modern.matchAll(/\/_next\/static\/[^"\\]+?\.js/g)]
      .map(([address]) => address)
      .filter((address) => !old.includes(address)),
  );
  let bytes = 0;
  for (const address of scripts)
    bytes += gzipSync(Buffer.from(await (await fetch(`${BASE}${address}`)).arrayBuffer())).length;
  return [
    { what: 'JavaScript for Today, gzip', value: bytes / 1024, unit: 'KiB' },
    { what: 'HTML of Today, gzip', value: gzipSync(html).length / 1024, unit: 'KiB' },
  ];
}

/** One-package hauls from ten clients at once. */
async function commandsPerSecond(seconds = inFull(8, 1)): Promise<Measured[]> {
  const today = new Date().toISOString().slice(0, 10);
  const body = () =>
    JSON.stringify({
      id: randomUUID(),
      type: 'haul.store',
      lines: [{ food: 'trout', amount: 400, unit: 'g', start: { did: 'bought', on: today } }],
    });
  const result = await autocannon({
    url: `${BASE}/api/v1/commands`,
    connections: 10,
    duration: seconds,
    requests: [
      {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        setupRequest: (request) => ({ ...request, body: body() }),
      },
    ],
  });
  return [
    { what: 'commands a second, 10 clients', value: result['2xx'] / result.duration, unit: '/s' },
    { what: 'of them refused or failed', value: result.non2xx + result.errors, unit: '' },
  ];
}

/** Governing dates in the core: every food, histories of six events. */
function governingDates(count = inFull(100_000, 2_000)): Measured[] {
  const rows = (name: string): TableRow[] =>
    parse(readFileSync(path.join(process.cwd(), 'data', name), 'utf8'), { columns: true, bom: true });
  const { classes } = readOutageClasses('outage.csv', rows('outage.csv'));
  const foods = readFoods('foods.csv', rows('foods.csv'), classes).foods.filter(
    ({ freezeFit, thawedDays }) => freezeFit !== 'no' && thawedDays !== null,
  );
  const history: HistoryEvent[] = [
    { did: 'bought', on: '2027-03-01' },
    { did: 'moved', on: '2027-03-01', c: 3 },
    { did: 'frozen', on: '2027-03-01' },
    { did: 'moved', on: '2027-03-01', c: -20 },
    { did: 'thawing', on: '2027-04-01' },
    { did: 'thawed', on: '2027-04-01', method: 'fridge' },
  ];
  const conditions = { ...USUAL_CONDITIONS };
  let days = 0;
  const begun = performance.now();
  for (let at = 0; at < count; at++) {
    const food = foods[at % foods.length];
    if (food) days += keepingOn(judgeKeeping(food, history, '2027-04-02', conditions), '2027-04-02').daysLeft;
  }
  const seconds = (performance.now() - begun) / 1000;
  if (!Number.isFinite(days)) throw new Error('no dates');
  return [
    { what: `${count.toLocaleString('en')} governing dates, 6 events each`, value: seconds, unit: 's' },
    { what: 'governing dates a second, one core', value: count / seconds, unit: '/s' },
  ];
}

/** The stock of 20,000 against 200, twenty takers, and scrolling. */
/** Works with the small household and the large one, and lets go of both. */
async function bothSides(work: (small: Side, large: Side) => Promise<Measured[]>): Promise<Measured[]> {
  const [few, many] = await Promise.all([
    connect(process.env.DATABASE_URL),
    connect(process.env.LARGE_DATABASE_URL),
  ]);
  try {
    return await work(
      { base: BASE, db: few.db, household: few.household.id },
      { base: LARGE, db: many.db, household: many.household.id },
    );
  } finally {
    await few.db.end();
    await many.db.end();
  }
}

const stockMany = (): Promise<Measured[]> =>
  bothSides(async (small, large) => [
    ...(await stockFewAgainstMany(small, large)),
    ...(await scrollStock(large)),
    ...(await twentyTakers(large, Number(process.env.TAKERS_SECONDS ?? inFull(180, 2)))),
  ]);

/** What is measured, by name; `BENCH_ONLY` chooses some of them. */
const WORK: Record<string, () => Promise<Measured[]> | Measured[]> = {
  dates: governingDates,
  fit: fitOf20Kinds,
  script: scriptBytes,
  today: () => todayAgainstEmpty(BASE, 'the demo’s'),
  feed: feedOf5000,
  many: async () => [...(await todayFewAgainstMany()), ...(await todayAgainstEmpty(LARGE, '20,000'))],
  stock: stockMany,
  forecast: duringForecast,
  cuts: () => [...judgedAndForecast(), ...coverage()],
  meals: measureMeals,
  rounds: () => bothSides(roundsAndLookBack),
  places: () => placeToPlace(BASE),
  commands: commandsPerSecond,
  households: tenHouseholds,
  haul: () => haulOf50(BASE),
  line: () => benchInBrowser(LARGE),
  drag: () => dragAmong200(BASE),
  // Last: its runs to proof leave no time for an open connection.
  placement: () => placement60(BASE),
};

const wanted = (process.env.BENCH_ONLY ?? Object.keys(WORK).join(',')).split(',');
const measured: Measured[] = [];
const failed: string[] = [];
for (const name of wanted) {
  const begun = performance.now();
  try {
    const work = WORK[name];
    if (!work) throw new Error(`There is no measure “${name}”: ${Object.keys(WORK).join(', ')}.`);
    measured.push(...(await work()));
    console.log(`${name}: measured in ${((performance.now() - begun) / 1000).toFixed(1)} s`);
  } catch (error) {
    // The others go on.
    console.error(`${name} failed:`, error);
    failed.push(name);
  }
}
console.table(measured.map(({ what, value, unit }) => ({ what, value: Number(value.toPrecision(4)), unit })));
writeFileSync(process.env.BENCH_OUT ?? 'bench.json', JSON.stringify(measured, null, 2));
if (failed.length > 0) {
  console.error(`Not measured: ${failed.join(', ')}`);
  process.exitCode = 1;
}
