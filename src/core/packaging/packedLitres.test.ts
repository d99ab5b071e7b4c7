import { packedLitres } from './packedLitres';

it.each([
  ['a flat bag of 900 g', { amount: 900, unit: 'g', form: 'flat', wrap: 'zip-bag' }, 1, 1],
  ['a tub of 850 ml', { amount: 850, unit: 'ml', form: null, wrap: 'tub' }, 1.03, 1],
  ['600 g loose, as heavy as water', { amount: 600, unit: 'g', form: 'loose', wrap: 'loose-bag' }, 1, 1],
  ['300 g of leaves, half as dense', { amount: 300, unit: 'g', form: null, wrap: null }, 0.5, 1],
  ['one piece', { amount: 1, unit: 'pc', form: null, wrap: null }, 1, 0.667],
  ['six pieces', { amount: 6, unit: 'pc', form: null, wrap: null }, 1, 1.667],
] as const)('%s', (_what, pack, density, litres) => {
  expect(packedLitres(pack, density)).toBeCloseTo(litres, 3);
});
