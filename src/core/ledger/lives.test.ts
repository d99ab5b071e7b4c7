import { food, index } from '../../../tests/fixtures/reference';
import { LINE, Store } from '../../../tests/fixtures/memoryStore';
import { mayEatOn } from '../../../tests/fixtures/mayEatOn';
import { asEdible } from '../keeping/mayEat';
import { isUntrue } from '../labels/isUntrue';
import { labelText } from '../labels/labelText';
import type { Caution } from '../model/history';
import type { IntakeLine } from '../model/intakeLine';
import type { Package } from '../model/package';
import { parseQuickLine } from '../quickline/parseQuickLine';

/** Ways on which the rules were once asked of less than was known: each through its command, with what a cook tells. */
const DAY = (day: number): string => `2026-11-${String(day).padStart(2, '0')}`;
const noon = (day: number): string => `${DAY(day)}T12:00:00.000Z`;
const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;

function house() {
  const store = new Store();
  let count = 0;
  const put = (foodId: string, more: Partial<IntakeLine> = {}, day = 25): Package => {
    const line = { ...LINE, food: foodId, called: '', amount: 600, packs: 1, priceMinor: null, form: null };
    const start = { did: 'bought' as const, on: DAY(day) };
    const [event] = store.run(
      { id: `put ${count++}`, type: 'haul.store', lines: [{ ...line, start, ...more }] },
      noon(day),
    );
    return event?.after as Package;
  };
  const now = ({ id }: Package): Package => store.packages.get(id) as Package;
  const on = (found: Package, type: string, more: object = {}, day = 25, told = day): Package => {
    store.now = noon(told);
    const command = { id: `${type} ${count++}`, type, package: found.id, version: now(found).version };
    store.run({ ...command, ...more }, noon(day));
    return now(found);
  };
  const last = (): string => [...store.done.keys()].at(-1) as string;
  const undo = (command: string, meanwhile: string, day: number): void => {
    store.now = noon(day);
    store.run({ id: `undo ${count++}`, type: 'ledger.undo', command, meanwhile }, noon(day));
  };
  const measure = (zone: string, celsius: number, day: number): void => {
    store.now = noon(day);
    store.run({ id: `m ${count++}`, type: 'zone.measure', zone, celsius, version: 0, sure: true }, noon(day));
  };
  return { store, put, now, on, last, undo, measure };
}
const frozen = (day: number): Partial<IntakeLine> => ({ zone: 'chest', frozenOn: DAY(day), wrap: 'zip-bag' });

