import fc from 'fast-check';
import { mayEatOn } from '../../../tests/fixtures/mayEatOn';
import { index } from '../../../tests/fixtures/reference';
import { readAsking } from './readAsking';
import { groupStock, GROUPINGS, totalsOf } from './groupStock';
import { isAsked, isLabelled } from './isAsked';
import { LUNCH_SLOTS, lunchOptions, packLunch } from './packLunch';
import type { StockRow } from './stockRow';

const TODAY = '2026-11-26';
const ZONES = [
  { id: 'top', name: 'Top shelf', appliance: 'Larder fridge', cold: 'fridge' as const },
  { id: 'door', name: 'Door 1', appliance: 'Larder fridge', cold: 'fridge' as const, side: 'door' },
  { id: 'l1', name: 'Layer 1', appliance: 'Barn chest', cold: 'freezer' as const },
  { id: 'l2', name: 'Layer 2', appliance: 'Barn chest', cold: 'freezer' as const },
];

let made = 0;
function row(foodId: string, change: Partial<StockRow> = {}): StockRow {
  made += 1;
  const id = `p${made}`;
  return {
    id,
    code: `AA${made}`,
    lotId: 'l',
    foodId,
    called: index.byId.get(foodId)?.name ?? foodId,
    amount: 400,
    unit: 'g',
    wrap: null,
    zoneId: 'l1',
    state: 'frozen',
    opened: false,
    startOn: '2026-11-01',
    useBy: null,
    bestBy: '2027-02-01',
    governingDate: '2027-02-01',
    governingKind: 'best-by',
    ...{ condemned: false, counterMinutes: 0, counterSince: null },
    priceMinor: 300,
    hasLabel: true,
    note: '',
    whose: '',
    handsOff: false,
    version: 1,
    firstOut: `2027-02-01 1 1 2026-11-01 ${id}`,
    ...change,
  };
}

const STOCK: Readonly<Record<string, StockRow>> = {
  venison: row('venison', { startOn: '2026-03-01' }),
  mince: row('ground-beef', { startOn: '2026-10-20' }),
  lamb: row('ground-lamb', { zoneId: 'l2', startOn: '2026-05-10' }),
  haddock: row('white-fish'),
  fingers: row('fish-fingers', { zoneId: 'l2' }),
  butter: row('butter', { zoneId: 'door', state: 'chilled', opened: true }),
  stew: row('stew', {
    called: 'Gran’s hotpot',
    zoneId: 'top',
    state: 'chilled',
    governingDate: '2026-11-27',
  }),
  yogurt: row('yogurt', { zoneId: 'top', state: 'chilled', whose: 'Ailsa', handsOff: true }),
  peas: row('peas', { whose: 'Rory' }),
};

const asked = (text: string): { names: string[]; says: string[]; unknown: string[] } => {
  const asking = readAsking(text, {
    today: TODAY,
    index,
    zones: ZONES,
    people: ['Ailsa', 'Rory', 'Gran Morag'],
    labelled: (words) => Object.values(STOCK).some(({ called }) => isLabelled(called, words)),
    coded: (code) => Object.values(STOCK).some((one) => one.code === code),
  });
  const fits = isAsked(asking);
  return {
    names: Object.entries(STOCK).flatMap(([name, one]) => (fits(one) ? [name] : [])),
    says: asking.parts.map(({ says }) => says),
    unknown: asking.unknown.map(({ words }) => words),
  };
};

