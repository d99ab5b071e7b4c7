import fc from 'fast-check';
import { DECIMALS } from './wording';
import { type InnerUnit, typedIn } from './typedIn';

it('a whole figure shown in a field and read again is the same, in either system, with a point or a comma', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 20_000 }),
      fc.constantFrom<InnerUnit>('mm', 'g', 'ml', 'l'),
      fc.constantFrom('metric' as const, 'us' as const),
      fc.constantFrom(...DECIMALS),
      (value, inner, units, decimals) => {
        const field = typedIn(inner, { units, decimals });
        expect(Math.round(field.read(field.show(value)))).toBe(value);
      },
    ),
  );
});

it.each([
  ['mm', 'us', '7 1/2', 190.5],
  ['mm', 'us', '1/2', 12.7],
  ['mm', 'metric', '12,5', 12.5],
  ['room', 'us', '7', 198.2],
  ['g', 'us', '16', 453.6],
] as const)('%s (%s): “%s” is %d', (inner, system, text, value) => {
  expect(typedIn(inner, { units: system, decimals: 'comma' }).read(text)).toBeCloseTo(value, 1);
});

it('what is no number is none', () => {
  for (const text of ['', 'much', '7 in', '1/2/3'])
    expect(typedIn('g', { units: 'us', decimals: 'point' }).read(text)).toBeNaN();
});
