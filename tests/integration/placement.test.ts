import fc from 'fast-check';
import { isCalled } from '@/core/foods/isCalled';
import { fitsIn, hardFault } from '@/core/placement/hardRules';
import { mayDrip } from '@/core/placement/neighbours';
import { isExposed, isFreezerZone, isRaw, type PlacingZone } from '@/core/placement/placing';
import { food } from '../fixtures/reference';
import { get, post } from '../fixtures/api';

const zone = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  appliance: 'fridge',
  kind: 'shelf',
  temperature_c: 3,
  humidity: null,
  order: 1,
  litres: 20,
  free_litres: 10,
  width_mm: 430,
  depth_mm: 270,
  height_mm: 165,
  leakproof: false,
  only: [],
  never: [],
  purpose: '',
  lifts: 0,
  ...more,
});
const pack = (id: string, name: string, more: Record<string, unknown> = {}) => ({
  id,
  food: name,
  state: 'chilled',
  litres: 1,
  rigid_mm: null,
  days_left: 5,
  takes_per_week: 1,
  ...more,
});
const place = async (zones: object[], packages: object[], contents: object[] = []) =>
  (await post('/api/v1/estimates/placement', { zones, contents, packages })).body;
const placeOf = (body: { assignments: { id: string; zone: string }[] }, id: string) =>
  body.assignments.find((one) => one.id === id)?.zone;

const FRIDGE = [
  zone('top', { order: 1, purpose: 'leftovers' }),
  zone('lower', { order: 2 }),
  zone('leaf', { order: 3, kind: 'drawer', humidity: 'high' }),
  zone('rack', { order: 1, kind: 'door', temperature_c: 7 }),
  zone('chest', { appliance: 'chest', kind: 'layer', temperature_c: -18, order: 1 }),
  zone('deep', { appliance: 'chest', kind: 'layer', temperature_c: -18, order: 2, lifts: 2 }),
];

describe('a haul finds its places', () => {
  it('raw below what is eaten as it is, leaves to the humid drawer, frozen to the chest, milk never in a warm door', async () => {
    const body = await place(FRIDGE, [
      pack('mince', 'ground-beef'),
      pack('stew', 'stew'),
      pack('lettuce', 'lettuce'),
      pack('milk', 'milk'),
      pack('peas', 'frozen-peas', { state: 'frozen', takes_per_week: 3 }),
    ]);
    expect(body.refused).toEqual([]);
    expect(placeOf(body, 'stew')).toBe('top');
    expect(placeOf(body, 'leaf')).toBeUndefined();
    expect(placeOf(body, 'milk')).not.toBe('rack');
    expect(placeOf(body, 'peas')).toBe('chest');
    for (const { reasons } of body.assignments) expect(reasons.length).toBeGreaterThan(0);
  });

  it('names the rule that refuses', async () => {
    const refused = async (zones: object[], found: object, contents: object[] = []) =>
      (await place(zones, [found], contents)).refused[0]?.rule;
    expect(await refused(FRIDGE.slice(0, 4), pack('a', 'trout', { state: 'frozen' }))).toBe('P1');
    expect(await refused([zone('warm', { temperature_c: 6 })], pack('a', 'milk'))).toBe('P2');
    expect(await refused([zone('one')], pack('a', 'ground-beef'), [{ zone: 'one', food: 'lettuce' }])).toBe(
      'P3',
    );
    expect(await refused([zone('one', { never: ['dairy'] })], pack('a', 'milk'))).toBe('P4');
    expect(await refused([zone('one')], pack('a', 'milk', { litres: 11 }))).toBe('P5');
    expect(await refused([zone('one')], pack('a', 'milk', { rigid_mm: [400, 100, 100] }))).toBe('P6');
    expect(await refused([], pack('a', 'milk'))).toBe('P5');
  });

  it('suggests to move raw food from above the salad, and refuses a zone nobody knows', async () => {
    const contents = [
      { zone: 'top', food: 'ground-beef' },
      { zone: 'lower', food: 'lettuce' },
    ];
    const body = await place(FRIDGE, [], contents);
    expect(body.moves.map(({ food: name }: { food: string }) => name)).toContain('ground-beef');
    const bad = await post('/api/v1/estimates/placement', {
      zones: FRIDGE,
      packages: [],
      contents: [{ zone: 'attic', food: 'milk' }],
    });
    expect(bad.status).toBe(422);
  });
});

