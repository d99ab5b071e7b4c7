import { randomUUID } from 'node:crypto';
import { createConnection } from 'mysql2/promise';
import { indexFoods } from '@/core/foods/findFood';
import type { IntakeLine } from '@/core/model/intakeLine';
import { toApiLine } from '@/services/door/apiLine';
import type { Vocabulary } from '@/services/household/foods';
import { previewLine } from '@/ui/quickline/previewLine';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { type Answer, command, get, line, post } from '../fixtures/api';
import { readPages } from '../fixtures/readPages';

// A database of its own, with two copies of the server on it.
let database: { url: string; close(): Promise<void> };
const pids: number[] = [];
let [one, two] = ['', ''];

beforeAll(async () => {
  database = await openThrowaway('leaks');
  await prepareDatabase(database.url);
  const begun = [];
  for (let copy = 0; copy < 2; copy++) {
    const port = await freePort();
    const server = await serve({ port, host: '127.0.0.1', url: database.url, quiet: true });
    pids.push(server.pid as number);
    begun.push(`http://localhost:${port}`);
  }
  [one, two] = begun as [string, string];
});
afterAll(async () => {
  for (const pid of pids) await stopPid(pid);
  await database.close();
});

const today = (): string => new Date().toISOString().slice(0, 10);
const daysOn = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
const told = (body: Record<string, unknown>, base = one): Promise<Answer> => command(body, base);
const packageOf = async (code: string) => (await get(`/api/v1/packages/${code}`, one)).body;
const zoneNamed = async (name: string) =>
  (await get('/api/v1/zones', one)).body.zones.find((zone: { name: string }) => zone.name === name);
async function store(
  more: Record<string, unknown>,
  base = one,
): Promise<{ id: string; code: string; version: number }[]> {
  const { status, body } = await told(
    { type: 'haul.store', lines: [line({ packs: 1, amount: 300, ...more })] },
    base,
  );
  expect([status, body.error]).toEqual([200, undefined]);
  return body.answers[0].packages;
}
const wish = (fridgeDays: number | null, base = one) =>
  told({ type: 'food.wish', food: 'ham-sliced', wish: { fridgeDays } }, base);

describe('figures are those that stand under the household’s lock', () => {
  it('a store that races a stricter wish never keeps the loose date, from whichever copy of the server', async () => {
    for (let round = 0; round < 8; round++) {
      await wish(null);
      const [stored] = await Promise.all([
        store({ food: 'ham-sliced' }, round % 2 === 0 ? one : two),
        wish(1, round % 3 === 0 ? one : two),
      ]);
      expect((await packageOf(stored[0]?.code ?? '')).use_by).toBe(daysOn(1));
    }
    const [other] = await store({ food: 'ham-sliced' }, two);
    expect((await packageOf(other?.code ?? '')).use_by).toBe(daysOn(1));
    await wish(null, two);
    const [again] = await store({ food: 'ham-sliced' }, one);
    expect((await packageOf(again?.code ?? '')).use_by > daysOn(1)).toBe(true);
  });

  it('a list that sets a wish and then fails leaves no figure of it behind', async () => {
    const failed = await post(
      '/api/v1/commands',
      [
        { id: randomUUID(), type: 'food.wish', food: 'ham-sliced', wish: { fridgeDays: 1 } },
        { id: randomUUID(), type: 'package.open', package: randomUUID(), version: 1 },
      ],
      one,
    );
    expect(failed.status).toBe(404);
    await told({ type: 'food.wish', food: 'milk', wish: { fridgeDays: 2 } });
    const [stored] = await store({ food: 'ham-sliced' });
    expect((await packageOf(stored?.code ?? '')).use_by > daysOn(1)).toBe(true);
  });

  it('a stricter figure that ships dates what lies there at the next start, earlier only, once, and says so', async () => {
    const [lying] = await store({ food: 'ham-sliced' });
    const before = await packageOf(lying?.code ?? '');
    const db = await createConnection({ uri: database.url });
    await db.query(
      `UPDATE food SET figures = JSON_SET(figures, '$.fridgeDaysMax', 2) WHERE id = 'ham-sliced'`,
    );
    await db.query(
      `UPDATE food SET figures = JSON_SET(figures, '$.fridgeDaysMax', 30, '$.fridgeDaysMin', 30) WHERE id = 'milk'`,
    );
    await db.query(`DELETE FROM reference_file WHERE name LIKE 'renewed:%'`);
    const milk = async () =>
      (await get('/api/v1/stock?q=milk&limit=50', one)).body.packages.map(
        (found: { use_by: string }) => found.use_by,
      );
    const milkBefore = await milk();
    await prepareDatabase(database.url);
    const after = await packageOf(lying?.code ?? '');
    expect([before.use_by > after.use_by, after.use_by]).toEqual([true, daysOn(2)]);
    expect(await milk()).toEqual(milkBefore);
    const newest = async () => (await get('/api/v1/ledger?limit=1', one)).body.entries[0];
    expect((await newest()).says).toMatch(/dated earlier|its date is earlier/);
    const { id } = await newest();
    await prepareDatabase(database.url);
    expect((await newest()).id).toBe(id);
    await db.end();
  });
});

