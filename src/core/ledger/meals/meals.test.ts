import { LINE, Store } from '../../../../tests/fixtures/memoryStore';
import type { Meal } from '../../model/meal';
import type { Package } from '../../model/package';
import type { ShoppingLine } from '../../model/kept';

const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;
const NOW = '2026-11-25T12:00:00.000Z';

/** Seven packs of mince in the chest, a bag of peas there, and a trout in the fridge to be eaten by the 26th. */
function house() {
  const store = new Store();
  const lines = [
    {
      ...LINE,
      amount: 3500,
      packs: 7,
      zone: 'chest',
      frozenOn: '2026-11-25',
      start: { did: 'bought', on: '2026-11-24' },
    },
    {
      ...LINE,
      food: 'peas',
      called: 'Peas',
      amount: 2000,
      packs: 1,
      form: 'loose',
      zone: 'chest',
      frozenOn: '2026-11-25',
    },
    {
      ...LINE,
      food: 'trout',
      called: 'Trout',
      amount: 600,
      packs: 1,
      form: null,
      start: { did: 'bought', on: '2026-11-24' },
    },
  ];
  store.run({ id: 'haul', type: 'haul.store', lines }, NOW);
  const all = (called: string): Package[] =>
    [...store.packages.values()].filter((one) => one.called === called && one.gone === null);
  const one = (called: string): Package => {
    const [found] = all(called);
    if (!found) throw new Error(`no ${called}`);
    return found;
  };
  let count = 0;
  const run = (type: string, more: object = {}, at = NOW): string => {
    const id = `${type} ${count++}`;
    store.run({ id, type, ...more }, at);
    return id;
  };
  const plan = (meal: string, on: string, takes: [Package, number][], more: object = {}, at = NOW): string =>
    run(
      'meal.set',
      {
        ...{ meal, on, slot: 'dinner', name: '', eaters: [], buys: [], pinned: true },
        takes: takes.map(([found, amount]) => ({ package: found.id, amount })),
        ...more,
      },
      at,
    );
  const meal = (id: string) => store.kept.get(`meal ${id}`) as Meal | undefined;
  const undo = (command: string): void =>
    void store.run({ id: `undo ${command}`, type: 'ledger.undo', command, meanwhile: 'cold' }, NOW);
  const lists = (): ShoppingLine[] =>
    [...store.kept].filter(([key]) => key.startsWith('shopping ')).map(([, value]) => value as ShoppingLine);
  return { store, all, one, run, plan, meal, undo, lists };
}

it('a planned meal promises its packages: nobody takes them unasked, also by amount; skipping and undo give them back', () => {
  const { all, one, run, plan, meal, undo } = house();
  const before = one('Mutton mince');
  const planned = plan('m', '2026-11-28', [[before, before.amount]]);
  expect(meal('m')).toMatchObject({
    name: 'Sat dinner',
    state: 'planned',
    takes: [{ called: 'Mutton mince' }],
  });
  const found = all('Mutton mince').find(({ id }) => id === before.id) as Package;
  const on = { package: found.id, version: found.version };
  expect(() => run('package.take', { ...on, amount: null })).toThrow(/promised to Sat dinner/);
  expect(() => run('package.compost', { ...on, amount: null })).toThrow(rule('promised'));
  run('stock.take', { foods: ['ground-lamb'], amount: 3000, unit: 'g', by: null });
  expect(all('Mutton mince').map(({ id }) => id)).toEqual([before.id]);
  expect(() => run('stock.take', { foods: ['ground-lamb'], amount: 500, unit: 'g', by: null })).toThrow(
    rule('promised'),
  );
  const skipped = run('meal.skip', { meal: 'm', forget: false });
  expect([meal('m')?.state, one('Mutton mince').promised]).toEqual(['skipped', []]);
  undo(skipped);
  expect(one('Mutton mince').promised).toMatchObject([{ meal: 'm', amount: 500 }]);
  undo(planned);
  expect([meal('m'), one('Mutton mince').promised ?? []]).toEqual([undefined, []]);
});