describe('what the cook chose, and what would help', () => {
  it('a pinned package goes where the cook says, the others around it; hard rules hold there too', async () => {
    const pinned = async (to: string, name = 'stew') =>
      place(FRIDGE, [pack('a', name, { pinned: to }), pack('b', 'milk')]);
    expect(placeOf(await pinned('lower'), 'a')).toBe('lower');
    const warm = await pinned('rack', 'milk');
    expect(warm.refused[0]).toMatchObject({ id: 'a', rule: expect.stringMatching(/^P[1-6]$/) });
    expect(placeOf(warm, 'b')).toBeDefined();
    const lost = await post('/api/v1/estimates/placement', {
      zones: FRIDGE,
      packages: [pack('a', 'milk', { pinned: 'attic' })],
    });
    expect([lost.status, lost.body.error.code]).toEqual([422, 'unknown-zone']);
  });

  it('tells what would make a refused package fit', async () => {
    const helps = async (
      found: object,
      zones = [zone('one', { free_litres: 6 }), zone('two', { order: 2, free_litres: 5 })],
    ) => (await place(zones, [found])).refused[0].helps;
    expect(await helps(pack('a', 'milk', { litres: 9 }))).toEqual([
      'Repack it smaller: 6 l in one, 3 l in two.',
    ]);
    expect((await helps(pack('a', 'milk', { litres: 20 })))[0]).toMatch(/^Make 14 litres of room in one/);
    expect((await helps(pack('a', 'milk', { rigid_mm: [420, 200, 100] })))[0]).toMatch(
      /^Take it out of its carton/,
    );
  });
});

it('never breaks a hard rule, over generated kitchens and hauls; what is refused names its rule', async () => {
  const NAMES = [
    'ground-beef',
    'trout',
    'milk',
    'lettuce',
    'stew',
    'apples',
    'bread',
    'jam',
    'chicken-whole',
    'kale',
    'quark',
  ];
  const anyZone = fc.record({
    appliance: fc.constantFrom('a', 'b'),
    kind: fc.constantFrom('shelf', 'drawer', 'door', 'bin', 'basket', 'layer'),
    temperature_c: fc.constantFrom(-18, 2, 4, 7, null),
    order: fc.integer({ min: 1, max: 4 }),
    free_litres: fc.integer({ min: 0, max: 8 }),
    leakproof: fc.boolean(),
    width_mm: fc.constantFrom(200, 430),
    only: fc.constantFrom([], [], ['dairy'], ['vegetarian']),
    never: fc.constantFrom([], [], ['dairy'], ['raw']),
  });
  const anyPack = fc.record({
    food: fc.constantFrom(...NAMES),
    state: fc.constantFrom('chilled', 'frozen'),
    litres: fc.integer({ min: 1, max: 4 }),
    rigid_mm: fc.constantFrom(null, null, [150, 100, 60], [380, 120, 120]),
  });
  const kase = fc.record({
    zones: fc.array(anyZone, { minLength: 1, maxLength: 8 }),
    packages: fc.array(anyPack, { minLength: 1, maxLength: 12 }),
    inside: fc.array(fc.tuple(fc.nat(), fc.constantFrom(...NAMES)), { maxLength: 4 }),
  });
  await fc.assert(
    fc.asyncProperty(kase, async (given) => {
      const zones = given.zones.map((one, at) => zone(`z${at}`, one));
      const packages = given.packages.map((one, at) => pack(`p${at}`, one.food, one));
      const contents = given.inside.map(([at, name]) => ({ zone: `z${at % zones.length}`, food: name }));
      const { assignments, refused } = await place(zones, packages, contents);
      expect(assignments.length + refused.length).toBe(packages.length);
      for (const { rule, says } of refused)
        expect([rule, says.length > 10]).toEqual([expect.stringMatching(/^P[1-6]$/), true]);
      const zoneOf = (id: string): PlacingZone => {
        const told = given.zones[Number(id.slice(1))];
        if (!told) throw new Error('no such zone');
        return {
          id,
          appliance: told.appliance,
          kind: told.kind as PlacingZone['kind'],
          temperatureC: told.temperature_c,
          humidity: null,
          order: told.order,
          freeLitres: told.free_litres,
          litres: 20,
          widthMm: told.width_mm,
          depthMm: 270,
          heightMm: 165,
          leakproof: told.leakproof,
          only: told.only,
          never: told.never,
          purpose: '',
          lifts: 0,
        };
      };
      const lying = [...contents];
      const filled = new Map<string, number>();
      for (const { id, zone: to } of assignments as { id: string; zone: string }[]) {
        const found = given.packages[Number(id.slice(1))];
        if (!found) throw new Error('no such package');
        const there = zoneOf(to);
        const of = food(found.food);
        expect(isFreezerZone(there)).toBe(found.state === 'frozen');
        if (of.controlled && found.state === 'chilled') {
          expect(there.temperatureC ?? (there.kind === 'door' ? 99 : 4)).toBeLessThanOrEqual(4);
        }
        expect(there.never.some((word) => isCalled(of, word))).toBe(false);
        expect(there.only.length === 0 || there.only.some((word) => isCalled(of, word))).toBe(true);
        if (found.rigid_mm) expect(fitsIn(found.rigid_mm, there)).toBe(true);
        filled.set(to, (filled.get(to) ?? 0) + found.litres);
        lying.push({ zone: to, food: found.food });
      }
      for (const [to, litres] of filled) expect(litres).toBeLessThanOrEqual(zoneOf(to).freeLitres + 1e-6);
      const added = lying.slice(contents.length);
      for (const one of added) {
        for (const other of lying) {
          const [a, b] = [food(one.food), food(other.food)];
          if (isRaw(a) && isExposed({ food: b }))
            expect(mayDrip(zoneOf(one.zone), zoneOf(other.zone))).toBe(false);
          if (isExposed({ food: a }) && isRaw(b))
            expect(mayDrip(zoneOf(other.zone), zoneOf(one.zone))).toBe(false);
        }
      }
    }),
    { numRuns: 500 },
  );
});

