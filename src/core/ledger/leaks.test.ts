import { haulLine } from '../../../tests/fixtures/haulLine';
import { Store } from '../../../tests/fixtures/memoryStore';
import { refusal } from '../../../tests/fixtures/refusal';
import { NO_WISH } from '../model/wish';
import { labelText } from '../labels/labelText';
import type { Package } from '../model/package';
import { food } from '../../../tests/fixtures/reference';

// Every way around an exact rule, as exact as the rule. Times are of 25 November 2026, at noon, unless told.
const NOON = '2026-11-25T12:00:00.000Z';
const at = (hours: number): string => new Date(Date.parse(NOON) + hours * 3_600_000).toISOString();
const day = (days: number): string => at(24 * days).slice(0, 10);

function stored(foodId: string, more: object = {}): Store {
  const store = new Store();
  store.store({ food: foodId, called: foodId, packs: 1, amount: 600, form: null, zone: 'shelf', ...more });
  return store;
}
const dates = ({ useBy, bestBy, condemned }: Package) => ({ useBy, bestBy, condemned });
const warm = (store: Store, zone: string, celsius: number, when = NOON) =>
  store.run({ id: `warm-${zone}-${celsius}`, type: 'zone.measure', zone, celsius, sure: true }, when);
const careful = (store: Store, when = NOON) =>
  store.run(
    { id: 'careful', type: 'household.set', changes: { caution: 'careful' }, renewFeed: false },
    when,
  );

describe('minutes out of the cold (K10)', () => {
  it('mince frozen, twelve hours on the counter, back to the chest: thrown out, and stays so once thawed', () => {
    const store = stored('ground-beef');
    store.on('package.freeze', { zone: 'chest' });
    store.on('package.move', { zone: null }, at(1));
    store.on('package.move', { zone: 'chest' }, at(13));
    expect(store.first()).toMatchObject({ condemned: true, counterMinutes: 12 * 60 - 15 });
    expect(refusal(() => store.on('package.take', { amount: null }, at(13)))[0]).toBe('K10');
    expect(store.on('package.thaw', { method: 'fridge', zone: 'shelf' }, at(40))).toMatchObject({
      condemned: true,
    });
    expect(store.first().useBy ?? '').not.toBe('');
    expect((store.first().useBy ?? '') <= day(1)).toBe(true);
  });

  it('thawing, three and a half hours out, then cold water: thrown out', () => {
    const store = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    store.on('package.thaw', { method: 'fridge', zone: 'shelf' });
    store.on('package.move', { zone: null }, at(1));
    store.on('package.move', { zone: 'door' }, at(4.5));
    expect(store.first().condemned).toBe(true);
    const other = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    other.on('package.move', { zone: null }, at(1));
    other.on('package.thaw', { method: 'cold-water', zone: null }, at(4.5));
    expect(other.first()).toMatchObject({ condemned: true, counterMinutes: 195 });
  });

  it('hard frozen there are fifteen minutes of grace each time; begun minutes count whole', () => {
    const store = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    for (let trip = 0; trip < 3; trip++) {
      store.on('package.move', { zone: null }, at(trip + 1));
      store.on('package.move', { zone: 'chest' }, at(trip + 1.25));
    }
    expect(store.first().counterMinutes).toBe(0);
    store.on('package.move', { zone: null }, at(6));
    store.on(
      'package.move',
      { zone: 'chest' },
      new Date(Date.parse(at(6)) + 15 * 60_000 + 1000).toISOString(),
    );
    expect(store.first().counterMinutes).toBe(1);
  });

  it('mayonnaise follows its class once it is open: eight hours in all', () => {
    const store = stored('mayonnaise', { openedOn: day(0) });
    store.on('package.move', { zone: null }, at(1));
    store.on('package.move', { zone: 'shelf' }, at(8.9));
    expect(store.first().condemned).toBe(false);
    store.on('package.move', { zone: null }, at(10));
    store.on('package.move', { zone: 'shelf' }, at(10.1));
    expect(store.first().condemned).toBe(true);
    const shut = stored('mayonnaise');
    shut.on('package.move', { zone: null }, at(1));
    shut.on('package.move', { zone: 'shelf' }, at(30));
    expect(shut.first().condemned).toBe(false);
    expect(shut.first().trail.at(-1)?.says).toContain('more than a day');
  });

  it('however often it is undone and done again, it can be put back', () => {
    const store = stored('milk');
    store.on('package.move', { zone: null });
    store.on('package.move', { zone: 'shelf' }, at(20));
    for (let round = 0; round < 3; round++) {
      store.run(
        {
          id: `u${round}`,
          type: 'ledger.undo',
          command: round === 0 ? 'package.move' : `r${round - 1}`,
          meanwhile: 'out',
        },
        at(21 + round),
      );
      store.run(
        { id: `r${round}`, type: 'ledger.undo', command: `u${round}`, meanwhile: 'out' },
        at(21.5 + round),
      );
    }
    store.on('package.move', { zone: null }, at(25));
    expect(store.on('package.move', { zone: 'door' }, at(26))).toMatchObject({
      zoneId: 'door',
      condemned: true,
    });
  });

  it('a return dated before it was put out takes nothing away', () => {
    const store = stored('ground-beef');
    store.on('package.move', { zone: null }, at(4));
    store.now = at(7);
    store.on('package.move', { zone: 'shelf' }, at(3));
    expect(store.first()).toMatchObject({ condemned: true, counterMinutes: 180 });
  });
});