describe('dates', () => {
  it.each([
    ['tzatziki', 3],
    ['dressing-creamy', 4],
    ['ham-sliced', 4],
    ['pate', 4],
    ['hummus', 4],
    ['plant-milk', 4],
  ])('%s made at home keeps for days, not for what a maker’s pack does', (id, days) => {
    const { put } = house();
    const made = put(id, { start: { did: 'cooked', on: DAY(25) } });
    expect([made.useBy, made.trail[0]?.rule]).toEqual([DAY(25 + days).replace('11-29', '11-29'), 'K3b']);
    expect(put(id).governingDate > (made.useBy ?? '')).toBe(true);
  });

  it('a printed date lengthens nothing that was cooked at home or given open', () => {
    const { put } = house();
    const printed = { kind: 'best-before' as const, date: '2027-06-01' };
    const chilli = put('stew', { start: { did: 'cooked', on: DAY(25) }, printed });
    expect([chilli.useBy, chilli.bestBy]).toEqual([DAY(29), DAY(28)]);
    const given = put('hummus', { start: { did: 'given', on: DAY(25) }, openedOn: DAY(25), printed });
    expect((given.useBy ?? '') <= DAY(29)).toBe(true);
  });

  it('a house may go by the maker’s date; changing over dates what lies there anew, once', () => {
    const { store, put, now } = house();
    const printed = { kind: 'use-by' as const, date: '2026-12-01' };
    const chicken = put('chicken-whole', { printed });
    const goBy = (caution: string) =>
      store.run(
        { id: `by ${caution}`, type: 'household.set', changes: { caution }, renewFeed: false },
        noon(25),
      );
    expect(chicken.useBy).toBe(DAY(27));
    expect(goBy('printed').map(({ type }) => type)).toEqual(['package.redated']);
    expect([now(chicken).useBy, now(chicken).trail.at(-1)?.rule]).toEqual(['2026-12-01', 'K3c']);
    goBy('careful');
    expect(now(chicken).useBy).toBe(DAY(26));
  });

  it('a careful household’s label counts its days once thawed as it does', () => {
    const { store, put } = house();
    const soup = put('stew', { ...frozen(27), start: { did: 'cooked', on: DAY(25) } }, 27);
    const label = (caution: Caution) => labelText(soup, food('stew'), { marks: {}, caution }).thenDo;
    const days = (text: string) => Number(/within (\d+) d/.exec(text)?.[1]);
    expect(days(label('careful'))).toBeLessThan(days(label('usual')));
    expect(
      labelText(put('brie'), food('brie'), { marks: { Tuva: ['pregnant'] }, caution: store.settings.caution })
        .notFor,
    ).toBe('not for Tuva unless cooked through');
  });

  it('a label says what was cooked when, though it was frozen since, and counts pots as pots', () => {
    const { put } = house();
    const eaters = { marks: {}, caution: 'usual' as const };
    const soup = put('stew', { ...frozen(27), start: { did: 'cooked', on: DAY(25) } }, 27);
    expect(labelText(soup, food('stew'), eaters).happened).toMatch(/^cooked 25 Nov, frozen 27 Nov/);
    const counts = [6, 1].map((amount) => put('yogurt', { amount, unit: 'pc' }));
    expect(counts.map((item) => labelText(item, food('yogurt'), eaters).amount)).toEqual(['6 pots', '1 pot']);
    expect(labelText(put('lettuce', { amount: 3, unit: 'pc' }), food('lettuce'), eaters).amount).toBe('3');
  });

  it('a freezer above −2 °C keeps nothing frozen, and getting cold again is freezing again', () => {
    for (const celsius of [2, 4.3]) {
      const { put, now, measure } = house();
      const steak = put('beef-steak', frozen(25));
      measure('chest', celsius, 26);
      expect([now(steak).state, now(steak).useBy]).toEqual(['chilled', DAY(celsius === 2 ? 29 : 28)]);
      measure('chest', -18, 28);
      expect([now(steak).state, now(steak).trail.at(-1)?.rule]).toEqual(['frozen', 'K8']);
      const late = house();
      const other = late.put('beef-steak', frozen(20), 20);
      late.measure('chest', celsius, 21);
      late.measure('chest', -18, 28);
      expect([late.now(other).state, late.now(other).useBy]).toEqual([
        'chilled',
        DAY(celsius === 2 ? 24 : 23),
      ]);
    }
  });

  it('each time it thaws and is frozen again, a day more is spent', () => {
    const { put, on } = house();
    let steak = put('beef-steak', frozen(10), 10);
    const left: number[] = [];
    const freeze = { zone: 'chest', wrap: 'zip-bag', form: null, blanched: true };
    for (const day of [11, 13, 15, 17]) {
      steak = on(steak, 'package.thaw', { zone: 'shelf', method: 'fridge' }, day);
      left.push(Number(steak.useBy?.slice(-2)) - day);
      const again = (): Package => on(steak, 'package.freeze', freeze, day + 1);
      if (day === 17) expect(again).toThrow(rule('K8'));
      else steak = again();
    }
    expect(left).toEqual([3, 2, 1, 0]);
  });

  it('a melon cut in half, halves typed in, grated and cooked things have the short row', () => {
    const { put, on } = house();
    const melon = on(put('melon'), 'package.open');
    expect([melon.useBy, melon.spoils]).toEqual([DAY(28), true]);
    expect(mayEatOn(DAY(29))(asEdible(melon)).may).toBe('discard');
    const read = (text: string) =>
      parseQuickLine(text, { foods: index, zones: [], today: DAY(25), placedLater: true }).line;
    const rows = [
      ['cubed watermelon 500 g', 'cut-fruit'],
      ['chopped onion 200 g', 'cut-vegetables'],
      ['shredded cheddar 200 g', 'grated-cheese'],
      ['peeled eggs 6', 'eggs-hard-boiled'],
      ['leftover pumpkin 400 g', 'vegetables-cooked'],
      ['melon halves 2', 'cut-fruit'],
      ['home-made salsa 300 g', 'salsa-fresh'],
      ['soft boiled eggs 4', 'eggs-soft-boiled'],
      ['banana bread 400 g', 'banana-bread'],
    ] as const;
    expect(rows.map(([text]) => read(text)?.food)).toEqual(rows.map(([, id]) => id));
    expect(read('home-made paneer 300 g')).toMatchObject({ food: 'paneer', start: { did: 'cooked' } });
    // Whoever stores it by its row, its words count.
    expect(put('watermelon', { called: 'Cubed watermelon' }).foodId).toBe('cut-fruit');
  });
});

