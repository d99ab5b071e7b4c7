import { food } from '../../../tests/fixtures/reference';
import type { PlacingPackage, PlacingZone } from './placing';
import { rankZones } from './rankZones';

const zone = (id: string, more: Partial<PlacingZone> = {}): PlacingZone => ({
  id,
  appliance: 'a',
  kind: 'shelf',
  temperatureC: 4,
  humidity: null,
  order: 1,
  freeLitres: 20,
  litres: 20,
  widthMm: null,
  depthMm: null,
  heightMm: null,
  leakproof: false,
  only: [],
  never: [],
  purpose: '',
  lifts: 0,
  ...more,
});
const pack = (id: string, state: 'chilled' | 'frozen' = 'chilled'): PlacingPackage => ({
  id,
  food: food(id),
  state,
  litres: 1,
  rigidMm: null,
  daysLeft: 5,
  takesPerWeek: 0,
});
const faults = (
  found: PlacingPackage,
  zones: PlacingZone[],
  contents: { zone: string; food: string }[] = [],
) =>
  rankZones(
    found,
    zones,
    contents.map((one) => ({ zone: one.zone, food: food(one.food) })),
  ).map(({ zone: { id }, fault }) => [id, fault?.rule ?? null]);

describe('zones for one package, the best first', () => {
  it('a zone is what it measures: −5 °C takes neither frozen food nor milk, whatever it is called', () => {
    for (const cold of [undefined, 'freezer', 'fridge'] as const) {
      const odd = zone('odd', { temperatureC: -5, ...(cold ? { cold } : {}) });
      expect(faults(pack('milk'), [odd])).toEqual([['odd', 'P1']]);
      expect(faults(pack('ground-beef', 'frozen'), [odd])).toEqual([['odd', 'P1']]);
    }
    const cold = zone('cold', { temperatureC: -7, cold: 'fridge' });
    expect(faults(pack('milk'), [cold])).toEqual([['cold', 'P1']]);
    expect(faults(pack('ground-beef', 'frozen'), [zone('deep', { temperatureC: -18 })])).toEqual([
      ['deep', null],
    ]);
  });

  it('somebody’s shelf, a warm one, and one that juice could reach come last, each with its rule', () => {
    const zones = [
      zone('Wren’s', { person: 'Wren', order: 0 }),
      zone('warm', { temperatureC: 9, order: 0 }),
      zone('below raw', { order: 3 }),
      zone('raw', { order: 2 }),
      zone('free', { order: 1 }),
    ];
    const [best, ...others] = faults(pack('quark'), zones, [{ zone: 'raw', food: 'chicken-thighs-raw' }]);
    expect(best).toEqual(['free', null]);
    expect(Object.fromEntries(others)).toEqual({
      'Wren’s': 'P4',
      warm: 'P2',
      'below raw': 'P3',
      raw: 'P3',
    });
  });
});