describe('caps (K9)', () => {
  it('a finding in a warm door is not stretched by the move to a cold shelf', () => {
    const store = stored('milk', { zone: 'door' });
    warm(store, 'door', 10);
    store.on('package.find', { finding: 'turning' }, at(1));
    store.on('package.move', { zone: 'shelf' }, at(2));
    expect(store.first().useBy).toBe(day(1));
  });

  it('the days spent before freezing are not stretched either', () => {
    const store = stored('beef-steak', { start: { did: 'bought', on: day(-4) } });
    store.on('package.freeze', { zone: 'chest' });
    warm(store, 'door', 9);
    store.on('package.thaw', { method: 'fridge', zone: 'door' }, at(48));
    store.on('package.move', { zone: 'shelf' }, at(49));
    expect(store.first().useBy).toBe(day(3));
  });

  it('kept out of the cold on its first day, a printed best-before still holds', () => {
    const printed = { kind: 'best-before', date: day(2) };
    expect(stored('bread', { printed }).on('package.keep-out').bestBy).toBe(day(2));
  });
});

describe('a part of a sealed pack (K4)', () => {
  it('cooked ham, use by in weeks, 100 g taken: what stays has its opened date, and the ledger says so', () => {
    const store = stored('ham-sliced', { printed: { kind: 'use-by', date: day(25) } });
    const closed = store.first().useBy;
    const [event] = store.run({
      id: 'part',
      type: 'package.take',
      package: store.first().id,
      version: 1,
      amount: 100,
      pieces: null,
    });
    expect(closed).toBe(day(25));
    expect(store.first()).toMatchObject({
      openedOn: day(0),
      useBy: day(food('ham-sliced').openedDaysMax ?? 0),
    });
    expect(event?.says).toContain('what stays is open now');
  });

  it.each([
    ['frozen loose peas stay closed', 'peas', { zone: 'chest', frozenOn: day(0), form: 'loose' }, null, null],
    [
      'a flat frozen pack does not',
      'ground-beef',
      { zone: 'chest', frozenOn: day(0), form: 'flat' },
      null,
      day(0),
    ],
    ['lemons have a skin of their own', 'lemons', { unit: 'pc', amount: 6 }, null, null],
    ['six pots of yogurt have a lid each', 'yogurt', { unit: 'pc', amount: 6 }, null, null],
    ['six cheeses, each closed', 'brie', { unit: 'pc', amount: 6 }, 'closed', null],
    ['six cheeses, nobody said', 'brie', { unit: 'pc', amount: 6 }, null, day(0)],
  ])('%s', (_what, id, more, pieces, openedOn) => {
    const store = stored(id, more);
    store.on('package.take', { amount: 1, pieces });
    expect(store.first().openedOn).toBe(openedOn);
    if (pieces === 'closed') expect(store.first().form).toBe('sealed');
  });

  it('by amount, given away, composted or binned, it is the same', () => {
    for (const [type, more] of [
      ['package.give', {}],
      ['package.compost', {}],
      ['package.discard', { reason: 'unwanted' }],
      ['package.cook', { into: null }],
    ] as const) {
      expect(stored('ham-sliced').on(type, { amount: 50, ...more }).openedOn).toBe(day(0));
    }
    const store = stored('milk', { unit: 'ml', amount: 1000 });
    store.run({
      id: 't',
      type: 'stock.take',
      foods: ['milk'],
      amount: 200,
      unit: 'ml',
      by: null,
      pieces: null,
    });
    expect(store.first()).toMatchObject({ openedOn: day(0), amount: 800 });
  });
});

