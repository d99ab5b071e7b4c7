import { refusal } from '../../../tests/fixtures/refusal';
import { LINE, Store } from '../../../tests/fixtures/memoryStore';
import { newAppliance } from '../kitchen/newAppliance';
import type { ApplianceDrawing } from '../model/drawing';
import type { Container } from '../model/container';
import { StaleSetting } from '../model/stale';

let count = 0;
const newId = (): string => `d${count++}`;
const draw = (shape: ApplianceDrawing['shape'], name: string): ApplianceDrawing =>
  newAppliance(shape, name, 'Larder', newId);
const zoneOf = (drawing: ApplianceDrawing, name: string): string =>
  drawing.zones.find((zone) => zone.name === name)?.id ?? '';
const put = (store: Store, appliance: ApplianceDrawing, more: Record<string, unknown> = {}): void => {
  store.run({
    id: newId(),
    type: 'appliance.draw',
    appliance,
    version: store.drawings.has(appliance.id) ? 1 : null,
    rehome: [],
    ...more,
  });
};

describe('drawing an appliance', () => {
  it('food of a zone that goes must have a place; it is dated by where it comes to; undo brings zone and food back', () => {
    const store = new Store();
    const fridge = draw('fridge', 'Cellar fridge');
    put(store, fridge);
    const lower = zoneOf(fridge, 'Lower shelf');
    store.store({ food: 'milk', called: 'Milk', packs: 1, zone: lower });
    const before = store.first();
    const smaller = { ...fridge, zones: fridge.zones.filter(({ id }) => id !== lower) };
    expect(refusal(() => put(store, smaller))).toEqual([
      'place',
      '1 package lies in Lower shelf. Say where they go before it is taken out of the drawing.',
    ]);
    expect(refusal(() => put(store, smaller, { rehome: [{ zone: lower, to: lower }] }))[0]).toBe('place');
    expect(refusal(() => put(store, smaller, { rehome: [{ zone: lower, to: 'chest' }] }))[1]).toMatch(
      /in a freezer/,
    );
    const door = zoneOf(fridge, 'Door 1');
    put(store, smaller, { id: 'smaller', rehome: [{ zone: lower, to: door }] });
    expect(store.first()).toMatchObject({ zoneId: door, celsius: 6.5 });
    expect((store.first().useBy ?? '') < (before.useBy ?? '')).toBe(true);
    store.run({ id: 'undo', type: 'ledger.undo', command: 'smaller' });
    expect(store.drawings.get(fridge.id)).toEqual(fridge);
    expect({ ...store.first(), version: 0 }).toEqual({ ...before, version: 0 });
  });

  it('an undo that would leave food without a zone is refused, and so is taking out what is full', () => {
    const store = new Store();
    const chest = draw('chest', 'Attic chest');
    put(store, chest, { id: 'new' });
    store.store({ packs: 1, zone: zoneOf(chest, 'Layer 1'), frozenOn: LINE.start.on });
    expect(refusal(() => store.run({ id: 'u', type: 'ledger.undo', command: 'new' }))).toEqual([
      'undo',
      expect.stringMatching(/drawn no more/),
    ]);
    expect(
      refusal(() => store.run({ id: 'r', type: 'appliance.remove', appliance: chest.id, rehome: [] }))[0],
    ).toBe('place');
    store.run({
      id: 'r',
      type: 'appliance.remove',
      appliance: chest.id,
      rehome: [{ zone: zoneOf(chest, 'Layer 1'), to: 'chest' }],
    });
    expect([store.first().zoneId, store.drawings.size]).toEqual(['chest', 0]);
    store.run({ id: 'back', type: 'ledger.undo', command: 'r' });
    expect(store.first().zoneId).toBe(zoneOf(chest, 'Layer 1'));
  });

  it('refuses what is stale, stolen, wrongly measured, or would thaw food where it lies', () => {
    const store = new Store();
    const [chest, other] = [draw('chest', 'Attic chest'), draw('chest', 'Cellar chest')];
    put(store, chest);
    expect(() => put(store, chest, { version: 7 })).toThrow(StaleSetting);
    expect(() => put(store, other, { version: 1 })).toThrow(StaleSetting);
    expect(
      refusal(() =>
        put(store, {
          ...other,
          zones: chest.zones.map((zone) => ({ ...zone, compartmentId: other.compartments[0]?.id ?? '' })),
        }),
      )[0],
    ).toBe('D5');
    const [first, ...rest] = other.zones;
    if (!first) throw new Error('a chest has zones');
    expect(refusal(() => put(store, { ...other, zones: [{ ...first, widthMm: 900 }, ...rest] }))).toEqual([
      'D3',
      'Hanging basket is 900 mm wide; there are 840 mm inside.',
    ]);
    store.store({ packs: 1, zone: zoneOf(chest, 'Layer 1'), frozenOn: LINE.start.on });
    const fridge = {
      ...chest,
      compartments: chest.compartments.map((inside) => ({ ...inside, cold: 'fridge' as const })),
    };
    expect(refusal(() => put(store, fridge))[1]).toMatch(/cannot become a fridge zone/);
  });
});

