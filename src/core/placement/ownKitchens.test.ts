import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { placedBox } from '../kitchen/boxes';
import { newAppliance, SHAPE_MODELS } from '../kitchen/newAppliance';
import { greedyPlacement } from './greedyPlacement';
import { placementModel, refusalOf } from './placementModel';
import type { PlacedFood, PlacingPackage, PlacingZone } from './placing';
import { rankZones } from './rankZones';

/** The zones of a stock shape as nobody has measured them, so many litres of each taken. */
function zonesOf(shape: (typeof SHAPE_MODELS)[number], full: number): PlacingZone[] {
  let ids = 0;
  const drawing = newAppliance(shape.id, shape.title, 'Kitchen', () => `id-${ids++}`);
  return drawing.zones.map((zone) => {
    const litres = (zone.widthMm * zone.heightMm * zone.depthMm) / 1e6;
    return {
      ...zone,
      appliance: drawing.id,
      compartment: zone.compartmentId,
      cold: drawing.compartments.find(({ id }) => id === zone.compartmentId)?.cold ?? 'fridge',
      temperatureC: null,
      order: placedBox(zone, drawing.zones).yMm,
      litres,
      freeLitres: litres * (1 - full),
      lifts: 0,
    };
  });
}

const pack = (id: string, more: Partial<PlacingPackage> = {}): PlacingPackage => ({
  id,
  food: food(id),
  state: 'chilled',
  litres: 0.6,
  rigidMm: null,
  daysLeft: 3,
  takesPerWeek: 1,
  ...more,
});
/** A shop of a usual week. */
const SHOP = ['ground-beef', 'chicken-thighs-raw', 'cod', 'bacon', 'salad-leaves'].map((id) => pack(id));
const CLOSED = ['milk', 'hard-cheese', 'eggs-in-shell', 'yogurt'].map((id) => pack(id, { closed: true }));
/** What lies in fridges: salad and lemons in the drawers, dinner above, bottles and jars in the door. */
const KEPT = [
  'lemons',
  'salad-leaves',
  'carrots',
  'stew',
  'rice-cooked',
  'ham-sliced',
  'brie',
  'strawberries',
];
const BOTTLES = ['wine-bottle', 'ketchup', 'butter', 'jam'];

it('in the fridges of all stock shapes a usual shop is placed without one refusal, salad in the drawers and a third full', () => {
  const shapes = SHAPE_MODELS.filter(({ compartments }) =>
    compartments.some(({ cold }) => cold === 'fridge'),
  );
  const some = (of: readonly string[]) => fc.subarray([...of]);
  fc.assert(
    fc.property(
      fc.constantFrom(...shapes),
      some(KEPT),
      some(BOTTLES),
      fc.double({ min: 0, max: 0.33, noNaN: true }),
      (shape, kept, bottles, full) => {
        const zones = zonesOf(shape, full);
        // Each where it would be put: raw food has not been here yet.
        const contents: PlacedFood[] = [];
        for (const [id, closed] of [
          ...kept.map((one) => [one, false] as const),
          ...bottles.map((one) => [one, true] as const),
        ]) {
          const [best] = rankZones(pack(id, { closed }), zones, contents);
          if (best && best.fault === null) contents.push({ zone: best.zone.id, food: food(id), closed });
        }
        const packages = [...SHOP, ...CLOSED];
        const model = placementModel(zones, contents, packages);
        const placed = greedyPlacement(zones, packages, model.possible);
        const left = packages.filter((_, at) => !placed.some((one) => one.package === at));
        expect(left.map(({ id }) => id)).toEqual([]);
      },
    ),
    { numRuns: 500 },
  );
});

it('tells first what a cook can change: room before a tray, neither before that a freezer is none', () => {
  const zones = SHAPE_MODELS.flatMap((shape) => zonesOf(shape, 1));
  const turkey = pack('turkey-whole', { litres: 9 });
  const { faults } = placementModel(zones, [], [turkey]);
  expect(refusalOf(turkey, faults[0] ?? [], zones.length).rule).toBe('P5');
});