describe('bought frozen (K5)', () => {
  it('is frozen from the start, in the shop’s carton; once thawed it has the days of its table', () => {
    const store = stored('frozen-vegetables', {
      zone: 'chest',
      start: { did: 'bought', on: day(0), frozen: true },
    });
    expect(store.first()).toMatchObject({ state: 'frozen', useBy: null, wrap: 'carton' });
    expect(labelText(store.first(), food('frozen-vegetables'), store.settings).thenDo).toContain(
      'cook from frozen',
    );
    store.on('package.thaw', { method: 'fridge', zone: 'shelf' }, at(24 * 90));
    expect(store.first().useBy).toBe(day(91));
  });

  it('a printed best-before is its best by; a chilled shelf refuses it', () => {
    const start = { did: 'bought', on: day(0), frozen: true };
    const printed = { kind: 'best-before', date: '2027-12-01' };
    expect(stored('fish-fingers', { zone: 'chest', start, printed }).first().bestBy).toBe('2027-12-01');
    expect(refusal(() => stored('fish-fingers', { start }))[0]).toBe('place');
  });

  it('on the bench it has its grace, and no second one when it is labelled', () => {
    const store = new Store();
    store.run(
      {
        id: 'b',
        type: 'haul.begin',
        haul: {
          id: 'haul',
          name: 'Shop',
          leftAt: NOON,
          coldBag: false,
          hot: false,
          fastFreeze: false,
          hygiene: [],
        },
      },
      NOON,
    );
    const {
      packages: _p,
      version: _v,
      ...line
    } = haulLine('ground-beef', {
      start: { did: 'bought', on: day(0), frozen: true },
    });
    store.run({ id: 'l', type: 'haul.line', line, version: null }, NOON);
    store.run({ id: 'p', type: 'haul.pack', haul: 'haul', lines: [{ line: line.id, version: 1 }] }, at(0.5));
    const { id, version } = store.first();
    store.run(
      { id: 'a', type: 'haul.away', haul: 'haul', places: [{ package: id, version, zone: 'chest' }] },
      at(1),
    );
    expect(store.first()).toMatchObject({ state: 'frozen', counterMinutes: 45, zoneId: 'chest' });
  });
});

describe('an undo never loosens', () => {
  it('take all, a wish for one day, undo the take: dated as its twin', () => {
    const store = new Store();
    store.store({ food: 'ham-sliced', called: 'Ham', packs: 2, form: null });
    const [one, twin] = [...store.packages.values()];
    store.run({ id: 'take', type: 'package.take', package: one?.id, version: 1, amount: null });
    store.run(
      { id: 'wish', type: 'food.wish', food: 'ham-sliced', wish: { ...NO_WISH, fridgeDays: 1 } },
      at(1),
    );
    warm(store, 'shelf', 12, at(2));
    careful(store, at(3));
    store.run({ id: 'undo', type: 'ledger.undo', command: 'take', meanwhile: 'out' }, at(4));
    const [back, other] = [store.packages.get(one?.id ?? ''), store.packages.get(twin?.id ?? '')];
    expect(back && dates(back)).toEqual(other && dates(other));
    const told = (found: typeof back) => found?.history.map(({ at: _at, ...event }) => event);
    expect(told(back)).toEqual(told(other));
  });

  it('a stay out of the cold does not un-happen, unless the entry was wrong; where it matters it asks', () => {
    const undone = (meanwhile: string): Package => {
      const store = stored('ground-beef');
      store.on('package.move', { zone: null });
      store.run({ id: 'u', type: 'ledger.undo', command: 'package.move', meanwhile }, at(1.5));
      return store.first();
    };
    expect(undone('out')).toMatchObject({ zoneId: 'shelf', counterMinutes: 90 });
    expect(undone('cold')).toMatchObject({ zoneId: 'shelf', counterMinutes: 0 });
    expect(refusal(() => undone('ask'))).toEqual(['meanwhile', expect.stringContaining('90 minutes')]);
  });

  it('what stands out and goes on standing there counts each minute once, and an earlier step can be undone after it', () => {
    const store = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    store.on('package.thaw', { method: 'cold-water', zone: null });
    store.on('package.answer', { answer: 'eat-tonight', on: null });
    store.run({ id: 'u', type: 'ledger.undo', command: 'package.answer', meanwhile: 'cold' }, at(0.5));
    store.on('package.move', { zone: 'shelf' }, at(1));
    expect(store.first().counterMinutes).toBe(60);
    store.run({ id: 'v', type: 'ledger.undo', command: 'package.move', meanwhile: 'out' }, at(1.1));
    store.run({ id: 'w', type: 'ledger.undo', command: 'package.thaw', meanwhile: 'out' }, at(1.25));
    expect(store.first()).toMatchObject({ state: 'frozen', counterMinutes: 75 });
  });

  it('thawed in water and undone: what stood out soft has no grace of the hard frozen', () => {
    const store = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    store.on('package.thaw', { method: 'cold-water', zone: null });
    store.run({ id: 'u', type: 'ledger.undo', command: 'package.thaw', meanwhile: 'out' }, at(1));
    expect(store.first()).toMatchObject({ state: 'frozen', counterMinutes: 60 });
  });
});

