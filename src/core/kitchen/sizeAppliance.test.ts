import fc from 'fast-check';
import { APPLIANCE_SHAPES } from '../model/drawing';
import { Refusal } from '../model/refusal';
import { checkDrawing } from './checkDrawing';
import { newAppliance } from './newAppliance';
import { litresOf, sizeAppliance, withBaskets } from './sizeAppliance';

let made = 0;
const newId = (): string => `00000000-0000-4000-8000-${String(made++).padStart(12, '0')}`;

it('any shape in any size is a sound drawing with the litres told, within an eighth', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...APPLIANCE_SHAPES),
      fc.integer({ min: 80, max: 700 }),
      fc.integer({ min: 1, max: 4 }),
      (shape, litres, baskets) => {
        const sized = sizeAppliance(newAppliance(shape, 'Ours', 'Kitchen', newId), { litres });
        const drawing = withBaskets(sized, baskets, newId);
        expect(checkDrawing(drawing)).toEqual([]);
        expect(Math.abs(litresOf(drawing) - litres)).toBeLessThanOrEqual(litres / 8);
      },
    ),
  );
});

it('the outside less its walls is the inside, and three baskets hang side by side', () => {
  const chest = newAppliance('chest', 'Chest', '', newId);
  const sized = withBaskets(sizeAppliance(chest, { outsideMm: [1120, 850, 600] }), 3, newId);
  expect(sized.compartments[0]).toMatchObject({ widthMm: 1030, heightMm: 760, depthMm: 510 });
  const baskets = sized.zones.filter(({ kind }) => kind === 'basket');
  expect(baskets.map(({ name, xMm, widthMm }) => [name, xMm, widthMm])).toEqual([
    ['Basket 1', 0, 340],
    ['Basket 2', 340, 350],
    ['Basket 3', 690, 340],
  ]);
  expect(withBaskets(sized, 0, newId).zones.map(({ kind }) => kind)).toEqual(['layer', 'layer']);
});

it.each([{ litres: 5 }, { litres: 5000 }, { outsideMm: [60, 85, 60] as [number, number, number] }])(
  '%j is no size of an appliance',
  (size) => {
    expect(() => sizeAppliance(newAppliance('chest', '', '', newId), size)).toThrow(Refusal);
  },
);