it.each<[string, string[]]>([
  ['frozen, raw meat, older than 6 months', ['venison', 'lamb']],
  ['raw meat older than a month', ['venison', 'mince', 'lamb']],
  ['mince', ['mince', 'lamb']],
  ['fish', ['haddock', 'fingers']],
  ['frozen fish', ['haddock', 'fingers']],
  ['where is the butter?', ['butter']],
  ['buter', ['butter']],
  ['oldest in the chest', ['venison', 'mince', 'lamb', 'haddock', 'fingers', 'peas']],
  ['layer 1', ['venison', 'mince', 'haddock', 'peas']],
  ['layer 2 or top shelf', ['lamb', 'fingers', 'stew', 'yogurt']],
  ['what is in the fridge', ['butter', 'stew', 'yogurt']],
  ['Ailsa', ['yogurt']],
  ['rory’s peas', ['peas']],
  ['hands off', ['yogurt']],
  ['lunch', ['stew']],
  ['hotpot', ['stew']],
  ['open', ['butter']],
  ['due this week', ['stew']],
  ['from May', ['lamb']],
  ['expiring this week', ['stew']],
  ['before 5 dec', ['stew']],
  ['meat before 3 june', ['venison', 'lamb']],
  ['venison or fish', ['venison', 'haddock', 'fingers']],
  ['raw meat, venison', ['venison']],
  ['how much mince do we have', ['mince', 'lamb']],
  ['AA5', ['fingers']],
  ['frozen except fish', ['venison', 'mince', 'lamb', 'peas']],
  ['raw meat not venison', ['mince', 'lamb']],
  ['freezer layer 2', ['lamb', 'fingers']],
  ['no price', []],
  ['no label', []],
  ['more than 300 g in layer 2', ['lamb', 'fingers']],
  ['under 300 g', []],
  ['meat before june', ['venison', 'lamb']],
  ['bought today', []],
  ['leftovers', ['stew']],
  ['', Object.keys(STOCK)],
])('“%s” finds %j', (text, names) => {
  expect(asked(text).names).toEqual(names);
});

it('a word that compares and was not understood is said, never taken for a food that begins like it', () => {
  const { says, unknown } = asked('worth more than 10 euro');
  expect(says).toEqual([]);
  expect(unknown).toEqual(['worth', 'more', 'than', '10', 'euro']);
});

it('says what it understood, marks a slip, and offers what is like a word that means nothing', () => {
  expect(asked('frozen, raw meat, older than 6 months').says).toEqual([
    'frozen',
    'raw meat',
    'older than 6 months',
  ]);
  expect(asked('xylophone').unknown).toEqual(['xylophone']);
  expect(asked('xylophone').names).toEqual(Object.keys(STOCK));
});

const anyRow = fc
  .record({
    foodId: fc.constantFrom('venison', 'butter', 'yogurt', 'peas'),
    amount: fc.integer({ min: 1, max: 5000 }),
    unit: fc.constantFrom('g' as const, 'ml' as const, 'pc' as const),
    zoneId: fc.constantFrom('l1', 'l2', 'top', null),
    priceMinor: fc.option(fc.integer({ min: 0, max: 9999 })),
    whose: fc.constantFrom('', 'Ailsa', 'Rory'),
    condemned: fc.boolean(),
    days: fc.integer({ min: 1, max: 28 }),
  })
  .map(({ foodId, days, ...change }) => {
    const day = `2026-11-${`${days}`.padStart(2, '0')}`;
    return row(foodId, { ...change, startOn: day, bestBy: day, governingDate: day });
  });

it('however it is grouped, every pack, gram and cent is counted once, and the oldest is the oldest', () => {
  fc.assert(
    fc.property(
      fc.array(anyRow, { minLength: 1, maxLength: 40 }),
      fc.constantFrom(...GROUPINGS),
      (rows, by) => {
        const groups = groupStock(rows, by, TODAY, (id) => id ?? 'counter', mayEatOn(TODAY));
        const all = totalsOf(rows);
        for (const field of ['packs', 'grams', 'millilitres', 'pieces', 'minor', 'unpriced'] as const)
          expect(groups.reduce((sum, { totals }) => sum + totals[field], 0)).toBe(all[field]);
        const oldest = rows.map(({ startOn }) => startOn).sort()[0];
        expect(groups.map(({ oldestOn }) => oldestOn).sort()[0]).toBe(oldest);
        expect(new Set(groups.map(({ key }) => key)).size).toBe(groups.length);
        if (rows.some(({ condemned }) => condemned))
          expect(groups.some(({ verdict }) => verdict === 'discard')).toBe(true);
      },
    ),
  );
});

