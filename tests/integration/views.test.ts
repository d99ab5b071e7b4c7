import { createConnection } from 'mysql2/promise';
import { BASE, get, post } from '../fixtures/api';

describe('reads', () => {
  it('today, stock, zones, foods, ledger and health answer', async () => {
    const today = (await get('/api/v1/today')).body;
    expect(today.appliances.map(({ name }: { name: string }) => name)).toEqual([
      'Larder fridge',
      'Under-drawer',
      'Boat-shed chest',
    ]);
    const bands = new Set(today.first_out.map(({ view }: { view: { band: string } }) => view.band));
    expect([...bands]).toEqual(expect.arrayContaining(['past', 'today', 'soon']));
    expect(today.counter.length).toBeGreaterThan(0);
    expect((await get('/api/v1/zones')).body.zones).toHaveLength(14);
    expect((await get('/api/v1/foods?q=vennison')).body.foods[0].id).toMatch(/venison/);
    expect((await get('/api/v1/health')).body).toMatchObject({ database: 'reached', migrations: 'current' });
  });

  it('pages the whole stock by key, first out first, nothing twice and nothing lost', async () => {
    const seen: { code: string; governing: { date: string } }[] = [];
    let after = '';
    for (let pages = 0; pages < 40; pages++) {
      const { body } = await get(`/api/v1/stock?limit=17${after}`);
      seen.push(...body.packages);
      if (body.next === null) break;
      after = `&after=${encodeURIComponent(body.next)}`;
    }
    const { total } = (await get('/api/v1/stock?limit=1')).body;
    expect(new Set(seen.map(({ code }) => code)).size).toBe(total);
    const dates = seen.map(({ governing }) => governing.date);
    expect(dates).toEqual([...dates].sort());
    expect((await get('/api/v1/stock?after=nonsense')).status).toBe(400);
    expect((await get('/api/v1/stock?limit=0')).status).toBe(400);
  });

  it('finds by misspelt food and by code', async () => {
    const { body } = await get('/api/v1/stock?q=musels');
    expect(body.packages[0].food.name).toBe('Mussels');
    const byCode = await get(`/api/v1/stock?q=${body.packages[0].code.toLowerCase()}`);
    expect(byCode.body.packages).toHaveLength(1);
  });

  it('reads first out and a zone by index, without a scan or a sort', async () => {
    const db = await createConnection({ uri: process.env.DATABASE_URL ?? '' });
    for (const where of ['', 'AND zone_id = (SELECT id FROM zone LIMIT 1)', "AND food_id = 'trout'"]) {
      const [rows] = await db.query(
        `EXPLAIN SELECT image FROM package WHERE household_id = 1 AND here = TRUE ${where} AND first_out > '2020' ORDER BY first_out LIMIT 50`,
      );
      const [plan] = rows as { type: string; key: string; Extra: string }[];
      expect(plan?.key).toMatch(/^package_(first_out|in_zone|of_food)$/);
      expect(plan?.Extra).not.toMatch(/filesort|temporary/);
    }
    await db.end();
  });

  it('describes itself: every path of the description answers', async () => {
    const { body } = await get('/api/v1/openapi.json');
    expect(Object.keys(body.paths).length).toBeGreaterThan(12);
    const keeping = body.components.schemas.KeepingRequest;
    expect(Object.keys(keeping.properties)).toEqual(
      expect.arrayContaining([
        'food',
        'today',
        'history',
        'printed',
        'wrap',
        'blanched',
        'fridge_c',
        'freezer_c',
        'caution',
      ]),
    );
    for (const [path, methods] of Object.entries(body.paths as Record<string, object>)) {
      const address = `${BASE}${path.replace('{code}', 'ZZ99').replace('{id}', 'no-food')}`;
      const response =
        'get' in methods
          ? await fetch(address)
          : await fetch(address, {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: '{}',
            });
      // A picture is no JSON: that it is told counts as an answer.
      const picture = JSON.stringify(methods).includes('image/*');
      expect(picture ? [415] : [200, 400, 401, 404]).toContain(response.status);
      expect(response.headers.get('content-type')).toMatch(/json|pdf|csv/);
    }
  });
});

