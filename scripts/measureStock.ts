import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import type { Connection } from 'mysql2/promise';
import { crowd } from '../tests/fixtures/crowd';
import type { Measured } from './measureKitchen';
import { quantile } from './quantile';
import { inFull } from './benchScale';

const FEW = inFull(200, 100);
const MANY = inFull(20_000, 400);
const EVENTS = inFull(100_000, 1_000);
const ROUNDS = inFull(60, 1);
const TAKERS = inFull(20, 4);
const SCROLL_MS = inFull(6000, 800);

/** A server with its household. */
export interface Side {
  base: string;
  db: Connection;
  household: number;
}

interface Seen {
  id: string;
  version: number;
  code: string;
}

const cookieOf = (household: number): string => `orderly-frost-household=${household}`;

async function read<Body>({ base, household }: Side, address: string): Promise<Body> {
  const response = await fetch(`${base}${address}`, { headers: { cookie: cookieOf(household) } });
  if (!response.ok) throw new Error(`${address}: ${response.status} ${await response.text()}`);
  return (await response.json()) as Body;
}

async function tell({ base, household }: Side, command: Record<string, unknown>): Promise<Response> {
  return fetch(`${base}/api/v1/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: cookieOf(household) },
    body: JSON.stringify({ id: randomUUID(), ...command }),
  });
}

/** A ledger as long as years make it: small events of packages that are here, older than everything else. */
export async function lengthen({ db, household }: Side, events: number): Promise<void> {
  await db.query(
    `INSERT INTO command (id, household_id, type, digest, at, recorded_at, says, response)
     SELECT UUID(), ?, 'package.answer', '', NOW(3) - INTERVAL 90 DAY, NOW(3) - INTERVAL 90 DAY, 'Looked at.', '{}'
       FROM seq_1_to_1000`,
    [household],
  );
  await db.query(
    `INSERT INTO ledger_event (household_id, command_id, seq, type, package_id, at, says, before_image, after_image)
     SELECT ?, told.id, numbers.seq, 'package.answered', found.id, told.at, 'Looked at.', NULL, '{"amount": 1}'
       FROM (SELECT id, at FROM command
              WHERE household_id = ? AND says = 'Looked at.'
                AND NOT EXISTS (SELECT 1 FROM ledger_event WHERE ledger_event.household_id = command.household_id
                                                             AND ledger_event.command_id = command.id)
              LIMIT 1000) AS told
       JOIN (SELECT seq FROM seq_1_to_${Math.ceil(events / 1000)}) AS numbers
       JOIN (SELECT id FROM package WHERE household_id = ? LIMIT 1) AS found`,
    [household, household, household],
  );
}

/** Taking, finding, Stock's first page and Today of 20,000 packages and 100,000 events against 200, in turn, each after a change. */
export async function stockFewAgainstMany(few: Side, many: Side): Promise<Measured[]> {
  await crowd(few.db, few.household, FEW);
  await crowd(many.db, many.household, MANY);
  await lengthen(many, EVENTS);
  const took: Record<string, { few: number[]; many: number[] }> = {};
  const timed = async (what: string, side: 'few' | 'many', work: () => Promise<unknown>): Promise<void> => {
    const begun = performance.now();
    await work();
    const at = (took[what] ??= { few: [], many: [] });
    at[side].push(performance.now() - begun);
  };
  const page = (side: Side, address: string) => async () => {
    const response = await fetch(`${side.base}${address}`, { headers: { cookie: cookieOf(side.household) } });
    if (!response.ok) throw new Error(`${address}: ${response.status}`);
    await response.text();
  };
  const round = async (name: 'few' | 'many', side: Side, counts: boolean): Promise<void> => {
    const { packages } = await read<{ packages: Seen[] }>(side, '/api/v1/stock?q=trout&limit=50');
    const one = packages[Math.floor(Math.random() * packages.length)];
    if (!one) throw new Error('no trout left to take');
    const run = counts ? timed : (_: string, __: string, work: () => Promise<unknown>) => work();
    const taking = randomUUID();
    await run('take', name, async () => {
      const answer = await tell(side, {
        id: taking,
        type: 'package.take',
        package: one.id,
        version: one.version,
      });
      if (!answer.ok) throw new Error(await answer.text());
    });
    await run('find after it', name, () => read(side, '/api/v1/find?q=where+is+the+haddock'));
    await run('Stock after it', name, page(side, '/stock'));
    await tell(side, { type: 'ledger.undo', command: taking, meanwhile: 'cold' });
    await run('Today after a command', name, page(side, '/'));
  };
  for (let at = -8; at < ROUNDS; at++) {
    await round('few', few, at >= 0);
    await round('many', many, at >= 0);
  }
  return Object.entries(took).flatMap(([what, sides]): Measured[] => [
    { what: `${what}, 200 packages, p95`, value: quantile(sides.few, 0.95), unit: 'ms' },
    {
      what: `${what}, 20,000 packages and 100,000 events, p95`,
      value: quantile(sides.many, 0.95),
      unit: 'ms',
    },
    {
      what: `${what}, many / few, p95`,
      value: quantile(sides.many, 0.95) / quantile(sides.few, 0.95),
      unit: '×',
    },
    {
      what: `${what}, many / few, median`,
      value: quantile(sides.many, 0.5) / quantile(sides.few, 0.5),
      unit: '×',
    },
  ]);
}

/** Twenty take at once, and take back; afterwards what is here is what the answers said. */
export async function twentyTakers(side: Side, seconds: number): Promise<Measured[]> {
  const before = await read<{ all: number }>(side, '/api/v1/stock/groups?limit=1');
  const until = performance.now() + seconds * 1000;
  let [taken, back, refused, broken, asked] = [0, 0, 0, 0, 0];
  const waits: number[] = [];
  await Promise.all(
    Array.from({ length: TAKERS }, async () => {
      while (performance.now() < until) {
        const { packages } = await read<{ packages: Seen[] }>(side, '/api/v1/stock?q=frozen&limit=40');
        const one = packages[Math.floor(Math.random() * packages.length)];
        if (!one) return;
        const id = randomUUID();
        const begun = performance.now();
        const answer = await tell(side, { id, type: 'package.take', package: one.id, version: one.version });
        waits.push(performance.now() - begun);
        asked += 1;
        if (answer.status >= 500) broken += 1;
        else if (!answer.ok) refused += 1;
        else {
          taken += 1;
          if (Math.random() < 0.7) {
            const undo = await tell(side, { type: 'ledger.undo', command: id, meanwhile: 'cold' });
            if (undo.status >= 500) broken += 1;
            else if (undo.ok) back += 1;
          }
        }
      }
    }),
  );
  const after = await read<{ all: number }>(side, '/api/v1/stock/groups?limit=1');
  return [
    { what: `${TAKERS} takers at once for ${seconds} s: taken`, value: taken, unit: '' },
    { what: 'of them taken back', value: back, unit: '' },
    { what: 'somebody else was first', value: refused, unit: '' },
    { what: 'errors', value: broken, unit: '' },
    { what: 'lost or doubled', value: Math.abs(before.all - taken + back - after.all), unit: '' },
    { what: 'a taking among them, p95', value: quantile(waits, 0.95), unit: 'ms' },
    { what: 'takings a second', value: asked / seconds, unit: '/s' },
  ];
}

/** Stock with 20,000 packages, groups opened, scrolled by the wheel: time a frame, from the browser's trace. */
export async function scrollStock({ base, household }: Side): Promise<Measured[]> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([{ name: 'orderly-frost-household', value: String(household), url: base }]);
    const page = await context.newPage();
    await page.goto(`${base}/stock`);
    // Opens the groups in sight, each with up to 500 packages.
    await page.waitForTimeout(1500);
    const groups = page.locator('[data-group-name][aria-expanded=false]');
    // From below, so that the next one stays in sight.
    for (let open = 0; open < 5; open++) await groups.last().click();
    await page.waitForTimeout(2500);
    await page.mouse.move(400, 500);
    await browser.startTracing(page, {
      categories: ['disabled-by-default-devtools.timeline.frame', 'devtools.timeline.frame'],
    });
    const until = performance.now() + SCROLL_MS;
    while (performance.now() < until) await page.mouse.wheel(0, 90);
    const trace = JSON.parse((await browser.stopTracing()).toString()) as {
      traceEvents: { name: string; ts: number }[];
    };
    const rows = await page.locator('tbody tr[data-index]').count();
    const drawn = trace.traceEvents
      .filter(({ name }) => name === 'DrawFrame')
      .map(({ ts }) => ts / 1000)
      .sort((a, b) => a - b);
    const gaps = drawn.slice(1).map((at, index) => at - (drawn[index] ?? at));
    return [
      { what: 'Stock of 20,000 scrolled, frame time p95', value: quantile(gaps, 0.95), unit: 'ms' },
      { what: 'rows drawn of it at once', value: rows, unit: '' },
    ];
  } finally {
    await browser.close();
  }
}
