import fc from 'fast-check';
import { LINE, Store } from '../../../tests/fixtures/memoryStore';
import { firstOutKey } from '../firstout/firstOutKey';
import { StaleVersion } from '../model/stale';

const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;

describe('storing', () => {
  it('makes packages that add up in grams and money, each dated and coded', () => {
    const packages = new Store().store();
    expect(packages).toHaveLength(7);
    expect(packages.reduce((sum, { amount }) => sum + amount, 0)).toBe(3900);
    expect(packages.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0)).toBe(2820);
    expect(new Set(packages.map(({ code }) => code)).size).toBe(7);
    expect(packages[0]).toMatchObject({
      useBy: '2026-11-27',
      called: 'Mutton mince',
      version: 1,
      zoneId: 'shelf',
    });
  });

  it('refuses the whole haul for one bad line, and names it', () => {
    const store = new Store();
    const lines = [LINE, { ...LINE, packs: 5000, amount: 100 }];
    expect(() => store.run({ id: 'h', type: 'haul.store', lines })).toThrow(
      'Line 2: 100 g does not make 5000 packs.',
    );
    expect(() => store.store({ zone: 'chest' })).toThrow(rule('place'));
    expect(() => store.store({ zone: 'shelf', frozenOn: '2026-11-25' })).toThrow(rule('place'));
    expect(() => store.store({ printed: { kind: 'use-by', date: '2199-01-01' } })).toThrow(rule('K3'));
    expect(store.packages.size).toBe(0);
  });

  it('runs the clocks faster in a warm door', () => {
    const [cool] = new Store().store({ food: 'beef-steak' });
    const [warm] = new Store().store({ food: 'beef-steak', zone: 'door' });
    expect([cool?.useBy, warm?.useBy]).toEqual(['2026-11-30', '2026-11-28']);
  });
});

describe('changing', () => {
  it('takes a part with its share of the price, then all of it', () => {
    const store = new Store();
    store.store({ packs: 1 });
    expect(store.on('package.take', { amount: 900 })).toMatchObject({
      amount: 3000,
      priceMinor: 2169,
      gone: null,
    });
    expect(() => store.on('package.take', { amount: 3001 })).toThrow(rule('amount'));
    expect(store.on('package.take', { amount: null }).gone).toMatchObject({ how: 'taken' });
    expect(() => store.on('package.open')).toThrow(rule('gone'));
  });

  it('will not hand out what is past its use by, but bins it', () => {
    const store = new Store();
    store.store();
    const later = '2026-11-28T12:00:00.000Z';
    expect(() => store.on('package.take', { amount: null }, later)).toThrow(rule('K2'));
    expect(store.on('package.discard', { amount: null, reason: 'past-date' }, later).gone).toMatchObject({
      how: 'discarded',
      reason: 'past-date',
    });
  });

  it('freezes, thaws and freezes again by the rules', () => {
    const store = new Store();
    store.store({ food: 'venison' });
    expect(() => store.on('package.move', { zone: 'chest' })).toThrow(rule('place'));
    expect(store.on('package.freeze', { zone: 'chest' })).toMatchObject({
      state: 'frozen',
      useBy: null,
      zoneId: 'chest',
    });
    expect(() => store.on('package.move', { zone: 'shelf' })).toThrow(rule('place'));
    const thawing = store.on('package.thaw', { method: 'fridge', zone: 'shelf' }, '2027-01-10T12:00:00.000Z');
    expect(thawing).toMatchObject({ state: 'thawing', useBy: '2027-01-12', zoneId: 'shelf' });
    expect(store.on('package.freeze', { zone: 'chest' }, '2027-01-11T12:00:00.000Z')).toMatchObject({
      bestBy: '2027-04-11',
    });
  });

  it('adds up minutes on the counter and condemns after two hours', () => {
    const store = new Store();
    store.store();
    store.on('package.move', { zone: null });
    expect(store.on('package.move', { zone: 'shelf' }, '2026-11-25T13:00:00.000Z')).toMatchObject({
      counterMinutes: 60,
      condemned: false,
    });
    store.on('package.move', { zone: null }, '2026-11-25T14:00:00.000Z');
    expect(store.on('package.move', { zone: 'shelf' }, '2026-11-25T15:01:00.000Z')).toMatchObject({
      counterMinutes: 121,
      condemned: true,
    });
    expect(() => store.on('package.take', { amount: null })).toThrow(rule('K10'));
    expect(() => store.on('package.freeze', { zone: 'chest' })).toThrow(rule('K5'));
  });

  it('counts the present stay on the counter when it is taken or frozen from there', () => {
    const store = new Store();
    store.store({ zone: null });
    const [late, inTime] = ['2026-11-25T14:00:00.000Z', '2026-11-25T13:59:00.000Z'];
    expect(() => store.on('package.take', { amount: null }, late)).toThrow(rule('K10'));
    expect(() => store.on('package.freeze', { zone: 'chest' }, late)).toThrow(rule('K5'));
    expect(store.on('package.take', { amount: 100 }, inTime)).toMatchObject({ gone: null });
    expect(store.on('package.discard', { amount: null, reason: 'spoiled' }, late).gone).not.toBeNull();
  });

  it('freezes nothing that is not for eating, also where the stay has only just begun', () => {
    const store = new Store();
    const cheese = { food: 'hard-cheese', called: 'Cheese', packs: 1, form: null, zone: null };
    store.store({ ...cheese, start: { did: 'bought', on: '2026-11-25' } });
    const dish = {
      ...LINE,
      food: 'casserole',
      called: 'Bake',
      amount: 400,
      packs: 1,
      zone: 'shelf',
      form: null,
    };
    const into = { ...dish, priceMinor: null, start: { did: 'cooked', on: '2026-11-25' } };
    store.on('package.cook', { amount: null, into }, '2026-11-25T18:00:00.000Z');
    const bake = [...store.packages.values()].find(({ called }) => called === 'Bake');
    const run = (type: string, more: object): void =>
      void store.run(
        { id: type, type, package: bake?.id, version: store.packages.get(bake?.id ?? '')?.version, ...more },
        '2026-11-25T19:00:00.000Z',
      );
    run('package.move', { zone: null });
    expect(() => run('package.freeze', { zone: 'chest' })).toThrow(rule('K10'));
  });

  it('refuses a version that is stale', () => {
    const store = new Store();
    store.store();
    const { id } = store.first();
    store.on('package.open');
    expect(() => store.run({ id: 'x', type: 'package.open', package: id, version: 1 })).toThrow(StaleVersion);
  });
});