describe('zones that are not what they are called', () => {
  it('nothing is frozen into a freezer that does not freeze, nor kept cold in a fridge that does not cool', () => {
    const store = stored('milk');
    warm(store, 'chest', 2);
    expect(refusal(() => store.on('package.freeze', { zone: 'chest' }))).toEqual([
      'P1',
      expect.stringContaining('2 °C'),
    ]);
    warm(store, 'door', 12);
    expect(refusal(() => store.on('package.move', { zone: 'door' }))[0]).toBe('P1');
    warm(store, 'door', -7);
    expect(refusal(() => store.on('package.move', { zone: 'door' }))[1]).toContain('would freeze');
    expect(refusal(() => stored('milk', { zone: 'chest' }))[0]).toBe('place');
  });

  it('what lies hard frozen where it is warmer than in a fridge is for that day', () => {
    const store = stored('ground-beef', { zone: 'chest', frozenOn: day(0) });
    warm(store, 'chest', 9, at(24));
    warm(store, 'chest', -18, at(72));
    expect(store.first().useBy).toBe(day(1));
  });

  it.each([
    ['chest', 0, '−18 °C'],
    ['shelf', 38, '3 °C'],
    ['chest', 4, 'odd'],
    ['shelf', -12, 'odd'],
  ])('%s at %i: asked about, °F for °C named', (zone, celsius, says) => {
    const measure = (sure: boolean) => () =>
      stored('milk').run({ id: 'm', type: 'zone.measure', zone, celsius, sure });
    expect(refusal(measure(false))).toEqual(['reading', expect.stringContaining(says)]);
    expect(measure(true)()).toBeDefined();
  });
});

describe('possible times', () => {
  it('meat past its use by is not made good by an earlier date', () => {
    const store = stored('ground-beef');
    store.now = at(24 * 9);
    for (const [type, more] of [
      ['package.take', { amount: null }],
      ['package.freeze', { zone: 'chest' }],
      ['package.cook', { amount: null, into: null }],
      ['package.answer', { answer: 'eat-tonight', on: null }],
    ] as const) {
      expect(refusal(() => store.on(type, more))).toEqual(['K2', expect.stringContaining('told only now')]);
    }
    expect(store.on('package.discard', { amount: null, reason: 'past-date' }).gone).not.toBeNull();
  });

  it('a clock that runs a little ahead is taken for now, and nothing typed is lost', () => {
    const store = new Store();
    const haul = { id: 'haul', name: 'Shop', leftAt: at(0.05), coldBag: false, hot: false };
    store.run({ id: 'b', type: 'haul.begin', haul: { ...haul, fastFreeze: false, hygiene: [] } }, NOON);
    const { packages: _p, version: _v, ...line } = haulLine('trout', { outSince: at(0.07) });
    store.run({ id: 'l', type: 'haul.line', line, version: null }, NOON);
    expect([store.hauls.get('haul')?.leftAt, store.haulLines.get(line.id)?.outSince]).toEqual([NOON, NOON]);
  });

  it.each([
    ['9999-01-01T00:00:00.000Z', 'after now'],
    ['2026-11-01T00:00:00.000Z', '7 days'],
  ])('a line of a haul cannot be out since %s', (outSince, says) => {
    const store = new Store();
    const haul = {
      id: 'haul',
      name: 'Shop',
      leftAt: NOON,
      coldBag: false,
      hot: false,
      fastFreeze: false,
      hygiene: [],
    };
    store.run({ id: 'b', type: 'haul.begin', haul }, NOON);
    const { packages: _p, version: _v, ...line } = haulLine('trout', { outSince });
    expect(refusal(() => store.run({ id: 'l', type: 'haul.line', line, version: null }, NOON))[1]).toContain(
      says,
    );
    expect(
      refusal(() =>
        new Store().run({ id: 'b', type: 'haul.begin', haul: { ...haul, leftAt: outSince } }, NOON),
      )[0],
    ).toBe('haul');
  });
});

