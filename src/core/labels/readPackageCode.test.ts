import fc from 'fast-check';
import { packageCode } from './packageCode';
import { readPackageCode } from './readPackageCode';

it('a code is itself, however it is spaced and cased; what cannot stand in its place is what it looks like', () => {
  fc.assert(
    fc.property(fc.nat(2_000_000), (n) => {
      const code = packageCode(n);
      expect(readPackageCode(code)).toBe(code);
      expect(readPackageCode(` ${code.slice(0, 2).toLowerCase()}-${code.slice(2)} `)).toBe(code);
    }),
  );
  for (const [typed, code] of [
    ['5B4Z', 'SB42'],
    ['OK8S', 'QK85'],
    ['ab12', 'AB72'],
    ['x', 'X'],
  ] as const)
    expect(readPackageCode(typed)).toBe(code);
});
