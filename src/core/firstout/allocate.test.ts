import fc from 'fast-check';
import { type AllocatedPackage, allocate, canSplit } from './allocate';
import { leastOver } from './leastOver';

let count = 0;
/** A package in grams: amount, date (day of March 2027), and what else matters. */
function pack(amount: number, day: number, more: Partial<AllocatedPackage> = {}): AllocatedPackage {
  const code = more.code ?? `P${String(count++).padStart(4, '0')}`;
  const governingDate = `2027-03-${String(day).padStart(2, '0')}`;
  const found = { governingDate, governingKind: 'use-by' as const, ...more };
  return {
    id: code,
    code,
    amount,
    unit: 'g',
    form: null,
    state: 'chilled',
    firstOut: `${found.governingDate} ${found.governingKind === 'use-by' ? 0 : 1} ${code}`,
    unfit: null,
    thawHours: 0,
    ...found,
  };
}
const codes = (packages: AllocatedPackage[], wanted: number, hours: number | null = null) =>
  allocate(packages, wanted, 'g', hours).takes.map(({ code, amount }) => [code, amount]);

describe('taking an amount', () => {
  it('walks first out and never passes an older one to fit better', () => {
    const packages = [pack(500, 4, { code: 'NEW' }), pack(300, 2, { code: 'OLD' })];
    expect(codes(packages, 500)).toEqual([
      ['OLD', 300],
      ['NEW', 500],
    ]);
    expect(allocate(packages, 500, 'g', null)).toMatchObject({ excess: 300, short: 0, passed: [] });
  });

  it('among equal dates the least left over wins, and tells why another one stays', () => {
    const packages = [pack(800, 2, { code: 'BIG' }), pack(500, 2, { code: 'FIT' })];
    const result = allocate(packages, 500, 'g', null);
    expect(result.takes.map(({ code }) => code)).toEqual(['FIT']);
    expect(result.passed).toEqual([expect.objectContaining({ code: 'BIG' })]);
    expect(
      codes([pack(400, 2, { code: 'A' }), pack(300, 2, { code: 'B' }), pack(200, 2, { code: 'C' })], 500),
    ).toEqual([
      ['B', 300],
      ['C', 200],
    ]);
  });

  it('splits the last one only when its form comes apart', () => {
    expect(codes([pack(800, 2, { code: 'L', form: 'loose' })], 500)).toEqual([['L', 500]]);
    expect(allocate([pack(800, 2, { form: 'block' })], 500, 'g', null)).toMatchObject({ excess: 300 });
    expect(canSplit({ form: null, unit: 'ml', state: 'frozen' })).toBe(false);
    expect(canSplit({ form: null, unit: 'ml', state: 'chilled' })).toBe(true);
    expect(canSplit({ form: 'scored', unit: 'g', state: 'frozen' })).toBe(true);
    expect(canSplit({ form: 'slices', unit: 'pc', state: 'frozen' })).toBe(true);
  });

  it('counts frozen ones only when they thaw in time, and tells the reason', () => {
    const packages = [
      pack(500, 2, { code: 'ICE', state: 'frozen', thawHours: 12 }),
      pack(500, 9, { code: 'COLD' }),
    ];
    expect(codes(packages, 400, 6)).toEqual([['COLD', 500]]);
    expect(allocate(packages, 400, 'g', 6).passed[0]?.why).toMatch(/12 hours to thaw; there are 6/);
    expect(codes(packages, 400, 12)).toEqual([['ICE', 500]]);
    // Nobody said for when: it is for now.
    expect(codes(packages, 400)).toEqual([['COLD', 500]]);
    expect(codes(packages, 600)).toEqual([
      ['ICE', 500],
      ['COLD', 500],
    ]);
    const cheese = [pack(400, 2, { code: 'BLOCK', cuts: true })];
    expect(codes(cheese, 200)).toEqual([['BLOCK', 200]]);
  });

  it('opened before whole, safety before quality, never what is unfit or counted otherwise', () => {
    const packages = [
      pack(300, 3, { code: 'QUAL', governingKind: 'best-by' }),
      pack(300, 3, { code: 'SAFE' }),
      pack(300, 1, { code: 'BAD', unfit: 'past its use by' }),
      pack(6, 1, { code: 'EGGS', unit: 'pc' }),
    ];
    const result = allocate(packages, 600, 'g', null);
    expect(result.takes.map(({ code }) => code)).toEqual(['SAFE', 'QUAL']);
    expect(result.passed.map(({ code }) => code)).toEqual(['BAD', 'EGGS']);
    expect(allocate(packages, 700, 'g', null)).toMatchObject({ short: 100, excess: 0 });
  });
});

describe('laws of taking', () => {
  const packages = fc.array(
    fc
      .tuple(
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('loose' as const, 'block' as const, null),
        fc.boolean(),
      )
      .map(([amount, day, form, frozen]) =>
        pack(amount, day, { form, state: frozen ? 'frozen' : 'chilled', thawHours: frozen ? 20 : 0 }),
      ),
    { maxLength: 12 },
  );

  it('sums are exact, nothing older is passed without a reason, no more than one is split', () => {
    fc.assert(
      fc.property(
        packages,
        fc.integer({ min: 1, max: 4000 }),
        fc.option(fc.integer({ min: 0, max: 30 })),
        (all, wanted, hours) => {
          const { takes, passed, excess, short } = allocate(all, wanted, 'g', hours);
          const taken = takes.reduce((sum, { amount }) => sum + amount, 0);
          expect(taken).toBe(wanted + excess - short);
          expect(excess === 0 || short === 0).toBe(true);
          expect(takes.filter(({ whole }) => !whole).length).toBeLessThanOrEqual(1);
          const byId = new Map(all.map((found) => [found.id, found]));
          const last =
            takes
              .map(({ id }) => byId.get(id)?.firstOut ?? '')
              .sort()
              .at(-1) ?? '';
          const touched = new Set([...takes, ...passed].map(({ id }) => id));
          for (const found of all) if (found.firstOut < last) expect(touched.has(found.id)).toBe(true);
          for (const { id, amount, whole } of takes) {
            const found = byId.get(id);
            expect(
              whole
                ? amount === found?.amount
                : found !== undefined && amount < found.amount && canSplit(found),
            ).toBe(true);
          }
        },
      ),
      { numRuns: 1000 },
    );
  });

  it('the least over is the least over of all choices', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 200 }),
        (amounts, need) => {
          const sums = amounts.reduce<number[]>(
            (all, amount) => [...all, ...all.map((sum) => sum + amount)],
            [0],
          );
          const best = Math.min(...sums.filter((sum) => sum >= need));
          const sum = leastOver(amounts, need).reduce((so, at) => so + (amounts[at] ?? 0), 0);
          expect(sum).toBe(Number.isFinite(best) ? best : amounts.reduce((a, b) => a + b, 0));
        },
      ),
      { numRuns: 1000 },
    );
  });
});
