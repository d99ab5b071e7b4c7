import { newAppliance } from '@/core/kitchen/newAppliance';
import { addZone } from '@/core/kitchen/addZone';
import { panelsOf, paperOf, zonesOnPaper } from './panels';

let count = 0;
const draw = (shape: Parameters<typeof newAppliance>[0]) =>
  newAppliance(shape, 'It', 'Larder', () => `n${count++}`);

it('a side by side stands with a door on either side, nothing over anything', () => {
  const panels = panelsOf(draw('side-by-side'), 'front');
  expect(panels.map(({ title }) => title)).toEqual(['Freezer', 'Freezer door', 'Fridge', 'Fridge door']);
  const byX = [...panels].sort((a, b) => a.x - b.x);
  expect(byX.map(({ title }) => title)).toEqual(['Freezer door', 'Freezer', 'Fridge', 'Fridge door']);
  byX
    .slice(1)
    .forEach((panel, at) =>
      expect(panel.x).toBeGreaterThanOrEqual((byX[at]?.x ?? 0) + (byX[at]?.width ?? 0)),
    );
  const paper = paperOf(panels, 40);
  for (const { x, y, width, height } of panels) {
    expect(x + width).toBeLessThanOrEqual(paper.x + paper.width);
    expect(y + height).toBeLessThanOrEqual(paper.y + paper.height);
    expect(y).toBeGreaterThanOrEqual(paper.y + 40);
  }
});

it('words above a lower compartment have room', () => {
  const [fridge, , freezer] = panelsOf(draw('fridge-over-freezer'), 'front', 60);
  expect((freezer?.y ?? 0) - (fridge?.y ?? 0) - (fridge?.height ?? 0)).toBe(100);
});

it('from above the front is at the foot, and what lies lower is drawn first', () => {
  const chest = draw('chest');
  const panels = panelsOf(chest, 'above');
  const zones = zonesOnPaper(chest, panels, 'above');
  const names = zones.map(({ id }) => chest.zones.find((zone) => zone.id === id)?.name);
  expect(names).toEqual(['Layer 2', 'Layer 1', 'Hanging basket']);
  const shallow = {
    ...chest,
    zones: chest.zones.map((zone) => (zone.name === 'Hanging basket' ? { ...zone, depthMm: 100 } : zone)),
  };
  const basket = zonesOnPaper(shallow, panels, 'above').at(-1);
  expect([basket?.rect.y, basket?.rect.height]).toEqual([320, 100]);
});

it('nested zones stand where their outer ones put them', () => {
  const fridge = draw('fridge');
  const second = fridge.zones[1];
  if (!second) throw new Error('a fridge has shelves');
  const nested = addZone(fridge, 'bin', { zone: second.id }, 'bin');
  const [panel] = panelsOf(nested, 'front');
  const bin = zonesOnPaper(nested, panelsOf(nested, 'front'), 'front').find(({ id }) => id === 'bin');
  expect(bin).toMatchObject({ depth: 1, rect: { x: panel?.x, y: (panel?.y ?? 0) + second.yMm, width: 150 } });
});