describe('what is made of others', () => {
  const dish = (more: object = {}) => ({
    ...LINE,
    food: 'casserole',
    called: 'Casserole',
    amount: 400,
    packs: 1,
    ...more,
  });

  it('a casserole warmed and stored again keeps its age; a dish cooked from raw meat starts a new one', () => {
    const { store, put, on } = house();
    const old = put('casserole', { start: { did: 'cooked', on: DAY(22) } }, 22);
    on(old, 'package.cook', { amount: null, into: dish({ start: { did: 'cooked', on: DAY(25) } }) });
    const again = [...store.packages.values()].at(-1) as Package;
    expect([again.startOn, again.useBy]).toEqual([DAY(22), old.useBy]);
    const mince = put('ground-beef');
    on(mince, 'package.cook', { amount: null, into: dish({ start: { did: 'cooked', on: DAY(25) } }) });
    expect(([...store.packages.values()].at(-1) as Package).useBy).toBe(DAY(29));
  });

  it('rice cooked into rice is not new; soft-boiled eggs are for two days at most', () => {
    const { store, put, on } = house();
    const rice = put('rice-cooked', { start: { did: 'cooked', on: DAY(23) } }, 23);
    const into = dish({ food: 'rice-cooked', called: 'Fried rice', start: { did: 'cooked', on: DAY(25) } });
    on(rice, 'package.cook', { amount: null, into });
    const again = [...store.packages.values()].at(-1) as Package;
    expect([again.called, again.startOn, again.useBy]).toEqual(['Fried rice', DAY(23), rice.useBy]);
    const eggs = put('eggs-soft-boiled', { start: { did: 'cooked', on: DAY(25) } });
    expect(eggs.useBy).toBe(DAY(27));
  });

  it('a dinner of cheese and ham spoils as the ham; ham thawed in water is never frozen in it', () => {
    const { store, put, on } = house();
    const cheese = put('hard-cheese');
    const ham = put('ham-sliced', frozen(25));
    on(ham, 'package.thaw', { zone: 'shelf', method: 'cold-water' }, 26);
    const at = (found: Package) => ({ package: found.id, version: store.packages.get(found.id)?.version });
    store.now = noon(26);
    store.run(
      {
        id: 'dinner',
        type: 'meal.assemble',
        parts: [at(cheese), at(ham)],
        dinners: [{ whose: '', amounts: [100, 100] }],
        zone: 'shelf',
      },
      noon(26),
    );
    const dinner = [...store.packages.values()].at(-1) as Package;
    expect([dinner.useBy, dinner.spoils, mayEatOn(DAY(27))(asEdible(dinner)).may]).toEqual([
      DAY(26),
      true,
      'discard',
    ]);
    expect(() =>
      on(dinner, 'package.freeze', { zone: 'chest', wrap: 'tub', form: null, blanched: true }, 26),
    ).toThrow(rule('K8'));
  });

  it('what was put to something that has to be cooked now, or from a freezer that did not freeze, ends with it', () => {
    const { put, on, measure, now } = house();
    const [one, two] = [put('beef-steak', frozen(20), 20), put('beef-steak', frozen(20), 20)];
    measure('chest', 6, 21);
    measure('chest', -18, 21);
    const fresh = put('beef-steak', frozen(21), 21);
    expect(() =>
      on(
        fresh,
        'package.merge',
        { with: [{ package: one.id, version: now(one).version, amount: null }] },
        22,
      ),
    ).toThrow();
    expect(now(two).useBy).toBe(DAY(21));
  });
});

