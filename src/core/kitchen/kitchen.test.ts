import { refusal } from '../../../tests/fixtures/refusal';
import fc from 'fast-check';
import { Refusal } from '../model/refusal';
import { addZone } from './addZone';
import { assumedCelsius } from './assumedCelsius';
import { ownLitres } from './boxes';
import { changeZone, removeZone, slideEdge, zoneIn } from './changeZone';
import { checkDrawing } from './checkDrawing';
import { APPLIANCE_SHAPES, type ApplianceDrawing, AXES, ZONE_KINDS } from '../model/drawing';
import { liftsTo, standBefore } from './liftsTo';
import { newAppliance, sameAgain } from './newAppliance';
import { splitZone } from './splitZone';

const [ACROSS, DOWN] = AXES;
let count = 0;
const newId = (): string => `n${count++}`;
const draw = (shape: ApplianceDrawing['shape']): ApplianceDrawing =>
  newAppliance(shape, 'Larder', 'Larder', newId);
const called = (drawing: ApplianceDrawing, name: string) => {
  const zone = drawing.zones.find((one) => one.name === name);
  if (!zone) throw new Error(`no ${name}`);
  return zone;
};

it.each(APPLIANCE_SHAPES)('the shape %s is sound, and so is another like it', (shape) => {
  const drawing = draw(shape);
  expect(checkDrawing(drawing)).toEqual([]);
  const twin = sameAgain(drawing, 'Larder 2', newId);
  expect(checkDrawing(twin)).toEqual([]);
  const ids = (one: ApplianceDrawing): string[] => [
    one.id,
    ...[...one.compartments, ...one.zones].map(({ id }) => id),
  ];
  expect(ids(twin).filter((id) => ids(drawing).includes(id))).toEqual([]);
});

describe('changing a drawing', () => {
  it('the shelf below gives way when an edge is slid, and the sum stays', () => {
    const drawing = draw('fridge-over-freezer');
    const [top, middle] = [called(drawing, 'Top shelf'), called(drawing, 'Middle shelf')];
    const slid = slideEdge(drawing, top.id, { axis: DOWN, far: true }, 40);
    expect(zoneIn(slid, top.id).heightMm).toBe(top.heightMm + 40);
    expect(zoneIn(slid, middle.id)).toMatchObject({ yMm: middle.yMm + 40, heightMm: middle.heightMm - 40 });
    expect(refusal(() => slideEdge(drawing, top.id, { axis: DOWN, far: true }, 190))).toEqual([
      'D2',
      'Middle shelf is 10 mm high; at least 20 mm is needed.',
    ]);
  });

  it('names the measure that is wrong', () => {
    const drawing = draw('fridge-over-freezer');
    const { id } = called(drawing, 'Top shelf');
    const change = (changes: object) => refusal(() => changeZone(drawing, id, changes));
    expect(change({ widthMm: 530 })).toEqual(['D3', 'Top shelf is 530 mm wide; there are 520 mm inside.']);
    expect(change({ heightMm: 230 })).toEqual(['D4', 'Top shelf and Middle shelf overlap by 30 mm (high).']);
    expect(change({ depthMm: 0 })).toEqual(['D2', 'Top shelf is 0 mm deep; at least 20 mm is needed.']);
    expect(change({ xMm: -10 })).toEqual(['D2', 'Top shelf reaches 10 mm past the left.']);
    expect(change({ xMm: 10 })).toEqual([
      'D3',
      'Top shelf sticks out by 10 mm: it ends at 530 mm, the room at 520 mm (wide).',
    ]);
    expect(change({ parentId: id })[0]).toBe('D5');
    expect(change({ name: 'Door 1' })[0]).toBe('D1');
    expect(change({ only: ['dairy'], never: ['Dairy'] })).toEqual([
      'D6',
      'Top shelf would take nothing: “only dairy” and “never dairy”.',
    ]);
  });

  it('splits, nests and takes out again', () => {
    const drawing = draw('fridge-over-freezer');
    const { id } = called(drawing, 'Middle shelf');
    const split = splitZone(drawing, id, ACROSS, 'half');
    expect([zoneIn(split, id).widthMm, zoneIn(split, 'half').widthMm, zoneIn(split, 'half').xMm]).toEqual([
      260, 260, 260,
    ]);
    const nested = addZone(split, 'bin', { zone: 'half' }, 'bin');
    const deeper = addZone(nested, 'tray', { zone: 'bin' }, 'tray');
    expect(checkDrawing(deeper)).toEqual([]);
    expect(ownLitres(zoneIn(deeper, 'half'), deeper.zones)).toBeCloseTo(
      (26 * 20 * 46) / 1000 - (15 * 12 * 25) / 1000,
      1,
    );
    expect(refusal(() => splitZone(deeper, 'half', ACROSS, 'x'))[0]).toBe('D5');
    expect(refusal(() => changeZone(deeper, 'bin', { parentId: 'tray' }))[0]).toBe('D5');
    expect(refusal(() => changeZone(deeper, 'half', { widthMm: 100 }))[1]).toMatch(/^Bin .*100 mm/);
    expect(removeZone(deeper, 'half').zones.map((zone) => zone.id)).not.toContain('tray');
    const chest = draw('chest');
    const into = { compartment: chest.compartments[0]?.id ?? '', side: 'body' as const };
    expect(refusal(() => addZone(chest, 'door', into, 'x'))[1]).toMatch(/no room left in the door/);
  });

  it('fills what is free and then says that there is no room', () => {
    let drawing: ApplianceDrawing = { ...draw('chest'), zones: [] };
    const into = { compartment: drawing.compartments[0]?.id ?? '', side: 'body' as const };
    for (let at = 0; at < 9; at++) drawing = addZone(drawing, 'basket', into, `b${at}`);
    expect(checkDrawing(drawing)).toEqual([]);
    const layered = addZone(drawing, 'layer', into, 'l');
    expect(called(layered, 'Layer').depthMm).toBeGreaterThanOrEqual(20);
  });

  it('whatever is done by hand, what is not refused is sound', () => {
    const step = fc.record({
      what: fc.constantFrom('add', 'split', 'slide', 'move', 'remove'),
      at: fc.nat(),
      mm: fc.integer({ min: -12, max: 12 }),
      kind: fc.constantFrom(...ZONE_KINDS),
      axis: fc.constantFrom(...AXES),
      far: fc.boolean(),
      nest: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.constantFrom(...APPLIANCE_SHAPES), fc.array(step, { maxLength: 12 }), (shape, steps) => {
        let drawing = draw(shape);
        for (const { what, at, mm, kind, axis, far, nest } of steps) {
          const zone = drawing.zones[at % Math.max(1, drawing.zones.length)];
          const inside = drawing.compartments[at % drawing.compartments.length];
          if (!zone || !inside) break;
          try {
            if (what === 'add')
              drawing = addZone(
                drawing,
                kind,
                nest ? { zone: zone.id } : { compartment: inside.id, side: 'body' },
                newId(),
              );
            else if (what === 'split') drawing = splitZone(drawing, zone.id, axis, newId());
            else if (what === 'slide') drawing = slideEdge(drawing, zone.id, { axis, far }, mm * 10);
            else if (what === 'move')
              drawing = changeZone(drawing, zone.id, { [axis.start]: zone[axis.start] + mm * 10 });
            else drawing = removeZone(drawing, zone.id);
          } catch (error) {
            if (!(error instanceof Refusal)) throw error;
            expect(error.rule).toMatch(/^D[1-6]$/);
          }
          expect(checkDrawing(drawing)).toEqual([]);
        }
      }),
      { numRuns: 300 },
    );
  });
});