it('a measured temperature wins, dates what lies there, and undo brings the old dates back', () => {
  const store = new Store();
  const [stored] = store.store({ food: 'milk', packs: 1, zone: 'shelf' });
  store.run({ id: 'warm', type: 'zone.measure', zone: 'shelf', celsius: 9 });
  expect(store.first().trail.map(({ rule }) => rule)).toContain('K9');
  expect((store.first().useBy ?? '') < (stored?.useBy ?? '')).toBe(true);
  store.run({ id: 'undo', type: 'ledger.undo', command: 'warm' });
  expect([store.first().useBy, store.measured.size]).toEqual([stored?.useBy, 0]);
});

it('containers, order and upkeep are set, refused and undone', () => {
  const store = new Store();
  const tub: Container = {
    id: 't',
    name: 'Tub',
    outerMm: [140, 110, 60],
    innerMm: [134, 104, 54],
    litres: 0.5,
    lid: true,
    leakproof: true,
    rigid: true,
    count: 3,
  };
  store.run({ id: 'c', type: 'container.set', container: tub });
  expect(
    refusal(() => store.run({ id: 'x', type: 'container.set', container: { ...tub, litres: 9 } }))[0],
  ).toBe('container');
  store.run({ id: 'g', type: 'container.remove', container: 't' });
  store.run({ id: 'b', type: 'ledger.undo', command: 'g' });
  expect(store.containers.get('t')).toEqual(tub);

  const [a, b] = [draw('chest', 'A'), draw('chest', 'B')];
  put(store, a);
  put(store, b);
  expect(refusal(() => store.run({ id: 'o', type: 'kitchen.order', appliances: [a.id, a.id] }))[0]).toBe(
    'order',
  );
  store.run({ id: 'o', type: 'kitchen.order', appliances: [b.id, a.id] });
  expect([...store.drawings.keys()]).toEqual([b.id, a.id]);

  const job = {
    id: 'k',
    kind: 'upkeep',
    name: 'Defrost',
    everyDays: 180,
    dueOn: null,
    frostMm: 6,
    retired: false,
  };
  store.run({ id: 'j', type: 'job.set', job });
  expect(store.jobs.get('k')?.lastOn).toBeNull();
  store.run({ id: 'd', type: 'job.done', job: 'k', frostMm: null });
  expect(store.jobs.get('k')).toMatchObject({ frostMm: 0, lastOn: '2026-11-25', retired: false });
  store.run({
    id: 'p',
    type: 'job.set',
    job: { ...job, id: 'ice', name: 'Ice packs', dueOn: '2026-12-01', frostMm: null },
  });
  store.run({ id: 'q', type: 'job.done', job: 'ice', frostMm: null });
  expect(store.jobs.get('ice')?.retired).toBe(true);
  // A job keeps its kind.
  expect(refusal(() => store.run({ id: 'y', type: 'job.set', job: { ...job, kind: 'round' } }))[0]).toBe(
    'job',
  );
  expect(store.jobs.get('k')?.kind).toBe('upkeep');
  expect(
    refusal(() =>
      store.run({ id: 'z', type: 'job.set', job: { ...job, id: 'late', dueOn: '2026-11-01' } }),
    )[0],
  ).toBe('job');
});