describe('calculators', () => {
  it('forecasts a power cut, and refuses what is no appliance', async () => {
    const chest = { kind: 'chest', litres: 250, fill: 0.8, start_c: -18 };
    const request = { appliance: chest, readings: [{ at_h: 5, c: -9.5 }], hours: 48, samples: 400, seed: 7 };
    const { status, body } = await post('/api/v1/estimates/outage', request);
    expect(status).toBe(200);
    expect(body).toMatchObject({ published_limit_h: 38.4, with_readings: true });
    expect(body.band).toHaveLength(49);
    expect(body.band[0].p50).toBeLessThan(-15);
    expect(body.safe_until_h).toBeLessThanOrEqual(38.4);
    expect((await post('/api/v1/estimates/outage', request)).body).toEqual(body);
    const oven = { ...request, appliance: { ...chest, kind: 'oven' } };
    expect((await post('/api/v1/estimates/outage', oven)).status).toBe(400);
  });

  it('keeping: the example of the API page', async () => {
    const { body } = await post('/api/v1/estimates/keeping', {
      food: 'Beef mince',
      today: '2027-03-10',
      history: [
        { did: 'bought', on: '2027-03-01' },
        { did: 'frozen', on: '2027-03-02' },
      ],
      printed: { kind: 'use-by', date: '2027-03-04' },
      wrap: 'zip-bag',
    });
    expect(body).toMatchObject({
      food: { id: 'ground-beef' },
      state: 'frozen',
      use_by: null,
      best_by: '2027-06-17',
      governing: { date: '2027-06-17', kind: 'best-by' },
      days_left: 99,
      band: 'settled',
      verdict: 'eat',
    });
    expect(body.trail.map(({ rule }: { rule: string }) => rule)).toEqual(['K2', 'K3', 'K5']);
  });

  it.each([
    ['ambiguous', { food: 'stock', history: [{ did: 'bought', on: '2027-03-01' }] }, 422],
    ['unknown', { food: 'unicorn', history: [{ did: 'bought', on: '2027-03-01' }] }, 422],
    [
      'refused',
      {
        food: 'milk',
        today: '2027-03-02',
        history: [
          { did: 'bought', on: '2027-03-01' },
          { did: 'thawing', on: '2027-03-01' },
        ],
      },
      422,
    ],
    [
      'no method',
      {
        food: 'trout',
        today: '2027-03-02',
        history: [
          { did: 'bought', on: '2027-03-01' },
          { did: 'thawed', on: '2027-03-01' },
        ],
      },
      400,
    ],
    ['no history', { food: 'milk', history: [] }, 400],
    ['unknown key', { food: 'milk', colour: 1, history: [{ did: 'bought', on: '2027-03-01' }] }, 400],
  ])('keeping: %s', async (_what, body, status) => {
    const answer = await post('/api/v1/estimates/keeping', body);
    expect(answer.status).toBe(status);
    expect(answer.body.error.message.length).toBeGreaterThan(10);
  });

  it('keeping: takes every event there is and tells the rule of each', async () => {
    const { status, body } = await post('/api/v1/estimates/keeping', {
      food: 'venison',
      today: '2027-04-03',
      history: [
        { did: 'given', on: '2027-03-01' },
        { did: 'moved', on: '2027-03-01', c: 8 },
        { did: 'counter', on: '2027-03-01', minutes: 45, hot: true },
        { did: 'opened', on: '2027-03-01' },
        { did: 'frozen', on: '2027-03-01' },
        { did: 'thawing', on: '2027-04-01' },
        { did: 'thawed', on: '2027-04-01', method: 'fridge' },
        { did: 'refrozen', on: '2027-04-02' },
        { did: 'thawed', on: '2027-04-03', method: 'microwave' },
        { did: 'found-turning', on: '2027-04-03' },
      ],
    });
    expect(status).toBe(200);
    const pot = await post('/api/v1/estimates/keeping', {
      food: 'egg-whites',
      today: '2027-03-03',
      history: [
        { did: 'cooked', on: '2027-03-01' },
        { did: 'topped-up', on: '2027-03-02', content: '2027-03-02', full: true },
      ],
    });
    expect(pot.body.trail.map(({ rule }: { rule: string }) => rule)).toEqual(['K2', 'K11', 'K11']);
    const out = await post('/api/v1/estimates/keeping', {
      food: 'bread',
      today: '2027-03-01',
      history: [
        { did: 'bought', on: '2027-03-01' },
        { did: 'kept-out', on: '2027-03-01' },
      ],
    });
    expect(out.body).toMatchObject({ state: 'room', best_by: '2027-03-05' });
    expect(body.trail.map(({ rule }: { rule: string }) => rule)).toEqual([
      'K2',
      'K9',
      'K4',
      'K5',
      'K7',
      'K8',
      'K6',
      'K12',
    ]);
    expect(body).toMatchObject({ use_by: '2027-04-03', verdict: 'eat', band: 'today' });
    const hot = { food: 'milk', today: '2027-03-02', history: [{ did: 'bought', on: '2027-03-01' }] };
    const counter = (minutes: number, more = {}) =>
      post('/api/v1/estimates/keeping', {
        ...hot,
        history: [...hot.history, { did: 'counter', on: '2027-03-01', minutes, ...more }],
      });
    expect((await counter(61, { hot: true })).body.verdict).toBe('discard');
    expect((await counter(61)).body.verdict).toBe('eat');
    expect((await counter(0)).status).toBe(400);
  });

  it('thaw and freeze: the shapes of the API page, refusals and what is not allowed', async () => {
    const shape = { kind: 'flat', length_mm: 240, width_mm: 200 };
    const mince = { food: 'ground-beef', mass_g: 454, shape, start_c: -18, medium: 'fridge', ambient_c: 4 };
    const { body } = await post('/api/v1/estimates/thaw', mince);
    expect(body.hours_typical).toBeGreaterThan(3.5);
    expect(body.hours_typical).toBeLessThan(5);
    expect(body.hours_cautious).toBeGreaterThan(body.hours_typical);
    expect(body).toMatchObject({ allowed: true, thickness_mm: expect.closeTo(10.2, 0) });
    expect(body.curve.at(-1)).toMatchObject({ core_c: 0, surface_c: expect.any(Number) });
    const counter = await post('/api/v1/estimates/thaw', { ...mince, medium: 'counter', ambient_c: 22 });
    expect(counter.body.allowed).toBe(false);
    expect((await post('/api/v1/estimates/thaw', { ...mince, ambient_c: 0 })).status).toBe(422);
    const frozen = await post('/api/v1/estimates/freeze', {
      composition: {
        water: 0.725,
        protein: 0.215,
        fat: 0.05,
        carbohydrate: 0,
        fibre: 0,
        ash: 0.01,
        freezing_point_c: -1,
      },
      mass_g: 1000,
      shape: { kind: 'block', length_mm: 160, width_mm: 110, height_mm: 55 },
      medium: 'still',
    });
    expect(frozen.body.hours_typical).toBeGreaterThan(9.2);
    expect(frozen.body.hours_typical).toBeLessThan(10.3);
    expect((await post('/api/v1/estimates/freeze', { ...mince, medium: 'fan', ambient_c: -5 })).status).toBe(
      422,
    );
    expect(
      (await post('/api/v1/estimates/thaw', { ...mince, shape: { kind: 'round' }, mass_g: undefined }))
        .status,
    ).toBe(422);
    expect((await post('/api/v1/estimates/thaw', { ...mince, shape: { kind: 'egg' } })).status).toBe(400);
  });

  it('portions: exact sums; a price needs its currency', async () => {
    const request = {
      food: 'ground-beef',
      total_g: 3900,
      price_minor: 2820,
      currency: 'EUR',
      plan: { packs: 7 },
    };
    const { body } = await post('/api/v1/estimates/portions', request);
    const sum = (key: string) =>
      body.packs.reduce(
        (all: number, pack: Record<string, number>) => all + (pack.count ?? 0) * (pack[key] ?? 0),
        0,
      );
    expect([sum('amount_g'), sum('price_minor')]).toEqual([3900, 2820]);
    const flat = await post('/api/v1/estimates/portions', {
      ...request,
      form: 'flat',
      container: { kind: 'bag', length_mm: 270, width_mm: 260 },
    });
    const [lump, sheet] = [body.packs[0], flat.body.packs[0]];
    expect(sheet.thaw.fridge).toBeLessThan(lump.thaw.fridge);
    expect(sheet.thaw.cold_water).toBeLessThan(sheet.thaw.fridge);
    expect(sheet.freeze_hours).toBeLessThan(lump.freeze_hours);
    const jars = async (packs: number) =>
      (
        await post('/api/v1/estimates/portions', {
          food: 'seafood-chowder',
          total_g: 3000,
          plan: { packs },
          container: { kind: 'jar', capacity_ml: 500, mouth: 'wide', height_mm: 125 },
        })
      ).body;
    expect(await jars(8)).toMatchObject({ fill_ml: 448, headspace_mm: 13, warnings: [] });
    expect((await jars(6)).warnings[0].says).toMatch(/^A pack is \d+ ml; 448 ml go in below the fill line/);
    const { currency: _gone, ...rest } = request;
    expect((await post('/api/v1/estimates/portions', rest)).status).toBe(400);
    expect((await post('/api/v1/estimates/portions', { ...request, plan: { eaters: 0 } })).status).toBe(400);
  });

  it('outage: a verdict with rule, evidence, certainty and source', async () => {
    const body = {
      now: '2027-01-05T18:00:00Z',
      appliances: [
        {
          id: 'a',
          kind: 'fridge',
          fill: 0.7,
          from: '2027-01-05T12:00:00Z',
          until: null,
          doors: 'shut',
          readings: [],
          telltale: 'none',
        },
      ],
      items: [
        { id: '1', food: 'milk', appliance: 'a', opened: false, seen: { mould: false }, cannot_check: false },
      ],
    };
    const { body: answer } = await post('/api/v1/judge/outage', body);
    expect(answer.verdicts).toEqual([
      expect.objectContaining({
        id: '1',
        verdict: 'discard',
        rule: 'O2',
        certainty: 'published',
        source: expect.stringContaining('FoodSafety'),
      }),
    ]);
    const elsewhere = { ...body, items: [{ ...body.items[0], appliance: 'b' }] };
    expect((await post('/api/v1/judge/outage', elsewhere)).status).toBe(422);
  });
});
