import { amountFault, isUnit, readAmount } from './readAmount';
import { sayAmount, sayMoney } from './sayAmount';

describe('amounts in household units', () => {
  it.each([
    [1.6, 'kg', { amount: 1600, unit: 'g' }],
    [1, 'lb', { amount: 454, unit: 'g' }],
    [8, 'oz', { amount: 227, unit: 'g' }],
    [2, 'Litres', { amount: 2000, unit: 'ml' }],
    [5, 'dl', { amount: 500, unit: 'ml' }],
    [1, 'pint', { amount: 568, unit: 'ml' }],
    [14, null, { amount: 14, unit: 'pc' }],
    [1, 'bunch', { amount: 1, unit: 'pc' }],
  ])('%d %s', (value, unit, expected) => {
    expect(readAmount(value, unit)).toEqual(expected);
  });

  it('knows no unit that is not one, also not what every object has', () => {
    expect(readAmount(1, 'furlong')).toBeNull();
    expect(readAmount(1, 'constructor')).toBeNull();
    expect(['kg', 'KG', 'loaf'].every(isUnit)).toBe(true);
    expect(['toString', 'flat', ''].some(isUnit)).toBe(false);
  });

  it.each([
    [0, 'g', 'more than zero'],
    [-5, 'ml', 'more than zero'],
    [Number.NaN, 'g', 'more than zero'],
    [200_001, 'g', '200 kg'],
    [200_001, 'ml', '200 litres'],
    [2_001, 'pc', '2,000 pieces'],
  ] as const)('%d %s cannot be: %s', (amount, unit, words) => {
    expect(amountFault(amount, unit)).toContain(words);
    expect(amountFault(1, unit)).toBeNull();
  });

  it('are said short', () => {
    expect(
      (
        [
          [400, 'g'],
          [1600, 'g'],
          [2000, 'ml'],
          [12_345, 'g'],
          [999, 'ml'],
          [14, 'pc'],
        ] as const
      ).map(([amount, unit]) => sayAmount(amount, unit)),
    ).toEqual(['400 g', '1.6 kg', '2 l', '12.3 kg', '999 ml', '14']);
    expect(sayMoney(2820, 'EUR')).toBe('€28.20');
  });
});
