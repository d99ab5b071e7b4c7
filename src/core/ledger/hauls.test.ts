import { haulLine } from '../../../tests/fixtures/haulLine';
import { Store } from '../../../tests/fixtures/memoryStore';
import { refusal } from '../../../tests/fixtures/refusal';
import type { HaulLine } from '../model/haul';
import { StaleSetting } from '../model/stale';

const NOON = '2026-11-25T12:00:00.000Z';
const HALF_PAST = '2026-11-25T12:30:00.000Z';
const freezer = (amounts: number[], more: object = {}) => ({
  amounts,
  packing: 'flat',
  container: null,
  goes: 'freezer' as const,
  zone: null,
  ...more,
});

function begun(haul: object = {}): Store {
  const store = new Store();
  const told = {
    id: 'haul',
    name: 'Harbour shop',
    leftAt: NOON,
    coldBag: false,
    hot: false,
    fastFreeze: false,
    hygiene: [],
  };
  store.run({ id: 'begin', type: 'haul.begin', haul: { ...told, ...haul } }, NOON);
  return store;
}
let count = 0;
function tell(store: Store, foodId: string, more: Partial<HaulLine> = {}): HaulLine {
  const { packages: _p, version: _v, ...line } = haulLine(foodId, more);
  store.run({ id: `told-${count++}`, type: 'haul.line', line, version: null }, NOON);
  const told = store.haulLines.get(line.id);
  if (!told) throw new Error('not told');
  return told;
}
const pack = (store: Store, lines: HaulLine[], at = HALF_PAST, id = 'pack') =>
  store.run(
    { id, type: 'haul.pack', haul: 'haul', lines: lines.map(({ id: line, version }) => ({ line, version })) },
    at,
  );
const away = (store: Store, zone: string | null, at: string, ids: string[]) =>
  store.run(
    {
      id: `away-${count++}`,
      type: 'haul.away',
      haul: 'haul',
      places: ids.map((one) => ({ package: one, version: store.packages.get(one)?.version, zone })),
    },
    at,
  );