describe('what comes back by an undo', () => {
  it('is dated as its twin, by what was read in its zone meanwhile', async () => {
    const shelf = await zoneNamed('Middle shelf');
    const [taken, twin] = await store({ food: 'ham-sliced', packs: 2, zone: shelf.id });
    const take = await told({ type: 'package.take', package: taken?.id, version: 1 });
    for (const celsius of [12, 3])
      expect((await told({ type: 'zone.measure', zone: shelf.id, celsius })).status).toBe(200);
    await told({ type: 'household.set', changes: { caution: 'careful' } });
    await told({ type: 'ledger.undo', command: take.body.answers[0].id });
    const [back, other] = [await packageOf(taken?.code ?? ''), await packageOf(twin?.code ?? '')];
    expect([back.use_by, back.best_by, back.trail]).toEqual([other.use_by, other.best_by, other.trail]);
    await told({ type: 'household.set', changes: { caution: 'usual' } });
  });

  it('a stay out of the cold is asked about, and counts', async () => {
    const [found] = await store({ food: 'quark', zone: (await zoneNamed('Middle shelf')).id });
    const since = new Date(Date.now() - 50 * 60_000).toISOString();
    const out = await told({ type: 'package.move', package: found?.id, version: 1, zone: null, at: since });
    const undo = { type: 'ledger.undo', command: out.body.answers[0].id };
    const asked = await told({ ...undo, meanwhile: 'ask' });
    expect([asked.status, asked.body.error.rule]).toEqual([422, 'meanwhile']);
    expect((await told(undo)).status).toBe(200);
    const trail = await told({ type: 'package.move', package: found?.id, version: 3, zone: null, at: since });
    expect(trail.status).toBe(200);
    // Fifty minutes and fifty more.
    const item = (await get('/api/v1/today', one)).body.counter.find(
      ({ id }: { id: string }) => id === found?.id,
    );
    expect(item.minutes_left).toBeLessThanOrEqual(20);
  });
});

describe('lists of zones', () => {
  it('mark the best, say what speaks against the others, and a rule of the house is hard until it is overruled', async () => {
    const [found] = await store({ food: 'ham-sliced' });
    const { places } = (await get(`/api/v1/packages/${found?.code}/places?state=chilled`, one)).body;
    expect(places.filter(({ best }: { best: boolean }) => best)).toEqual([places[0]]);
    expect(places.find(({ name }: { name: string }) => name === 'Door 1').against).toContain(
      '4 °C or colder',
    );
    const firstRaw = places.findIndex(({ against }: { against: string }) => against !== '');
    expect(places.slice(firstRaw).every(({ against }: { against: string }) => against !== '')).toBe(true);
    expect((await get(`/api/v1/packages/${found?.code}/places?state=warm`, one)).status).toBe(400);

    const { appliances } = (await get('/api/v1/today', one)).body;
    const fridge = (await get(`/api/v1/appliances/${appliances[0].id}`, one)).body;
    const drawn = structuredClone(fridge.drawing);
    const shelf = drawn.zones.find(({ name }: { name: string }) => name === 'Top shelf');
    shelf.person = 'Wren';
    const draw = await told({
      type: 'appliance.draw',
      appliance: drawn,
      version: fridge.view.version,
      rehome: [],
    });
    expect([draw.status, draw.body.error]).toEqual([200, undefined]);
    const move = { type: 'package.move', package: found?.id, version: 1, zone: shelf.id };
    const refused = await told(move);
    expect([refused.status, refused.body.error.rule]).toEqual([422, 'P4']);
    const against = (await get(`/api/v1/packages/${found?.code}/places?state=chilled`, one)).body.places;
    expect(against.find(({ id }: { id: string }) => id === shelf.id)).toMatchObject({
      best: false,
      against: 'This zone belongs to Wren.',
    });
    expect((await told({ ...move, anyway: true })).status).toBe(200);
    expect((await packageOf(found?.code ?? '')).note).toBe('Top shelf belongs to Wren.');
  });
});

