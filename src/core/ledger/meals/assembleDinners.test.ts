import fc from 'fast-check';
import { LINE, Store } from '../../../../tests/fixtures/memoryStore';
import { addDays } from '../../calendar/calendarDate';
import type { Package } from '../../model/package';

const TODAY = '2026-11-25';
const NOW = `${TODAY}T12:00:00.000Z`;
const COOKED = ['chicken-cooked', 'stew', 'lasagne', 'rice-cooked', 'beans-cooked', 'roast-beef-cooked'];

/** Cooked things in the fridge, so many days old, each 600 g for 3 €. */
function cooked(...things: { food: string; age: number; more?: object }[]) {
  const store = new Store();
  things.forEach(({ food, age, more }, at) => {
    const start = { did: 'cooked', on: addDays(TODAY, -age) };
    const line = { ...LINE, food, called: `Part ${at}`, amount: 600, packs: 1, form: null, priceMinor: 300 };
    store.run({ id: `store ${at}`, type: 'haul.store', lines: [{ ...line, start, ...more }] }, NOW);
  });
  const part = (at: number): Package => {
    const found = [...store.packages.values()].find(({ called }) => called === `Part ${at}`);
    if (!found) throw new Error(`no part ${at}`);
    return found;
  };
  /** Put together so many minutes after all came in. */
  const run = (dinners: { whose: string; amounts: number[] }[], minutes = 0): Package[] => {
    const parts = things.map((_, at) => ({ package: part(at).id, version: part(at).version }));
    const at = new Date(Date.parse(NOW) + minutes * 60_000).toISOString();
    store.run({ id: 'm', type: 'meal.assemble', parts, dinners, zone: 'shelf' }, at);
    return [...store.packages.values()].filter(
      ({ called, gone }) => called.startsWith('Part 0,') && gone === null,
    );
  };
  const undo = (): void =>
    void store.run({ id: 'u', type: 'ledger.undo', command: 'm', meanwhile: 'cold' }, NOW);
  return { store, part, run, undo };
}

it('a dinner is as old as its oldest part; nothing of weight or worth is lost or made; undone as one', () => {
  const food = fc.constantFrom(...COOKED);
  const age = fc.integer({ min: 0, max: 1 });
  const thing = fc.record({ food, age });
  const grams = fc.integer({ min: 10, max: 200 });
  fc.assert(
    fc.property(
      thing,
      thing,
      thing,
      fc.array(fc.tuple(grams, grams, grams), { minLength: 1, maxLength: 3 }),
      (a, b, c, boxes) => {
        const { store, part, run, undo } = cooked(a, b, c);
        const before = [0, 1, 2].map(part);
        const made = run(boxes.map((amounts, at) => ({ whose: at === 0 ? 'Ailsa' : '', amounts })));
        expect(made).toHaveLength(boxes.length);
        for (const one of made)
          for (const its of before) {
            expect(one.governingDate <= its.governingDate).toBe(true);
            expect(one.startOn <= its.startOn).toBe(true);
          }
        const all = [...store.packages.values()].filter(({ gone }) => gone === null);
        expect(all.reduce((sum, { amount }) => sum + amount, 0)).toBe(1800);
        const worth = all.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0);
        expect(Math.abs(worth - 900)).toBeLessThanOrEqual(3);
        expect(made[0]?.keptFor).toMatchObject({ whose: 'Ailsa', handsOff: false });
        undo();
        expect([0, 1, 2].map((at) => part(at).amount)).toEqual([600, 600, 600]);
        expect([...store.packages.values()].filter(({ gone }) => gone === null)).toHaveLength(3);
      },
    ),
    { numRuns: 60 },
  );
});

it('what stood out keeps its minutes in the dinner', () => {
  const { run } = cooked({ food: 'stew', age: 0 }, { food: 'rice-cooked', age: 0, more: { zone: null } });
  expect(run([{ whose: '', amounts: [300, 150] }], 40)).toMatchObject([
    {
      ...{ state: 'chilled', zoneId: 'shelf', amount: 450, counterMinutes: 40 },
      note: expect.stringContaining('74 °C') as string,
    },
  ]);
});

it('refuses what is raw, frozen, past its date, more than there is, or promised; nothing happens by it', () => {
  const one = [{ whose: '', amounts: [300, 100] }];
  const stew = { food: 'stew', age: 0 };
  const refused = (things: Parameters<typeof cooked>, words: RegExp, dinners = one): void => {
    const { store, run } = cooked(...things);
    const before = JSON.stringify([...store.packages]);
    expect(() => run(dinners)).toThrow(words);
    expect(JSON.stringify([...store.packages])).toBe(before);
  };
  refused([stew, { food: 'ground-lamb', age: 0 }], /raw: cook it first/);
  refused([stew, { food: 'peas', age: 0, more: { zone: 'chest', frozenOn: TODAY } }], /thaw it first/);
  refused([stew, { food: 'rice-cooked', age: 5 }], /past its use by/);
  refused([stew, { food: 'rice-cooked', age: 0 }], /only 600 g/, [{ whose: '', amounts: [300, 700] }]);
  refused([stew, { food: 'rice-cooked', age: 0 }], /gets anything/, [{ whose: '', amounts: [300, 0] }]);
  refused([stew, { food: 'rice-cooked', age: 0 }], /of each part/, [{ whose: '', amounts: [300] }]);
});