describe('a haul from the bench to the zones', () => {
  it('two forms of one lot, grams and cents exact, the minutes counted, frozen where it lies; undo gives the line back', () => {
    const store = begun();
    const line = tell(store, 'ground-lamb', {
      amount: 3900,
      priceMinor: 2820,
      cooking: 'pan from frozen',
      parts: [freezer([557, 557, 557], { packing: 'meatballs' }), freezer([557, 557, 557, 558])],
    });
    const packs = pack(store, [line]).map(({ after }) => after);
    const sum = (of: (number | null)[]) => of.reduce<number>((all, one) => all + (one ?? 0), 0);
    expect(sum(packs.map(({ amount }) => amount))).toBe(3900);
    expect(sum(packs.map(({ priceMinor }) => priceMinor))).toBe(2820);
    expect(packs.map(({ form }) => form)).toEqual([...Array(3).fill('meatballs'), ...Array(4).fill('flat')]);
    expect(new Set(packs.map(({ lotId }) => lotId)).size).toBe(1);
    expect(packs[0]).toMatchObject({
      state: 'chilled',
      counterMinutes: 30,
      counterSince: HALF_PAST,
      note: 'pan from frozen',
    });
    const [first] = packs;
    away(store, 'chest', '2026-11-25T12:50:00.000Z', [first?.id ?? '']);
    expect(store.packages.get(first?.id ?? '')).toMatchObject({
      state: 'frozen',
      zoneId: 'chest',
      counterMinutes: 50,
    });
    expect(refusal(() => store.run({ id: 'u', type: 'ledger.undo', command: 'pack' }))[1]).toMatch(
      /has changed since/,
    );
    const other = begun();
    const again = tell(other, 'milk');
    pack(other, [again]);
    other.run({ id: 'undo', type: 'ledger.undo', command: 'pack' });
    expect(other.haulLines.get(again.id)).toEqual(again);
    expect([...other.packages.values()].every(({ gone }) => gone?.how === 'undone')).toBe(true);
  });

  it('packs all lines or none, never twice, and not over what somebody else changed', () => {
    const store = begun();
    const good = tell(store, 'milk');
    const bad = tell(store, 'lettuce');
    expect(refusal(() => pack(store, [good, bad]))).toEqual([
      'K5',
      expect.stringMatching(/must not be frozen/),
    ]);
    expect(store.packages.size).toBe(0);
    expect(() => pack(store, [{ ...good, version: 7 }])).toThrow(StaleSetting);
    pack(store, [good]);
    expect(refusal(() => pack(store, [good], HALF_PAST, 'again'))[1]).toMatch(/packed already/);
    expect(store.packages.size).toBe(1);
    expect(refusal(() => store.run({ id: 'c', type: 'haul.close', haul: 'haul' }))[1]).toBe(
      'Not packed yet: Lettuce.',
    );
    store.run({ id: 'd', type: 'haul.drop', line: bad.id, version: 1 });
    store.run({ id: 'close', type: 'haul.close', haul: 'haul' });
    expect(refusal(() => store.run({ id: 'c2', type: 'haul.close', haul: 'haul' }))[1]).toMatch(
      /was put away already/,
    );
    expect(refusal(() => tell(store, 'bread'))[0]).toBe('haul');
  });

  it('over two hours, one in the heat, it is not packed; time told again lets it', () => {
    const late = '2026-11-25T13:10:00.000Z';
    const hot = begun({ hot: true });
    const line = tell(hot, 'milk');
    expect(refusal(() => pack(hot, [line], late))).toEqual([
      'K10',
      expect.stringMatching(/stood 70 minutes/),
    ]);
    hot.run(
      { id: 's', type: 'haul.set', haul: 'haul', changes: { leftAt: '2026-11-25T12:40:00.000Z' } },
      late,
    );
    const told = hot.haulLines.get(line.id);
    const [milk] = told ? pack(hot, [told], late) : [];
    expect(milk?.after).toMatchObject({ counterMinutes: 60, condemned: false });
    away(hot, 'shelf', '2026-11-25T13:42:00.000Z', [milk?.after.id ?? '']);
    expect(hot.packages.get(milk?.after.id ?? '')).toMatchObject({ counterMinutes: 124, condemned: true });
  });

  it('in a cold bag the clock begins when it is opened; out of it after all, the way home counts again', () => {
    const store = begun({ leftAt: '2026-11-25T11:20:00.000Z', coldBag: true });
    const line = tell(store, 'milk', { outSince: NOON });
    expect(store.hauls.get('haul')?.outSince).toBe(NOON);
    store.run({ id: 's', type: 'haul.set', haul: 'haul', changes: { coldBag: false } }, HALF_PAST);
    expect(store.haulLines.get(line.id)?.outSince).toBe('2026-11-25T11:20:00.000Z');
  });

  it('washed and wet halves the days, dried keeps them; raw on a tray keeps shorter in the freezer', () => {
    const dates = (preparation: string[], foodId = 'kale') => {
      const store = begun();
      const fridge = [freezer([1000], { goes: 'fridge', packing: 'as-it-is' })];
      const [event] = pack(store, [tell(store, foodId, { preparation, parts: fridge })], NOON);
      return event?.after.bestBy ?? '';
    };
    expect(dates(['washed-dried'])).toBe(dates(['unwashed']));
    expect(dates(['washed-wet']) < dates(['washed-dried'])).toBe(true);
    const store = begun();
    const [event] = pack(store, [tell(store, 'kale', { preparation: ['raw-frozen'] })], NOON);
    expect(event?.after.blanched).toBe(false);
  });

  it('a pot gets its cap from its fill line: topped up to that, it says so', () => {
    const store = begun();
    const tub = [freezer([300], { packing: 'tub', goes: 'fridge' })];
    const [event] = pack(store, [tell(store, 'broth-home', { amount: 300, unit: 'ml', parts: tub })], NOON);
    expect(event?.after).toMatchObject({ wrap: 'tub', form: 'pot', cap: 427 });
  });

  it('what is packed may only change its zone; a code means what was learned', () => {
    const store = begun();
    const line = tell(store, 'milk');
    pack(store, [line]);
    const { packages: _p, version, ...packed } = store.haulLines.get(line.id) ?? line;
    const change = (more: object) =>
      store.run({ id: `ch-${count++}`, type: 'haul.line', line: { ...packed, ...more }, version });
    expect(refusal(() => change({ amount: 900 }))[1]).toMatch(/packed already/);
    change({ parts: packed.parts.map((part) => ({ ...part, zone: 'shelf' })) });
    expect(store.haulLines.get(line.id)?.parts[0]?.zone).toBe('shelf');
    const means = { food: 'milk', called: '', amount: 1000, unit: 'ml' };
    store.run({ id: 'learn', type: 'code.learn', code: '2012345000018', means });
    expect(store.codes.get('2012345000018')).toEqual({ ...means, called: 'Milk' });
    store.run({ id: 'unlearn', type: 'ledger.undo', command: 'learn' });
    expect(store.codes.size).toBe(0);
  });
});