it('says why a single zone is not for a package', () => {
  const told = hardFault(
    { id: 'a', food: food('milk'), state: 'chilled', litres: 1, rigidMm: null, daysLeft: 3, takesPerWeek: 0 },
    {
      id: 'z',
      appliance: 'a',
      kind: 'door',
      temperatureC: null,
      humidity: null,
      order: 1,
      freeLitres: 9,
      litres: 9,
      widthMm: null,
      depthMm: null,
      heightMm: null,
      leakproof: false,
      only: [],
      never: [],
      purpose: '',
      lifts: 0,
    },
  );
  expect(told).toMatchObject({ rule: 'P2' });
});

describe('lines that name no zone', () => {
  const line = (name: string, more: Record<string, unknown> = {}) => ({
    food: name,
    amount: 500,
    unit: 'g',
    start: { did: 'bought', on: new Date().toISOString().slice(0, 10) },
    ...more,
  });

  it('go where the solver puts them, what is warm or out of the cold by nature nowhere, and nothing is stored', async () => {
    const today = line('milk').start.on;
    const before = (await get('/api/v1/stock?limit=1')).body.total;
    const { body } = await post('/api/v1/zones/for-lines', {
      lines: [
        line('ground-beef'),
        line('lettuce', { amount: 100 }),
        line('ice-cream'),
        line('ground-beef', { frozen_on: today }),
        line('soup', { start: { did: 'cooked', on: today } }),
        line('banana'),
      ],
    });
    const [mince, leaves, ice, frozen, soup, bananas] = body.places as {
      zone: { name: string; cold: string } | null;
      says: string;
    }[];
    expect(mince?.zone).toMatchObject({ name: 'Lower shelf', cold: 'fridge' });
    expect(leaves?.zone?.name).toBe('Leaf drawer');
    expect([ice?.zone?.cold, frozen?.zone?.cold]).toEqual(['freezer', 'freezer']);
    expect(soup).toMatchObject({ zone: null, says: 'On the counter, where it cools first.' });
    expect(bananas?.zone).toBeNull();
    expect((await get('/api/v1/stock?limit=1')).body.total).toBe(before);
  });

  it('what nothing takes is told with its rule; what is no line is a mistake', async () => {
    const { body } = await post('/api/v1/zones/for-lines', {
      lines: [line('ground-beef', { amount: 150_000 })],
    });
    expect(body.places).toEqual([{ zone: null, rule: 'P5', says: expect.stringContaining('free there') }]);
    expect((await post('/api/v1/zones/for-lines', { lines: [] })).status).toBe(400);
  });
});