it('a loose bag is promised in parts, to several meals, never more than is in it', () => {
  const { one, run, plan, meal } = house();
  plan('a', '2026-11-27', [[one('Peas'), 900]]);
  plan('b', '2026-11-28', [[one('Peas'), 600]]);
  expect(() => plan('c', '2026-11-29', [[one('Peas'), 600]])).toThrow(/only 500 g are not promised/);
  run('package.take', { package: one('Peas').id, version: one('Peas').version, amount: 500 });
  expect(() =>
    run('package.take', { package: one('Peas').id, version: one('Peas').version, amount: 100 }),
  ).toThrow(rule('promised'));
  // Taken all the same: the later meal goes short, the earlier keeps what it was promised.
  run('package.take', { package: one('Peas').id, version: one('Peas').version, amount: 300, promised: true });
  expect(one('Peas').promised?.map(({ meal: id, amount }) => [id, amount])).toEqual([
    ['a', 900],
    ['b', 300],
  ]);
  plan('a', '2026-11-27', [[one('Peas'), 700]], { name: 'Pea soup' });
  expect([one('Peas').promised?.find(({ meal: id }) => id === 'a'), meal('a')?.name]).toMatchObject([
    { amount: 700, name: 'Pea soup' },
    'Pea soup',
  ]);
});

it('take … for a day promises it, in time to thaw, and adds to the meal that is there', () => {
  const { one, run, meal, all } = house();
  const want = { foods: ['ground-lamb'], amount: 600, unit: 'g', meal: 'm', slot: 'dinner' };
  expect(() => run('meal.promise', { ...want, on: '2026-11-25', by: '2026-11-25T18:30:00.000Z' })).toThrow(
    /hours to thaw/,
  );
  run('meal.promise', { ...want, on: '2026-11-28', by: '2026-11-28T18:30:00.000Z' });
  expect(meal('m')?.takes.map(({ amount }) => amount)).toEqual([500, 500]);
  run('meal.promise', { ...want, foods: ['peas'], amount: 300, meal: 'x', on: '2026-11-28', by: null });
  expect([meal('x'), meal('m')?.takes.at(-1)]).toMatchObject([undefined, { called: 'Peas', amount: 300 }]);
  expect([all('Mutton mince').length, one('Peas').amount]).toEqual([7, 2000]);
});

it('eaten: what went in leaves, what was put by is a new lot at its share of the cost, undone as one', () => {
  const { store, all, one, run, plan, meal, undo } = house();
  const mince = one('Mutton mince');
  plan('m', '2026-11-26', [
    [mince, mince.amount],
    [one('Peas'), 400],
  ]);
  const line = {
    ...LINE,
    food: 'stew',
    called: 'Mince stew',
    amount: 1200,
    packs: 2,
    form: null,
    priceMinor: null,
  };
  const peas = one('Peas');
  const eat = {
    meal: 'm',
    takes: [
      { package: mince.id, version: mince.version + 1, amount: null },
      { package: peas.id, version: peas.version, amount: 300 },
    ],
    ate: ['Cook', 'Ailsa'],
    put: [{ ...line, zone: 'chest', frozenOn: '2026-11-26' }],
  };
  expect(() => run('meal.eat', eat, NOW)).toThrow(/still to come/);
  const done = run('meal.eat', eat, '2026-11-26T19:00:00.000Z');
  expect([one('Peas').amount, one('Peas').promised]).toEqual([1700, []]);
  expect(all('Mince stew')).toMatchObject([
    { amount: 600, startOn: '2026-11-26', state: 'frozen' },
    { amount: 600 },
  ]);
  const cost = (mince.priceMinor ?? 0) + Math.round(((peas.priceMinor ?? 0) * 300) / 2000);
  const put = all('Mince stew').reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0);
  expect(Math.abs(put - cost / 2)).toBeLessThanOrEqual(1);
  expect(meal('m')).toMatchObject({ state: 'eaten', log: { ate: ['Cook', 'Ailsa'] } });
  expect(() => run('meal.skip', { meal: 'm', forget: false })).toThrow(rule('meal'));
  store.now = '2026-11-26T19:10:00.000Z';
  undo(done);
  expect([all('Mince stew'), one('Peas').amount, meal('m')?.state]).toEqual([[], 2000, 'planned']);
});

