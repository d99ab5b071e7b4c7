import { createConnection, type Connection } from 'mysql2/promise';
import type { HistoryEvent } from '@/core/model/history';
import { USUAL_CONDITIONS } from '@/core/model/history';
import { judgeKeeping } from '@/core/keeping/judgeKeeping';
import { firstOutKey } from '@/core/firstout/firstOutKey';
import type { Package } from '@/core/model/package';
import { fromJson } from '@/store/database';
import { command, get, line } from '../fixtures/api';
import { food } from '../fixtures/reference';

let db: Connection;
beforeAll(async () => {
  db = await createConnection({ uri: process.env.DATABASE_URL ?? '', dateStrings: true });
});
afterAll(() => db.end());

async function rows<Row>(statement: string): Promise<Row[]> {
  const [found] = await db.query(statement);
  return found as Row[];
}

const images = async (): Promise<Package[]> =>
  (await rows<{ image: unknown }>('SELECT image FROM package')).map(({ image }) => fromJson<Package>(image));

describe('the demo household', () => {
  it('shows every band, state and shape', async () => {
    // All of it, since other suites may have stored a lot before.
    const views: Record<string, unknown>[] = [];
    for (let after = ''; ;) {
      const { body } = await get(`/api/v1/stock?limit=500${after}`);
      views.push(...body.packages);
      if (body.next === null) break;
      after = `&after=${encodeURIComponent(body.next)}`;
    }
    const seen = (key: string) => new Set(views.map((view) => view[key]));
    expect(seen('band')).toEqual(new Set(['past', 'today', 'soon', 'settled']));
    expect(seen('state')).toEqual(new Set(['chilled', 'frozen', 'thawing', 'counter']));
    expect(seen('verdict')).toEqual(new Set(['eat', 'look-first', 'discard']));
    const names = (await images()).map(({ called }) => called);
    expect(names).toEqual(
      expect.arrayContaining(['Nameless lump', 'Mussels', 'Chowder', 'Bannocks', 'Quark', 'Damsons']),
    );
  });
});

describe('what is stored agrees with itself', () => {
  it('every date is what the core makes of the history', async () => {
    const own = new Set(
      (await rows<{ id: string }>("SELECT id FROM food WHERE id LIKE 'own-%'")).map(({ id }) => id),
    );
    const all = (await images()).filter(({ foodId, gone }) => !own.has(foodId) && gone === null);
    expect(all.length).toBeGreaterThan(80);
    for (const image of all) {
      const told = judgeKeeping(food(image.foodId), image.history as HistoryEvent[], '2999-01-01', {
        ...USUAL_CONDITIONS,
        printed: image.printed,
        wrap: image.wrap ?? USUAL_CONDITIONS.wrap,
        blanched: image.blanched,
      });
      expect([image.code, image.useBy, image.bestBy, image.state]).toEqual([
        image.code,
        told.useBy,
        told.bestBy,
        told.state,
      ]);
      expect(image.trail).toEqual(told.trail);
    }
  });

  it('the columns beside an image say the same as the image', async () => {
    const stored = await rows<Record<string, unknown>>('SELECT * FROM package');
    for (const row of stored) {
      const image = fromJson<Package>(row.image);
      expect([
        row.code,
        row.here,
        row.use_by,
        row.best_by,
        row.governing_date,
        row.version,
        row.amount,
      ]).toEqual([
        image.code,
        image.gone === null ? 1 : 0,
        image.useBy,
        image.bestBy,
        image.governingDate,
        image.version,
        image.amount,
      ]);
      expect(row.first_out).toBe(firstOutKey(image));
      expect(row.zone_id).toBe(image.gone === null ? image.zoneId : null);
    }
  });

  it('the ledger, replayed, gives every package as it is now', async () => {
    const events = await rows<{ before_image: string | null; after_image: unknown }>(
      'SELECT before_image, after_image FROM ledger_event WHERE setting IS NULL ORDER BY id',
    );
    const replayed = new Map<string, Package>();
    for (const { before_image, after_image } of events) {
      const after = fromJson<Package>(after_image);
      const before = before_image === null ? undefined : fromJson<Package>(before_image);
      // Each event goes on from where the one before it left the package.
      expect(replayed.get(after.id)).toEqual(before);
      replayed.set(after.id, after);
    }
    const now = new Map((await images()).map((image) => [image.id, image]));
    expect(replayed).toEqual(now);
  });

  it('what is counted beside the packages is what counting them gives', async () => {
    const tallied = await rows(
      `SELECT household_id, ask_on, governing_date, best_by, zone_id, quality, condemned, frozen, packages
         FROM day_tally
        ORDER BY 1, 2, 3, 4, 5, 6, 7, 8`,
    );
    const counted = await rows(
      `SELECT household_id, ask_on, governing_date, best_by, COALESCE(zone_id, '') AS zone_id, quality, condemned,
              state = 'frozen' AS frozen, COUNT(*) AS packages
         FROM package
        WHERE here = TRUE
        GROUP BY 1, 2, 3, 4, 5, 6, 7, 8
        ORDER BY 1, 2, 3, 4, 5, 6, 7, 8`,
    );
    expect(tallied.length).toBeGreaterThan(20);
    expect(tallied).toEqual(counted);
    const filled = await rows(
      'SELECT zone_id, packages, litres FROM zone_fill WHERE packages > 0 ORDER BY zone_id',
    );
    expect(filled).toEqual(
      await rows(
        `SELECT zone_id, COUNT(*) AS packages, SUM(litres) AS litres
           FROM package
          WHERE here = TRUE AND zone_id IS NOT NULL
          GROUP BY zone_id
          ORDER BY zone_id`,
      ),
    );
  });

  it('packages add up to their lots in money, and codes are never used twice', async () => {
    const off = await rows(
      `SELECT lot.id
         FROM lot
         JOIN ledger_event AS event ON event.command_id = lot.command_id
        WHERE event.type = 'package.stored'
          AND JSON_VALUE(event.after_image, '$.lotId') = lot.id
        GROUP BY lot.id
       HAVING SUM(JSON_VALUE(event.after_image, '$.amount')) <> MAX(lot.amount)
           OR SUM(JSON_VALUE(event.after_image, '$.priceMinor')) <> MAX(lot.price_minor)`,
    );
    expect(off).toEqual([]);
    const all = await images();
    expect(new Set(all.map(({ code }) => code)).size).toBe(all.length);
  });
});

