import fc from 'fast-check';
import { readAmount } from './readAmount';
import { retell, retellAll, sayFahrenheit, toCelsius } from './retell';
import { sayAmount } from './sayAmount';
import { PLAIN_WORDING, type Wording } from './wording';

const US: Wording = { units: 'us', decimals: 'point' };

it.each([
  ['Stored Trout 4 × 400 g.', 'Stored Trout 4 × 14.1 oz.'],
  ['1.6 kg from 2 packages', '3.53 lb from 2 packages'],
  ['Chowder 600 ml, Milk 2 l', 'Chowder 2.54 cups, Milk 2.11 qt'],
  ['Egg whites 90 g · 30 ml', 'Egg whites 3.2 oz · 1 fl oz'],
  ['480 × 140 × 300 mm inside', '18.9 × 5.5 × 11.8 in inside'],
  ['above 4.4 °C for 2 h; −18 °C', 'above 40 °F for 2 h; 0 °F'],
  ['two hours out of the cold, one above 32 °C', 'two hours out of the cold, one above 90 °F'],
  ['68 L free', '71.9 qt free'],
  ['It is 6.5 °C there', 'It is 43.7 °F there'],
  ['Layer 1, Drawer 2: 3 packages of AB23', 'Layer 1, Drawer 2: 3 packages of AB23'],
  ['best by 9 Feb 2027, rule K5', 'best by 9 Feb 2027, rule K5'],
])('“%s” is “%s” in a US kitchen', (metric, us) => {
  expect(retell(metric, US)).toBe(us);
  expect(retell(metric, PLAIN_WORDING)).toBe(metric);
});

it.each([
  ['Stored Trout 1.6 kg, 4 × 0.4 kg.', 'Stored Trout 1,6 kg, 4 × 0,4 kg.'],
  ['above 4.4 °C for 2.5 h; −1.5 °C', 'above 4,4 °C for 2,5 h; −1,5 °C'],
  ['€2.40 a packet, €1,234.50 in all', '€2,40 a packet, €1.234,50 in all'],
  [
    '480.5 × 140 mm, chilled days pass 1.4 times as fast',
    '480,5 × 140 mm, chilled days pass 1,4 times as fast',
  ],
  [
    'at 10.30, 2026-11-25T18:00:01.500Z, 10.0.0.7, v1.5, 1.5',
    'at 10,30, 2026-11-25T18:00:01.500Z, 10.0.0.7, v1.5, 1,5',
  ],
  ['best by 9 Feb 2027, rule K5. 3 packages', 'best by 9 Feb 2027, rule K5. 3 packages'],
  ['1.25', '1.25'],
])('“%s” is “%s” where a comma is written', (point, comma) => {
  expect(retell(point, { units: 'metric', decimals: 'comma' })).toBe(comma);
  // Said over again it stays as it is.
  expect(retell(comma, { units: 'metric', decimals: 'comma' })).toBe(comma);
});

it('pounds with a comma are the same pounds', () => {
  expect(retell('1.6 kg from 2 packages', { units: 'us', decimals: 'comma' })).toBe(
    '3,53 lb from 2 packages',
  );
  expect(retell('1,6 kg from 2 packages', { units: 'us', decimals: 'comma' })).toBe(
    '3,53 lb from 2 packages',
  );
});

it('amounts go round without drift: what is said, typed again, says the same and stays the same amount', () => {
  const again = (said: string): { amount: number; unit: string } | null => {
    const [, value = '', unit = ''] = /^([\d.]+) (.+)$/.exec(said) ?? [];
    return readAmount(Number(value), unit, 'us');
  };
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200_000 }),
      fc.constantFrom('g' as const, 'ml' as const),
      (amount, unit) => {
        const said = retell(sayAmount(amount, unit), US);
        const typed = again(said);
        expect(typed?.unit).toBe(unit);
        const said2 = retell(sayAmount(typed?.amount ?? 0, unit), US);
        const typed2 = again(said2);
        const said3 = retell(sayAmount(typed2?.amount ?? 0, unit), US);
        expect(said3).toBe(said2);
        expect(again(said3)).toEqual(typed2);
        // Never off by more than what the words leave open: a hundredth of a pound or quart, a tenth of an ounce, and our own rounding.
        expect(Math.abs((typed?.amount ?? 0) - amount)).toBeLessThanOrEqual(Math.max(6, amount * 0.051));
      },
    ),
  );
});

it('what is typed in round pounds, ounces, quarts and cups is said so again', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(['lb', 0.25, 20] as const, ['oz', 0.5, 15.5] as const, ['qt', 0.25, 9] as const),
      fc.integer({ min: 1, max: 200 }),
      ([unit, step, most], steps) => {
        const value =
          unit === 'qt'
            ? Math.min(most, 1 + steps * step)
            : Math.min(most, (unit === 'lb' ? 1 : 0) + steps * step);
        const typed = readAmount(value, unit, 'us');
        expect(retell(sayAmount(typed?.amount ?? 0, typed?.unit ?? 'g'), US)).toBe(`${value} ${unit}`);
      },
    ),
  );
});

it('degrees typed in °F and said again are the same, and a view is retold in all its words but no figure', () => {
  fc.assert(
    fc.property(fc.integer({ min: -40, max: 120 }), (f) => {
      expect(Number(sayFahrenheit(toCelsius(f, 'us')).replace('−', '-'))).toBeCloseTo(f, 0);
    }),
  );
  const view = {
    name: 'Box 1 l',
    amount: 400,
    words: '400 g',
    zones: [{ c: 4.4, says: 'at 4.4 °C' }],
    none: null,
  };
  expect(retellAll(view, US)).toEqual({
    name: 'Box 1 l',
    amount: 400,
    words: '14.1 oz',
    zones: [{ c: 4.4, says: 'at 40 °F' }],
    none: null,
  });
});