it('a cook’s count: the commonest size first, the oldest in words', () => {
  const rows = [
    row('stew', { called: 'Chowder', amount: 600, unit: 'ml', startOn: '2026-11-23' }),
    row('stew', { called: 'Chowder', amount: 300, unit: 'ml', startOn: '2026-11-25' }),
    row('stew', { called: 'chowder', amount: 600, unit: 'ml', startOn: '2026-11-25' }),
  ];
  expect(groupStock(rows, 'food', TODAY, () => '', mayEatOn(TODAY))).toMatchObject([
    {
      name: 'Chowder',
      sizes: '2 × 600 ml, 1 × 300 ml',
      oldest: 'Mon',
      totals: { packs: 3, millilitres: 1500 },
    },
  ]);
});

describe('lunches', () => {
  const food = (id: string) => index.byId.get(id);
  const chilled = (id: string, change: Partial<StockRow> = {}) =>
    row(id, {
      state: 'chilled',
      zoneId: 'top',
      bestBy: '2026-12-02',
      governingDate: '2026-12-02',
      ...change,
    });
  const rows = [
    chilled('stew', { amount: 600, unit: 'g', governingDate: '2026-11-27' }),
    chilled('quiche', { amount: 2, unit: 'pc' }),
    chilled('ham-sliced', { handsOff: true }),
    chilled('stew', { governingDate: '2026-11-24' }),
    chilled('venison'),
    chilled('apples', { amount: 2, unit: 'pc' }),
    chilled('yogurt', { amount: 125, whose: 'Wren' }),
    chilled('yogurt', { amount: 125 }),
    row('lasagne'),
  ];
  const offers = new Map(
    LUNCH_SLOTS.map((slot) => [slot.id, lunchOptions(rows, slot, food, TODAY, mayEatOn(TODAY))] as const),
  );

  it('one pick of each slot by person, oldest first, own things first, nothing raw, frozen, past or kept', () => {
    const picks = packLunch(offers, ['Isla', 'Wren', 'Tam']);
    const of = (person: string, slot: string) =>
      picks.find((pick) => pick.person === person && pick.slot === slot)?.option?.row.foodId ?? null;
    expect(['Isla', 'Wren', 'Tam'].map((who) => of(who, 'main'))).toEqual(['stew', 'stew', 'quiche']);
    expect(of('Wren', 'dairy')).toBe('yogurt');
    expect(picks.find(({ person, slot }) => person === 'Wren' && slot === 'dairy')?.option?.row.whose).toBe(
      'Wren',
    );
    expect(['Isla', 'Wren', 'Tam'].map((who) => of(who, 'fruit'))).toEqual(['apples', 'apples', null]);
    expect(packLunch(offers, ['Isla'], { 'Isla main': 1 })[0]?.option?.row.foodId).toBe('quiche');
  });

  it('never gives more of a package than it holds, nor what is another’s', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('Isla', 'Wren', 'Tam', 'Gran'), { minLength: 1, maxLength: 9 }),
        fc.dictionary(fc.constantFrom('Isla main', 'Tam fruit', 'Wren dairy'), fc.nat(5)),
        (people, passed) => {
          const given = new Map<string, number>();
          for (const { person, option } of packLunch(offers, people, passed)) {
            if (!option) continue;
            given.set(option.row.id, (given.get(option.row.id) ?? 0) + option.portion);
            expect(['', person]).toContain(option.row.whose);
          }
          for (const one of rows) expect(given.get(one.id) ?? 0).toBeLessThanOrEqual(one.amount);
        },
      ),
    );
  });
});
