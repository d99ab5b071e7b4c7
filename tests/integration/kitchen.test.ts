import { randomUUID } from 'node:crypto';
import { newAppliance } from '@/core/kitchen/newAppliance';
import type { ApplianceDrawing } from '@/core/model/drawing';
import { BASE, command, get, line } from '../fixtures/api';
import { readPages } from '../fixtures/readPages';

const draw = (shape: ApplianceDrawing['shape'], name: string): ApplianceDrawing =>
  newAppliance(shape, name, 'Test room', randomUUID);
const zoneOf = (drawing: ApplianceDrawing, name: string) => {
  const found = drawing.zones.find((zone) => zone.name === name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};
const put = (appliance: object, version: number | null = null, rehome: object[] = []) =>
  command({ type: 'appliance.draw', appliance, version, rehome });
const drawn = async (id: string) => (await get(`/api/v1/appliances/${id}`)).body;
const leave = (id: string, rehome: object[] = []) =>
  command({ type: 'appliance.remove', appliance: id, rehome });
const near = (mm: number) => expect.closeTo(mm, 1);

describe('an appliance through the door', () => {
  it('is kept as drawn, refused by measure, stale when another drew it, gone and back', async () => {
    const fridge = draw('fridge-over-freezer', 'Test pair');
    expect((await put(fridge)).status).toBe(200);
    expect((await drawn(fridge.id)).drawing).toEqual(fridge);
    const shelf = zoneOf(fridge, 'Top shelf');
    const other = (changes: object): ApplianceDrawing => ({
      ...fridge,
      zones: fridge.zones.map((zone) => (zone.id === shelf.id ? { ...zone, ...changes } : zone)),
    });
    const said = async (changes: object) => (await put(other(changes), 1)).body.error;
    expect(await said({ depthMm: 900 })).toMatchObject({
      rule: 'D3',
      message: 'Top shelf is 900 mm deep; there are 460 mm inside.',
    });
    expect(await said({ heightMm: 250 })).toMatchObject({
      rule: 'D4',
      message: 'Middle shelf and Top shelf overlap by 50 mm (high).',
    });
    expect(await said({ depthMm: 0 })).toMatchObject({ rule: 'D2' });
    expect(await said({ parentId: shelf.id })).toMatchObject({ rule: 'D5' });
    expect(await said({ only: ['dairy'], never: ['dairy'] })).toMatchObject({ rule: 'D6' });
    expect((await put(other({ widthMm: '520' }), 1)).status).toBe(400);
    expect((await put(other({ purpose: 'breakfast' }), 1)).status).toBe(200);
    expect((await put(fridge, 1)).body.error.code).toBe('stale');
    expect((await drawn(fridge.id)).view.version).toBe(2);
    const gone = await leave(fridge.id);
    expect((await get(`/api/v1/appliances/${fridge.id}`)).status).toBe(404);
    await command({ type: 'ledger.undo', command: gone.body.answers[0].id });
    expect((await drawn(fridge.id)).drawing).toEqual(other({ purpose: 'breakfast' }));
    await leave(fridge.id);
  });

  it('moves food out of a zone that goes, all or nothing, and counts it where it comes to', async () => {
    const chest = draw('chest', 'Test chest');
    await put(chest);
    const [layer, deep] = [zoneOf(chest, 'Layer 1'), zoneOf(chest, 'Layer 2')];
    const today = new Date().toISOString().slice(0, 10);
    await command({ type: 'haul.store', lines: [line({ packs: 3, zone: layer.id, frozen_on: today })] });
    const smaller = { ...chest, zones: chest.zones.filter(({ id }) => id !== layer.id) };
    const refused = await put(smaller, 1);
    expect(refused.body.error).toMatchObject({
      rule: 'place',
      message: expect.stringMatching(/^3 packages lie in Layer 1/),
    });
    expect((await drawn(chest.id)).drawing).toEqual(chest);
    expect((await put(smaller, 1, [{ zone: layer.id, to: deep.id }])).status).toBe(200);
    const { appliances } = (await get('/api/v1/today')).body;
    const now = appliances.find(({ id }: { id: string }) => id === chest.id);
    expect(
      now.zones.map(({ name, packages }: { name: string; packages: number }) => [name, packages]),
    ).toEqual([
      ['Hanging basket', 0],
      ['Layer 2', 3],
    ]);
    await leave(chest.id, [{ zone: deep.id, to: null }]);
  });
});

describe('on paper', () => {
  it('zone labels are as large as the drawing says, in true millimetres, and their codes lead to the zone', async () => {
    const fridge = draw('small-fridge', 'Paper fridge');
    const shelf = zoneOf(fridge, 'Upper shelf');
    const labelled = {
      ...fridge,
      zones: fridge.zones.map((zone) =>
        zone.id === shelf.id ? { ...zone, widthMm: 120, purpose: 'use-up bin', person: 'Mor' } : zone,
      ),
    };
    await put(labelled);
    const at = (index: number): number =>
      10 +
      labelled.zones.slice(0, index).reduce((sum, { heightMm }) => sum + Math.min(26, heightMm / 4) + 4, 0);
    const index = labelled.zones.findIndex(({ id }) => id === shelf.id);
    const response = await fetch(`${BASE}/api/v1/zone-labels?appliance=${fridge.id}`);
    const [page] = await readPages(response, [{ xMm: 10, yMm: at(index), widthMm: 100, heightMm: 26 }]);
    expect(page?.boxes[index]).toEqual({
      xMm: near(10),
      yMm: near(at(index)),
      widthMm: near(100),
      heightMm: near(26),
    });
    expect(page?.boxes[0]?.widthMm).toBeCloseTo(120, 0);
    for (const words of [
      'Upper shelf',
      'use-up bin · for Mor',
      'eat first',
      'warmest place',
      'coldest place',
    ])
      expect(page?.text).toContain(words);
    expect(page?.codes).toEqual([`${BASE}/stock?zone=${shelf.id}`]);
    await leave(fridge.id);
    expect((await fetch(`${BASE}/api/v1/zone-labels?appliance=${fridge.id}`)).status).toBe(404);
  });

  it('the chest plan is true to its scale, from the side and from above', async () => {
    const chest = draw('chest', 'Paper chest');
    await put(chest);
    const today = new Date().toISOString().slice(0, 10);
    await command({
      type: 'haul.store',
      lines: [line({ called: 'Plan trout', packs: 2, zone: zoneOf(chest, 'Layer 2').id, frozen_on: today })],
    });
    const [page] = await readPages(await fetch(`${BASE}/api/v1/chest-plan?appliance=${chest.id}`));
    expect(page?.text).toContain('scale 1 : 8');
    const sizes = page?.boxes.map(({ widthMm, heightMm }) => [Math.round(widthMm), Math.round(heightMm)]);
    // From the side 840 × 640, the basket 280 × 200, two layers 840 × 220; from above 840 × 420.
    expect(sizes).toEqual([
      [105, 80],
      [35, 25],
      [105, 28],
      [105, 28],
      [105, 53],
      [35, 53],
      [105, 53],
      [105, 53],
    ]);
    const [side, basket] = page?.boxes ?? [];
    expect([basket?.xMm, basket?.yMm]).toEqual([near(side?.xMm ?? 0), near(side?.yMm ?? 0)]);
    expect(page?.text).toContain('Plan trout ×2');
    await leave(chest.id, [{ zone: zoneOf(chest, 'Layer 2').id, to: null }]);
  });
});

it('a chest plan brings up what is taken often, and the moves may be done and undone', async () => {
  const chest = draw('chest', 'Busy chest');
  await put(chest);
  const [basket, deep] = [zoneOf(chest, 'Hanging basket'), zoneOf(chest, 'Layer 2')];
  const today = new Date().toISOString().slice(0, 10);
  const frozen = (more: object) => line({ amount: 4000, packs: 8, frozen_on: today, ...more });
  const { body } = await command({
    type: 'haul.store',
    lines: [
      frozen({ food: 'peas', zone: deep.id }),
      frozen({ food: 'bread', amount: 6, unit: 'pc', packs: 6, zone: basket.id }),
    ],
  });
  for (const { id, version } of body.answers[0].packages.slice(0, 3))
    await command({ type: 'package.take', package: id, version });
  const page = await (await fetch(`${BASE}/kitchen/chest/${chest.id}`)).text();
  expect(page).toContain('lifts a week fewer');
  expect(page).toMatch(/from <!-- -->Layer 2<!-- --> to <!-- -->Hanging basket/);
  const { zones } = (await get('/api/v1/zones')).body;
  expect(zones.find(({ id }: { id: string }) => id === deep.id).lifts).toBe(2);
  await leave(
    chest.id,
    [basket, deep].map(({ id }) => ({ zone: id, to: null })),
  );
});

it('the check and the tidy walk of the demo household name their rules and reasons', async () => {
  const { findings } = (await get('/api/v1/kitchen-check')).body;
  const pesto = findings.find(({ says }: { says: string }) => says.startsWith('Pesto lies in Door 2'));
  expect(pesto).toMatchObject({ rule: 'C2', fix: { kind: 'move' } });
  const { stops, moves } = (await get('/api/v1/tidy')).body;
  expect(moves).toBeGreaterThan(0);
  for (const { inside, into } of stops)
    for (const { says, gain } of [...inside, ...into])
      expect([says.length > 5, gain >= 15]).toEqual([true, true]);
});