it('the place told when the walk begins stays told; what would be proposed now is shown beside it', async () => {
  const haul = randomUUID();
  const now = new Date().toISOString();
  await told({ type: 'haul.begin', haul: { id: haul, name: 'Harbour shop', leftAt: now } });
  const milk = {
    id: randomUUID(),
    haul,
    position: 0,
    food: 'quark',
    amount: 500,
    unit: 'g',
    start: { did: 'bought', on: today() },
    parts: [{ amounts: [500], packing: 'as-it-is', container: null, goes: 'fridge', zone: null }],
    outSince: now,
  };
  await told({ type: 'haul.line', line: milk, version: null });
  await told({ type: 'haul.pack', haul, lines: [{ line: milk.id, version: 1 }] });
  const read = async () => (await get('/api/v1/haul/places', one)).body.places[0];
  const first = await read();
  const plan = { [first.packages[0].id]: { zone: first.zone.id, day: 0 } };
  expect((await told({ type: 'haul.set', haul, changes: { plan } })).status).toBe(200);
  await told({ type: 'zone.measure', zone: first.zone.id, celsius: 9 });
  const later = await read();
  expect(later.zone.id).toBe(first.zone.id);
  expect(later.changed).toContain('would be proposed now');
  expect(later.against[first.zone.id]).toContain('4 °C or colder');
});

describe('labels', () => {
  const labelOf = async (code: string): Promise<string> => {
    const response = await fetch(`${one}/api/v1/labels?codes=${code}&size=sheet-21`);
    const [page] = await readPages(response, []);
    return page?.text.replaceAll(/\s+/g, ' ') ?? '';
  };

  it('say what to do by food and state, with the package’s own days', async () => {
    const [ham] = await store({ food: 'ham-sliced', printed: { kind: 'use-by', date: daysOn(24) } });
    await told({ type: 'package.take', package: ham?.id, version: 1, amount: 100 });
    const [eggs] = await store({ food: 'eggs-in-shell', unit: 'pc', amount: 6 });
    const [peas] = await store({
      food: 'frozen-vegetables',
      start: { did: 'bought', on: today(), frozen: true },
    });
    const [chicken] = await store({
      food: 'chicken-thighs-raw',
      start: { did: 'bought', on: daysOn(-2) },
      frozen_on: today(),
    });
    expect(await labelOf(ham?.code ?? '')).toMatch(/open: within \d d/);
    expect(await labelOf(eggs?.code ?? '')).toContain('cook until white and yolk are firm');
    expect(await labelOf(peas?.code ?? '')).toMatch(/bought frozen .*cook from frozen/);
    expect(await labelOf(chicken?.code ?? '')).toContain('thaw in the fridge, use the same day');
  });
});

it.each([
  ['a year from now', () => new Date(Date.now() + 3e10).toISOString(), 400],
  ['the year 1', () => '0001-01-01T00:00:00Z', 400],
  ['the year 9999', () => '9999-01-01T00:00:00Z', 400],
  ['two months ago', () => new Date(Date.now() - 62 * 86_400_000).toISOString(), 400],
])('a command of %s is refused, plainly', async (_what, at, status) => {
  const answer = await told({ type: 'haul.store', at: at(), lines: [line()] });
  expect(answer.status).toBe(status);
  expect(answer.body.error.message.length).toBeGreaterThan(15);
});

it('what the quick line shows is what is stored, in every zone, warm ones too', async () => {
  const warm = await zoneNamed('Door 1');
  await told({ type: 'zone.measure', zone: warm.id, celsius: 8 });
  await told({ type: 'zone.measure', zone: (await zoneNamed('Layer 2')).id, celsius: -13 });
  const vocabulary: Vocabulary = (await get('/api/v1/vocabulary', one)).body;
  const known = { ...vocabulary, foods: indexFoods(vocabulary.foods) };
  for (const zone of vocabulary.zones) {
    for (const [food, start] of [
      ['milk', {}],
      ['ground-beef', {}],
      ['frozen-vegetables', { frozen: true }],
    ] as const) {
      const typed: IntakeLine = {
        food,
        called: '',
        amount: 200,
        unit: 'g',
        packs: 1,
        form: null,
        wrap: null,
        priceMinor: null,
        zone: zone.id,
        printed: null,
        start: { did: 'bought', on: today(), ...start },
        openedOn: null,
        frozenOn: zone.cold === 'freezer' && !('frozen' in start) ? today() : null,
        blanched: true,
        note: '',
        anyway: true,
      };
      const shown = previewLine(typed, known);
      const stored = await told({ type: 'haul.store', lines: [toApiLine(typed)] });
      expect([zone.name, food, stored.status]).toEqual([zone.name, food, shown.refused === null ? 200 : 422]);
      if (shown.refused !== null) continue;
      const found = await packageOf(stored.body.answers[0].packages[0].code);
      expect([zone.name, food, found.trail]).toEqual([zone.name, food, shown.trail]);
      expect(shown.due?.toLowerCase()).toBe(found.due_full.toLowerCase());
    }
  }
});
