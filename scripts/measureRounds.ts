import { randomUUID } from 'node:crypto';
import { crowd } from '../tests/fixtures/crowd';
import { foods as all } from '../tests/fixtures/reference';
import type { Measured } from './measureKitchen';
import { lengthen, type Side } from './measureStock';
import { quantile } from './quantile';
import { ORDERLY } from './simulate/habits';
import { USUAL_TRUTH } from './simulate/larder';
import { liveYear } from './simulate/year';
import { inFull } from './benchScale';

const TIMES = inFull(30, 1);
const PACKAGES = inFull(20_000, 400);
const EVENTS = inFull(80_000, 800);

/** A year's losses among the events: every package thrown out once, with its whole image. */
async function lose({ db, household }: Side): Promise<void> {
  await db.query(
    `INSERT INTO ledger_event (household_id, command_id, seq, type, package_id, at, says, before_image, after_image)
     SELECT ?, told.id, 500 + nth DIV 1000, 'package.discarded', found.id, NOW(3) - INTERVAL nth MOD 360 DAY, 'Binned.', found.image,
            JSON_SET(found.image, '$.gone', JSON_OBJECT('how', 'discarded', 'on', '2026-01-01', 'reason', 'spoiled'))
       FROM (SELECT id, image, ROW_NUMBER() OVER (ORDER BY id) AS nth FROM package WHERE household_id = ?) AS found
       JOIN (SELECT id, ROW_NUMBER() OVER (ORDER BY id) - 1 AS place
               FROM command WHERE household_id = ? AND says = 'Looked at.' LIMIT 1000) AS told
         ON told.place = found.nth MOD 1000`,
    [household, household, household],
  );
}

const headers = ({ household }: Side): Record<string, string> => ({
  cookie: `orderly-frost-household=${household}`,
});

async function readMs(side: Side, address: string): Promise<number> {
  const begun = performance.now();
  const response = await fetch(`${side.base}${address}`, { headers: headers(side) });
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  await response.text();
  return performance.now() - begun;
}

/** Something goes through the door: whatever was kept is old then. */
async function touch(side: Side): Promise<void> {
  const told = {
    id: randomUUID(),
    type: 'asking.keep',
    words: `frozen ${randomUUID().slice(0, 8)}`,
    keep: true,
  };
  const response = await fetch(`${side.base}/api/v1/commands`, {
    ...{ method: 'POST', body: JSON.stringify(told) },
    headers: { ...headers(side), 'content-type': 'application/json' },
  });
  if (!response.ok) throw new Error(await response.text());
}

/** Rounds and the week's page against an empty one, each first after a command; the charts over 100,000 events; a simulated year. */
export async function roundsAndLookBack(few: Side, many: Side): Promise<Measured[]> {
  const measured: Measured[] = [];
  for (const address of ['/rounds', '/meals'])
    for (const [when, before] of [
      ['nothing changed since', () => Promise.resolve()],
      ['first after a command', () => touch(few)],
    ] as const) {
      const [page, empty]: [number[], number[]] = [[], []];
      for (let at = -5; at < TIMES; at++) {
        await before();
        const took = await readMs(few, address);
        const blank = await readMs(few, '/blank');
        if (at < 0) continue;
        page.push(took);
        empty.push(blank);
      }
      measured.push(
        { what: `${address}, ${when}, median`, value: quantile(page, 0.5), unit: 'ms' },
        {
          what: `${address}, ${when} / an empty page`,
          value: quantile(page, 0.5) / quantile(empty, 0.5),
          unit: '×',
        },
      );
    }
  await crowd(many.db, many.household, PACKAGES);
  await lengthen(many, EVENTS);
  await lose(many);
  const charts: number[] = [];
  for (let at = 0; at < inFull(5, 1); at++) {
    await touch(many);
    charts.push(await readMs(many, '/api/v1/look-back'));
  }
  const foods = new Map(all.map((food) => [food.id, food]));
  const begun = performance.now();
  for (let seed = 1; seed <= inFull(5, 1); seed++) liveYear(ORDERLY, seed, USUAL_TRUTH, foods);
  measured.push(
    {
      what: 'look back over 20,000 packages and 100,000 events, worst of 5',
      value: Math.max(...charts),
      unit: 'ms',
    },
    { what: 'a simulated year', value: (performance.now() - begun) / 5000, unit: 's' },
  );
  return measured;
}