it('what is to be bought stands on the list while it is wanted and not bought', () => {
  const { run, plan, lists, store } = house();
  plan('m', '2026-11-28', [], { buys: ['Leeks', 'Cream'] });
  expect(lists().map(({ called }) => called)).toEqual(['Leeks', 'Cream']);
  const [leeks] = lists();
  store.run({ id: 'tick', type: 'shopping.write', line: { ...leeks, ticked: true } }, NOW);
  plan('m', '2026-11-28', [], { buys: ['Leeks'] });
  expect(lists().map(({ called }) => called)).toEqual(['Leeks']);
  run('meal.skip', { meal: 'm', forget: true });
  expect(lists()).toMatchObject([{ called: 'Leeks', ticked: true }]);
});

it('refuses what cannot be, and nothing is promised by it', () => {
  const { one, plan, run, store } = house();
  const trout = one('Trout');
  expect(() => plan('m', '2026-11-24', [])).toThrow(/has gone by/);
  expect(() => plan('m', '2026-11-30', [[trout, 600]])).toThrow(rule('plan'));
  expect(() => plan('m', '2026-11-26', [], { slot: 'midnight' })).toThrow(rule('meal'));
  expect(() => plan('m', '2026-11-26', [], { eaters: ['Nobody'] })).toThrow(/does not eat here/);
  expect(() =>
    plan('m', '2026-11-26', [
      [trout, 300],
      [trout, 300],
    ]),
  ).toThrow(/twice/);
  expect(store.kept.size).toBe(0);
  plan('m', '2026-11-26', [[trout, 600]]);
  expect(() => plan('n', '2026-11-26', [])).toThrow(/already/);
  expect(() => plan('n', '2026-11-25', [[one('Trout'), 600]])).toThrow(/promised already/);
  const rhythm = {
    slots: [{ id: 'lunch', name: 'Lunch', at: '12:00' }],
    eaters: [],
    habits: [],
    apart: false,
  };
  expect(() => run('meal.rhythm', { rhythm })).toThrow(/planned at that time/);
});

it('no meal eats what another was promised, nor takes what is kept for somebody', () => {
  const { one, run, plan } = house();
  plan('a', '2026-11-27', [[one('Peas'), 900]]);
  plan('b', '2026-11-25', [[one('Peas'), 600]]);
  const { id, version } = one('Peas');
  const eat = (amount: number | null) =>
    run('meal.eat', { meal: 'b', takes: [{ package: id, version, amount }], ate: [], put: [] });
  expect(() => eat(null)).toThrow(/promised to another meal/);
  eat(1100);
  expect(one('Peas')).toMatchObject({ amount: 900, promised: [{ meal: 'a', amount: 900 }] });
  const trout = one('Trout');
  run('package.keep-for', {
    package: trout.id,
    version: trout.version,
    whose: 'Gran Morag',
    on: null,
    handsOff: true,
  });
  expect(() => plan('c', '2026-11-26', [[one('Trout'), 600]])).toThrow(/kept for Gran Morag/);
});

it('what was taken all the same comes back free when its meal was skipped meanwhile', () => {
  const { all, one, run, plan, undo } = house();
  plan('m', '2026-11-28', [[one('Peas'), 900]]);
  const { id, version } = one('Peas');
  const taken = run('package.take', { package: id, version, amount: null, promised: true });
  expect(all('Peas')).toEqual([]);
  run('meal.skip', { meal: 'm', forget: false });
  undo(taken);
  expect(one('Peas')).toMatchObject({ amount: 2000, promised: [] });
});

it('a plan for a day to come is a promise too, and becomes the meal’s', () => {
  const { one, run, plan } = house();
  const trout = one('Trout');
  run('package.answer', { package: trout.id, version: trout.version, answer: 'plan', on: '2026-11-26' });
  const planned = one('Trout');
  expect(() => run('package.take', { package: planned.id, version: planned.version, amount: null })).toThrow(
    /planned for 26 Nov/,
  );
  plan('m', '2026-11-26', [[planned, 600]]);
  expect(one('Trout')).toMatchObject({ answer: null, promised: [{ meal: 'm' }] });
});