describe('undoing', () => {
  const steps = fc.constantFrom<[string, Record<string, unknown>]>(
    ['package.take', { amount: 100 }],
    ['package.take', { amount: null }],
    ['package.open', {}],
    ['package.freeze', { zone: 'chest' }],
    ['package.move', { zone: null }],
    ['package.move', { zone: 'door' }],
    ['package.discard', { amount: null, reason: 'spoiled' }],
    ['package.thaw', { method: 'fridge', zone: 'shelf' }],
  );

  it('brings back the exact earlier state, whatever was done, and back again', () => {
    fc.assert(
      fc.property(fc.array(steps, { minLength: 1, maxLength: 6 }), (chain) => {
        const store = new Store();
        store.store({ packs: 1 });
        for (const [type, more] of chain) {
          const before = store.first();
          try {
            store.on(type, more);
          } catch {
            continue;
          }
          const after = store.first();
          store.run({ id: 'undo', type: 'ledger.undo', command: type });
          expect({ ...store.first(), version: 0 }).toEqual({ ...before, version: 0 });
          store.run({ id: 'redo', type: 'ledger.undo', command: 'undo' });
          expect({ ...store.first(), version: 0 }).toEqual({ ...after, version: 0 });
        }
      }),
      { numRuns: 300 },
    );
  });

  it('takes a stored haul back, and says why when something happened since', () => {
    const store = new Store();
    store.store();
    store.on('package.open');
    expect(() => store.run({ id: 'u', type: 'ledger.undo', command: 'haul' })).toThrow(rule('undo'));
    store.run({ id: 'u1', type: 'ledger.undo', command: 'package.open' });
    store.run({ id: 'u2', type: 'ledger.undo', command: 'haul' });
    expect([...store.packages.values()].every(({ gone }) => gone?.how === 'undone')).toBe(true);
  });
});

describe('first out', () => {
  it('sorts by date, then safety, then opened, then age, then code', () => {
    const base = {
      governingDate: '2026-12-01',
      governingKind: 'use-by' as const,
      openedOn: '2026-11-20',
      startOn: '2026-11-01',
      code: 'AA22',
    };
    const inOrder = [
      { ...base, governingDate: '2026-11-30', governingKind: 'best-by' as const },
      base,
      { ...base, code: 'AB22' },
      { ...base, startOn: '2026-11-02' },
      { ...base, openedOn: null, startOn: '2026-10-01' },
      { ...base, governingKind: 'best-by' as const, startOn: '2026-10-01' },
      { ...base, governingDate: '2026-12-02' },
    ].map(firstOutKey);
    expect([...inOrder].reverse().sort()).toEqual(inOrder);
  });
});
