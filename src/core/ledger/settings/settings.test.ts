import { haulLine } from '../../../../tests/fixtures/haulLine';
import { Store } from '../../../../tests/fixtures/memoryStore';
import { CAUTIONS } from '../../model/history';
import { NO_WISH } from '../../model/wish';

const NOON = '2026-11-25T12:00:00.000Z';

/** A command of every kind that sets something, and how to look at what it sets. */
const SETTERS: [string, Record<string, unknown>, (store: Store) => unknown][] = [
  [
    'household.set',
    { changes: { caution: 'careful', leadChilled: 9 }, renewFeed: true },
    ({ settings }) => settings,
  ],
  [
    'food.wish',
    { food: 'milk', wish: { ...NO_WISH, fridgeDays: 2 } },
    ({ wishes }) => wishes.get('milk') ?? NO_WISH,
  ],
  [
    'food.add',
    { copy: 'milk', name: 'Goat milk of ours', aliases: [], note: '', wish: NO_WISH },
    ({ own }) => [...own.values()].filter(({ retired }) => !retired),
  ],
  ['job.done', { job: 'j', frostMm: null }, ({ jobs }) => jobs.get('j')],
  [
    'job.set',
    {
      job: {
        id: 'new',
        kind: 'upkeep',
        name: 'Wipe',
        everyDays: 7,
        dueOn: null,
        frostMm: null,
        retired: false,
      },
    },
    ({ jobs }) => [...jobs.values()].filter(({ retired }) => !retired),
  ],
  ['zone.measure', { zone: 'shelf', celsius: 6 }, ({ measured }) => measured.get('shelf')],
  [
    'container.set',
    {
      container: {
        id: 'box',
        name: 'Box',
        outerMm: [200, 150, 100],
        innerMm: [190, 140, 90],
        litres: 2.3,
        lid: true,
        leakproof: true,
        rigid: true,
        count: 2,
      },
    },
    ({ containers }) => [...containers.values()],
  ],
  [
    'haul.begin',
    {
      haul: {
        id: 'h',
        name: 'Harbour shop',
        leftAt: NOON,
        coldBag: false,
        hot: false,
        fastFreeze: false,
        hygiene: [],
      },
    },
    ({ hauls }) => [...hauls.values()],
  ],
  [
    'code.learn',
    { code: '4000000000013', means: { food: 'milk', called: '', amount: 1000, unit: 'ml' } },
    ({ codes }) => [...codes.values()],
  ],
];

/** A store with something in it that settings bear on. */
function stocked(): Store {
  const store = new Store();
  store.store({
    food: 'milk',
    called: 'Milk',
    amount: 1000,
    unit: 'ml',
    packs: 1,
    form: null,
    zone: 'shelf',
  });
  store.run({
    id: 'ham',
    type: 'haul.store',
    lines: [{ ...store_line, food: 'ham-sliced', called: 'Ham', amount: 300, packs: 2 }],
  });
  return store;
}
const store_line = {
  unit: 'g',
  form: null,
  wrap: null,
  priceMinor: null,
  zone: 'shelf',
  printed: null,
  start: { did: 'bought', on: '2026-11-25' },
  openedOn: null,
  frozenOn: null,
  blanched: true,
  note: '',
};

const dates = (store: Store): unknown =>
  [...store.packages.values()].map(({ code, useBy, bestBy, celsius, history }) => ({
    code,
    useBy,
    bestBy,
    celsius,
    history,
  }));

describe('what is set, whatever it is', () => {
  it.each(SETTERS)(
    '%s is undone to how it stood, with the dates, and done again by undoing that',
    (type, body, look) => {
      const store = stocked();
      const [before, dated] = [structuredClone(look(store)), structuredClone(dates(store))];
      store.run({ id: 'set', type, ...body });
      const after = structuredClone(look(store));
      expect(after).not.toEqual(before);
      const datedAfter = structuredClone(dates(store));
      store.run({ id: 'undo', type: 'ledger.undo', command: 'set', meanwhile: 'out' });
      expect(look(store)).toEqual(before);
      expect(dates(store)).toEqual(dated);
      store.run({ id: 'redo', type: 'ledger.undo', command: 'undo', meanwhile: 'out' });
      expect(look(store)).toEqual(after);
      expect(dates(store)).toEqual(datedAfter);
    },
  );

  it('is not undone once it was set to something else since', () => {
    for (const [type, body] of SETTERS.filter(([type]) => type !== 'haul.begin' && type !== 'food.add')) {
      const store = stocked();
      store.run({ id: 'one', type, ...body });
      const other = { ...body, ...OTHER[type] };
      store.run({ id: 'two', type, ...other }, '2026-11-25T13:00:00.000Z');
      expect(() => store.run({ id: 'undo', type: 'ledger.undo', command: 'one', meanwhile: 'out' })).toThrow(
        /set to something else since/,
      );
    }
  });
});

const OTHER: Record<string, Record<string, unknown>> = {
  'household.set': { changes: { leadChilled: 11 } },
  'food.wish': { wish: { ...NO_WISH, fridgeDays: 1 } },
  'job.done': { frostMm: 4 },
  'job.set': {
    job: {
      id: 'new',
      kind: 'upkeep',
      name: 'Wipe well',
      everyDays: 9,
      dueOn: null,
      frostMm: null,
      retired: false,
    },
  },
  'zone.measure': { celsius: 2 },
  'container.set': {
    container: {
      id: 'box',
      name: 'Box',
      outerMm: [200, 150, 100],
      innerMm: [190, 140, 90],
      litres: 2,
      lid: true,
      leakproof: true,
      rigid: true,
      count: 5,
    },
  },
  'code.learn': { means: { food: 'milk', called: 'Ours', amount: 500, unit: 'ml' } },
};

it('caution changed while a haul waits on the bench: it is dated by the caution that stands when it is packed', () => {
  const packed = (cautions: readonly string[]): string[] => {
    const store = new Store();
    const haul = {
      id: 'haul',
      name: 'Harbour shop',
      leftAt: NOON,
      coldBag: false,
      hot: false,
      fastFreeze: false,
      hygiene: [],
    };
    store.run({ id: 'begin', type: 'haul.begin', haul }, NOON);
    for (const food of ['ham-sliced', 'ground-lamb', 'milk']) {
      const {
        packages: _p,
        version: _v,
        ...line
      } = haulLine(food, {
        id: `line-${food}`,
        unit: food === 'milk' ? 'ml' : 'g',
        parts: [{ amounts: [1000], packing: 'as-is', container: null, goes: 'fridge', zone: null }],
      });
      store.run({ id: `tell-${food}`, type: 'haul.line', line, version: null }, NOON);
    }
    cautions.forEach((caution, at) =>
      store.run({ id: `caution-${at}`, type: 'household.set', changes: { caution }, renewFeed: false }, NOON),
    );
    const lines = [...store.haulLines.values()].map(({ id, version }) => ({ line: id, version }));
    store.run({ id: 'pack', type: 'haul.pack', haul: 'haul', lines }, NOON);
    return [...store.packages.values()].map(({ governingDate }) => governingDate);
  };
  const [usual, careful] = CAUTIONS.map((caution) => packed([caution]));
  expect(packed(['careful', 'usual'])).toEqual(usual);
  expect(packed(['usual', 'careful'])).toEqual(careful);
  expect(careful?.every((date, at) => date <= (usual?.[at] ?? ''))).toBe(true);
  expect(careful).not.toEqual(usual);
});
