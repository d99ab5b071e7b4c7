import fc from 'fast-check';
import { retell } from './retell';
import { sayAmount } from './sayAmount';
import { typedAmount } from './typedAmount';
import type { Wording } from './wording';

const US: Wording = { units: 'us', decimals: 'point' };

it.each([
  ['400', 'g', 'metric', 400],
  ['0,5 kg', 'g', 'metric', 500],
  ['1 1/2 lb', 'g', 'us', 680],
  ['14', 'g', 'us', 397],
  ['1½ lb', 'g', 'us', 680],
  ['½ kg', 'g', 'metric', 500],
  ['2 fl oz', 'ml', 'us', 59],
  ['1 cup', 'ml', 'metric', 250],
  ['6', 'pc', 'us', 6],
  ['3 pieces', 'pc', 'metric', 3],
] as const)('“%s” of what is counted in %s (%s) is %d', (text, unit, system, amount) => {
  expect(typedAmount(text, unit, system)).toEqual({ amount, fault: '' });
});

it.each([
  ['', 'g'],
  ['-3', 'g'],
  ['0', 'g'],
  ['some', 'g'],
  ['2 l', 'g'],
  ['300 g', 'pc'],
  ['900 kg', 'g'],
] as const)('“%s” of what is counted in %s is refused in words', (text, unit) => {
  const { amount, fault } = typedAmount(text, unit, 'metric');
  expect(amount).toBeNull();
  expect(fault.length).toBeGreaterThan(10);
});

it('an amount as it is said can be typed back', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 150_000 }),
      fc.constantFrom('g' as const, 'ml' as const),
      (amount, unit) => {
        const said = retell(sayAmount(amount, unit), US);
        const typed = typedAmount(said, unit, 'us').amount ?? 0;
        expect(Math.abs(typed - amount)).toBeLessThanOrEqual(Math.max(6, amount * 0.051));
      },
    ),
  );
});