describe('stricter figures of a new version', () => {
  it('date what lies there earlier, never later, and what was frozen too late for them keeps its freezer date', () => {
    const store = stored('ham-sliced');
    const before = store.first();
    store.wishes.set('ham-sliced', { ...NO_WISH, fridgeDays: 2 });
    const [event] = store.run({ id: 'renew', type: 'figures.renew' }, at(1));
    expect(event?.after.useBy).toBe(day(2));
    store.wishes.delete('ham-sliced');
    expect(store.run({ id: 'again', type: 'figures.renew' }, at(2))).toEqual([]);
    expect((store.first().useBy ?? '') < (before.useBy ?? '')).toBe(true);
  });

  it('what was frozen later than a stricter figure allows has no days left once thawed', () => {
    const store = stored('ham-sliced', { start: { did: 'bought', on: day(-3) }, openedOn: null });
    store.on('package.freeze', { zone: 'chest' });
    store.run(
      { id: 'wish', type: 'food.wish', food: 'ham-sliced', wish: { ...NO_WISH, fridgeDays: 1 } },
      at(1),
    );
    expect(store.on('package.thaw', { method: 'fridge', zone: 'shelf' }, at(24)).useBy).toBe(day(1));
  });
});

it('undoing the removal of an appliance brings its measured temperatures back', () => {
  const store = new Store();
  const drawing = {
    id: 'b',
    name: 'Beer fridge',
    room: 'Shed',
    shape: 'fridge',
    compartments: [
      {
        id: 'in',
        name: '',
        cold: 'fridge',
        xMm: 0,
        yMm: 0,
        widthMm: 500,
        heightMm: 800,
        depthMm: 500,
        doorMm: 0,
      },
    ],
    zones: [
      {
        id: 'rack',
        compartmentId: 'in',
        parentId: null,
        name: 'Rack',
        purpose: '',
        kind: 'shelf',
        side: 'body',
        xMm: 0,
        yMm: 0,
        zMm: 0,
        widthMm: 500,
        heightMm: 400,
        depthMm: 500,
        humidity: null,
        only: [],
        never: [],
        person: 'Wren',
        limitLitres: null,
        hardToReach: false,
        keptEmpty: false,
        leakproof: false,
      },
    ],
  };
  store.run({ id: 'draw', type: 'appliance.draw', appliance: drawing, version: null, rehome: [] });
  warm(store, 'rack', 7);
  store.run({ id: 'gone', type: 'appliance.remove', appliance: 'b', rehome: [] });
  expect(store.measured.has('rack')).toBe(false);
  store.run({ id: 'back', type: 'ledger.undo', command: 'gone', meanwhile: 'out' });
  expect(store.measured.get('rack')?.celsius).toBe(7);
  // Somebody’s shelf is a rule of the house: refused, or overruled with the words kept on the package.
  const store2 = store;
  store2.store({ food: 'milk', called: 'Milk', packs: 1 });
  expect(refusal(() => store2.on('package.move', { zone: 'rack' }))).toEqual(['P4', 'Rack belongs to Wren.']);
  expect(store2.on('package.move', { zone: 'rack', anyway: true }).note).toBe('Rack belongs to Wren.');
});