describe('many hands', () => {
  it('ten taking the same package at once: one gets it, nine are told how it stands', async () => {
    const { body } = await command({ type: 'haul.store', lines: [line({ packs: 1, amount: 500 })] });
    const [{ id }] = body.answers[0].packages;
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => command({ type: 'package.take', package: id, version: 1 })),
    );
    const statuses = answers.map(({ status }) => status).sort();
    expect(statuses).toEqual([200, ...Array(9).fill(409)]);
  });

  it('a package’s whole life through the door, each step with its rule', async () => {
    const { zones } = (await get('/api/v1/zones')).body;
    const zoneOf = (name: string): string => zones.find((zone: { name: string }) => zone.name === name).id;
    const { body } = await command({
      type: 'haul.store',
      lines: [line({ food: 'venison', amount: 900, packs: 1, zone: zoneOf('Lower shelf') })],
    });
    const [{ id, code }] = body.answers[0].packages;
    const steps: [Record<string, unknown>, number, string | null][] = [
      [{ type: 'package.move', zone: zoneOf('Layer 1') }, 422, 'place'],
      [{ type: 'package.freeze', zone: zoneOf('Top shelf') }, 422, 'place'],
      [{ type: 'package.freeze', zone: zoneOf('Layer 1') }, 200, null],
      [{ type: 'package.freeze', zone: zoneOf('Layer 1') }, 422, 'K5'],
      [{ type: 'package.thaw', method: 'metal' }, 422, 'K6'],
      [{ type: 'package.thaw', method: 'fridge' }, 422, 'place'],
      [{ type: 'package.thaw', method: 'fridge', zone: zoneOf('Lower shelf') }, 200, null],
      [{ type: 'package.freeze', zone: zoneOf('Layer 2') }, 200, null],
      [{ type: 'package.take', amount: 901 }, 422, 'amount'],
      [{ type: 'package.take', amount: 400 }, 200, null],
      [{ type: 'package.discard', reason: 'unwanted' }, 200, null],
      [{ type: 'package.take' }, 422, 'gone'],
    ];
    for (const [step, status, rule] of steps) {
      const { version } = (await get(`/api/v1/packages/${code}`)).body;
      const answer = await command({ ...step, package: id, version });
      expect([step, answer.status, answer.body.error?.rule ?? null]).toEqual([step, status, rule]);
    }
    const { body: told } = await get(`/api/v1/packages/${code}`);
    expect(told.gone).toMatchObject({ how: 'discarded', reason: 'unwanted' });
    expect(told.trail.map(({ rule }: { rule: string }) => rule)).toEqual(
      expect.arrayContaining(['K2', 'K5', 'K7', 'K8']),
    );
  });
});
