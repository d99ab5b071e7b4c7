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
import { dragAmong200, fitOf20Kinds, type Measured, placement60 } from './measureKitchen';

const BASE = process.env.BASE_URL ?? 'http://localhost:3000';
const LARGE = process.env.LARGE_URL ?? BASE;

async function fetchMs(url: string): Promise<number> {
  const begun = performance.now();
  const response = await fetch(url);
  await response.text();
  return performance.now() - begun;
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/** Today with the demo's packages against the page that has nothing on it, request by request in turn. */
async function todayAgainstEmpty(rounds = 200): Promise<Measured[]> {
  const today: number[] = [];
  const empty: number[] = [];
  for (let round = -20; round < rounds; round++) {
    const a = await fetchMs(`${BASE}/`);
    const b = await fetchMs(`${BASE}/blank`);
    if (round < 0) continue;
    today.push(a);
    empty.push(b);
  }
  const { total } = (await (await fetch(`${BASE}/api/v1/stock?limit=1`)).json()) as { total: number };
  return [
    { what: 'packages in the store', value: total, unit: '' },
    { what: 'Today, median', value: quantile(today, 0.5), unit: 'ms' },
    { what: 'empty page, median', value: quantile(empty, 0.5), unit: 'ms' },
    { what: 'Today / empty page', value: quantile(today, 0.5) / quantile(empty, 0.5), unit: '×' },
    { what: 'Today, p95', value: quantile(today, 0.95), unit: 'ms' },
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
async function feedOf5000(rounds = 30): Promise<Measured[]> {
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
async function todayFewAgainstMany(rounds = 200): Promise<Measured[]> {
  for (const [url, count] of [
    [process.env.DATABASE_URL, 200],
    [process.env.LARGE_DATABASE_URL, 20_000],
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
  const html = await (await fetch(`${BASE}/`)).text();
  const scripts = new Set([...html.matchAll(/\/_next\/static\/[^"\\]+?\.js/g)].map(([address]) => address));
  let bytes = 0;
  for (const address of scripts)
    bytes += gzipSync(Buffer.from(await (await fetch(`${BASE}${address}`)).arrayBuffer())).length;
  return [
    { what: 'JavaScript for Today, gzip', value: bytes / 1024, unit: 'KiB' },
    { what: 'HTML of Today, gzip', value: gzipSync(html).length / 1024, unit: 'KiB' },
  ];
}

/** One-package hauls from ten clients at once. */
async function commandsPerSecond(seconds = 8): Promise<Measured[]> {
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
function governingDates(count = 100_000): Measured[] {
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

const measured = [
  ...governingDates(),
  ...fitOf20Kinds(),
  ...(await scriptBytes()),
  ...(await todayAgainstEmpty()),
  ...(await feedOf5000()),
  ...(await todayFewAgainstMany()),
  ...(await commandsPerSecond()),
  ...(await haulOf50(BASE)),
  ...(await benchInBrowser(LARGE)),
  ...(await dragAmong200(BASE)),
  // Last: its runs to proof leave no time for an open connection.
  ...(await placement60(BASE)),
];
console.table(measured.map(({ what, value, unit }) => ({ what, value: Number(value.toPrecision(4)), unit })));
writeFileSync(process.env.BENCH_OUT ?? 'bench.json', JSON.stringify(measured, null, 2));