it('counts the lifts to every basket, and what stands before a zone', () => {
  let drawing: ApplianceDrawing = { ...draw('chest'), zones: [] };
  const into = { compartment: drawing.compartments[0]?.id ?? '', side: 'body' as const };
  drawing = addZone(drawing, 'layer', into, 'top');
  drawing = addZone(drawing, 'layer', into, 'foot');
  drawing = { ...drawing, zones: drawing.zones.filter(({ id }) => id === 'foot') };
  drawing = addZone(drawing, 'basket', into, 'left');
  drawing = addZone(drawing, 'basket', into, 'right');
  const lifts = (id: string): number => liftsTo(zoneIn(drawing, id), drawing);
  expect([lifts('left'), lifts('right'), lifts('foot')]).toEqual([0, 0, 2]);
  const fridge = draw('fridge');
  const { id } = called(fridge, 'Top shelf');
  const short = changeZone(fridge, id, { depthMm: 200 });
  const inside = short.compartments[0]?.id ?? '';
  const beside = addZone(short, 'bin', { compartment: inside, side: 'body' }, 'behind');
  // A new one never lands hidden behind another; by hand it may be put there.
  expect(standBefore(zoneIn(beside, 'behind'), beside)).toEqual([]);
  const behind = changeZone(beside, 'behind', { xMm: 0, yMm: 0, zMm: 200, depthMm: 100 });
  expect(standBefore(zoneIn(behind, 'behind'), behind).map(({ name }) => name)).toEqual(['Top shelf']);
});

it('takes a door for warm, the foot of a fridge for cold, a freezer for what it is set to', () => {
  const drawing = draw('fridge-over-freezer');
  const celsius = (name: string): number => assumedCelsius(called(drawing, name), drawing).celsius;
  expect([
    celsius('Door 1'),
    celsius('Top shelf'),
    celsius('Lower shelf'),
    celsius('Leaf drawer'),
    celsius('Drawer 1'),
  ]).toEqual([6.5, 4, 3.5, 4, -18]);
});