describe('late, lost, undone and corrected', () => {
  it('opened, told late, counts from the day it was; a meal told three days late is as old as the meal', () => {
    const { put, on } = house();
    const ham = put('ham-sliced', {}, 20);
    on(ham, 'package.find', { finding: 'turning' }, 24);
    const late = on(ham, 'package.open', {}, 21, 25);
    expect([late.openedOn, (late.useBy ?? '') <= DAY(25)]).toEqual([DAY(21), true]);
  });

  it('of one day the hour counts: opened before it was frozen, and told after', () => {
    const { store, put, now } = house();
    const ham = put('ham-sliced', {}, 20);
    const tell = (type: string, more: object, at: string, told = at): void => {
      store.now = `${DAY(22)}T${told}:00.000Z`;
      const on = { package: ham.id, version: now(ham).version };
      store.run({ id: type, type, ...on, ...more }, `${DAY(22)}T${at}:00.000Z`);
    };
    tell('package.freeze', { zone: 'chest', wrap: 'zip-bag', form: null, blanched: true }, '15:00');
    tell('package.open', {}, '09:00', '16:00');
    expect(now(ham).history.map(({ did }) => did)).toEqual(['bought', 'opened', 'frozen']);
    expect(now(ham).state).toBe('frozen');
  });

  it('an older reading told late lets the later one hold, and may only shorten', () => {
    const { put, now, store, measure } = house();
    const ham = put('ham-sliced', {}, 20);
    measure('shelf', 4, 24);
    const before = now(ham).useBy ?? '';
    const late = (celsius: number): void => {
      store.now = noon(25);
      store.run(
        { id: `late ${celsius}`, type: 'zone.measure', zone: 'shelf', celsius, sure: true },
        noon(21),
      );
    };
    late(2);
    expect(now(ham).useBy).toBe(before);
    late(9);
    expect((now(ham).useBy ?? '') < before).toBe(true);
    expect(store.measured.get('shelf')?.celsius).toBe(4);
  });

  it('lost on the counter it stood there until it was found', () => {
    const { put, on } = house();
    const ham = put('ham-sliced', { zone: null });
    on(ham, 'package.lose');
    expect(on(ham, 'package.put-back', { minutes: 0, hot: false, zone: 'shelf' }, 27).condemned).toBe(true);
  });

  it('a take undone two days later asks, asks again, and else is out of the cold', () => {
    for (const [meanwhile, says] of [
      ['ask', 'meanwhile'],
      ['cold', 'never-left'],
    ] as const) {
      const { put, on, last, undo } = house();
      on(put('ham-sliced'), 'package.take', { amount: null });
      expect(() => undo(last(), meanwhile, 27)).toThrow(rule(says));
    }
    for (const [meanwhile, condemned] of [
      ['out', true],
      ['never', false],
    ] as const) {
      const { put, on, last, undo, now } = house();
      const ham = put('ham-sliced');
      on(ham, 'package.take', { amount: null });
      undo(last(), meanwhile, 27);
      expect([now(ham).gone, now(ham).condemned]).toEqual([null, condemned]);
    }
  });

  it('a day corrected to after its use by is refused as it would have been', () => {
    const { put, on } = house();
    const mince = put('ground-beef', { ...frozen(11), start: { did: 'bought', on: DAY(10) } }, 11);
    expect(() => on(mince, 'package.correct', { frozenOn: DAY(20), reason: 'slip', sure: true }, 25)).toThrow(
      rule('K5'),
    );
    expect(food('ground-beef').fridgeDaysMax).toBe(2);
  });
});

describe('labels, and what came in with something', () => {
  it('a label that says a later date than the package has asks for a new one, once', () => {
    const { store, put, on, now } = house();
    const print = (found: Package, id: string) =>
      store.run({ id, type: 'labels.print', codes: [found.code] }, noon(25));
    const ham = put('ham-sliced');
    const version = now(ham).version;
    print(ham, 'first');
    expect([now(ham).labelled, now(ham).version, isUntrue(now(ham))]).toEqual([
      ham.governingDate,
      version,
      false,
    ]);
    on(ham, 'package.open');
    expect(isUntrue(now(ham))).toBe(true);
    on(ham, 'package.split', { amounts: [100], pieces: 'open' });
    // What was split off has a code of its own, and no label yet.
    expect([...store.packages.values()].at(-1)?.labelled).toBeUndefined();
    print(ham, 'again');
    expect(isUntrue(now(ham))).toBe(false);
  });

  it('what came in with something found bad or entered wrongly is asked about, and undone with it', () => {
    const { store, put, on, last, undo } = house();
    const first = put('ham-sliced', { packs: 2, amount: 400 });
    const asked = () => store.kept.get(`lot-look ${first.lotId}`);
    on(first, 'package.find', { finding: 'turning' });
    expect(asked()).toBeUndefined();
    on(first, 'package.find', { finding: 'bad' });
    expect(asked()).toMatchObject({ code: first.code, why: 'bad' });
    undo(last(), 'cold', 25);
    expect(asked()).toBeUndefined();
    on(first, 'package.correct', { startOn: DAY(24), reason: 'slip', sure: true });
    expect(asked()).toMatchObject({ why: 'corrected' });
    store.run({ id: 'looked', type: 'lot.looked', lot: first.lotId }, noon(25));
    expect(asked()).toBeUndefined();
    expect(() => store.run({ id: 'again', type: 'lot.looked', lot: first.lotId }, noon(25))).toThrow(
      rule('lot'),
    );
  });
});
