import fc from 'fast-check';
import { Store } from '../../../tests/fixtures/memoryStore';
import { refusal } from '../../../tests/fixtures/refusal';
import type { Package } from '../model/package';

const NOON = Date.parse('2026-11-25T12:00:00.000Z');
const at = (hours: number): string => new Date(NOON + hours * 3_600_000).toISOString();

let count = 0;
/** Stores a package of its own beside what is there, some hours after noon. */
function put(store: Store, line: Record<string, unknown> = {}, hours = 0): Package {
  const [event] = store.run(
    {
      id: `s${count++}`,
      type: 'haul.store',
      lines: [
        {
          food: 'ground-beef',
          called: '',
          amount: 600,
          unit: 'g',
          packs: 1,
          form: null,
          wrap: null,
          priceMinor: 600,
          zone: 'shelf',
          printed: null,
          start: { did: 'bought', on: at(hours).slice(0, 10) },
          openedOn: null,
          frozenOn: null,
          blanched: true,
          note: '',
          ...line,
        },
      ],
    },
    at(hours),
  );
  if (!event) throw new Error('nothing was stored');
  return event.after;
}
function tell(store: Store, type: string, found: Package, more: Record<string, unknown>, hours = 0) {
  const { id, version } = store.packages.get(found.id) ?? found;
  return store.run({ id: `c${count++}`, type, package: id, version, ...more }, at(hours));
}
const now = (store: Store, { id }: Package): Package => store.packages.get(id) as Package;
const named = (store: Store, { id }: Package) => ({
  package: id,
  version: now(store, { id } as Package).version,
});
const grams = (store: Store): number =>
  [...store.packages.values()]
    .filter(({ gone }) => gone === null)
    .reduce((sum, { amount }) => sum + amount, 0);
const cents = (store: Store): number =>
  [...store.packages.values()]
    .filter(({ gone }) => gone === null)
    .reduce((sum, one) => sum + (one.priceMinor ?? 0), 0);

describe('what is split and put together', () => {
  it('no order of splitting, pouring, thawing, freezing and merging puts a date back, drops a minute or loses a gram', () => {
    const steps = fc.array(
      fc.record({
        does: fc.integer({ min: 0, max: 7 }),
        a: fc.nat(9),
        b: fc.nat(9),
        hours: fc.integer({ min: 0, max: 20 }),
      }),
      { minLength: 3, maxLength: 14 },
    );
    let merged = 0;
    fc.assert(
      fc.property(
        steps,
        fc.constantFrom('ground-beef', 'stew', 'frozen-vegetables', 'milk'),
        (told, food) => {
          const store = new Store();
          const unit = food === 'milk' ? 'ml' : 'g';
          for (let nth = 0; nth < 3; nth++) put(store, { food, unit }, nth * 5);
          let hours = 12;
          for (const { does, a, b, hours: later } of told) {
            hours += later;
            const here = [...store.packages.values()].filter(({ gone }) => gone === null);
            const one = here[a % here.length] as Package;
            const other = here[b % here.length] as Package;
            const before = { ...one, other, grams: grams(store), cents: cents(store) };
            const moved = [0, 1, 2, 3].includes(does);
            try {
              if (does === 0)
                tell(
                  store,
                  'package.merge',
                  one,
                  { with: [{ ...named(store, other), amount: null }] },
                  hours,
                );
              else if (does === 1)
                tell(
                  store,
                  'package.merge',
                  one,
                  { with: [{ ...named(store, other), amount: 1 + (b % 3) * 100 }] },
                  hours,
                );
              else if (does === 2)
                tell(store, 'package.split', one, { amounts: [1 + a * 20, 1 + b], pieces: null }, hours);
              else if (does === 3)
                tell(
                  store,
                  'package.pour',
                  one,
                  { wrap: (['jar', 'tub', 'vacuum'] as const)[b % 3], form: null },
                  hours,
                );
              else if (does === 4) tell(store, 'package.freeze', one, { zone: 'chest', anyway: true }, hours);
              else if (does === 5)
                tell(store, 'package.thaw', one, { method: 'fridge', zone: 'shelf' }, hours);
              else if (does === 6) tell(store, 'package.move', one, { zone: null }, hours);
              else tell(store, 'package.put-back', one, { minutes: b * 4, hot: false, zone: null }, hours);
            } catch {
              expect([grams(store), cents(store)]).toEqual([before.grams, before.cents]);
              continue;
            }
            const after = now(store, one);
            expect(grams(store)).toBe(before.grams);
            expect(Math.abs(cents(store) - before.cents)).toBeLessThanOrEqual(does === 1 ? 1 : 0);
            expect(after.counterMinutes).toBeGreaterThanOrEqual(before.counterMinutes);
            if (!moved) continue;
            const olds = does < 2 ? [before, before.other] : [before];
            for (const old of olds) {
              expect(after.startOn <= old.startOn).toBe(true);
              expect(after.bestBy <= old.bestBy).toBe(true);
              expect(old.useBy === null || (after.useBy !== null && after.useBy <= old.useBy)).toBe(true);
              expect(after.counterMinutes).toBeGreaterThanOrEqual(old.counterMinutes);
            }
            if (does < 2) merged++;
          }
        },
      ),
      { numRuns: 300 },
    );
    expect(merged).toBeGreaterThan(30);
  });

  it('frozen and put together, then thawed: as few days as the one that had fewer', () => {
    const store = new Store();
    const fresh = put(store);
    const old = put(store, { start: { did: 'bought', on: '2026-11-24' } });
    tell(store, 'package.freeze', old, { zone: 'chest' }, 24);
    tell(store, 'package.freeze', fresh, { zone: 'chest' }, 0);
    const alone = new Store();
    const same = put(alone, { start: { did: 'bought', on: '2026-11-24' } });
    tell(alone, 'package.freeze', same, { zone: 'chest' }, 24);
    tell(store, 'package.merge', fresh, { with: [{ ...named(store, old), amount: null }] }, 30);
    for (const [house, one] of [
      [store, fresh],
      [alone, same],
    ] as const)
      tell(house, 'package.thaw', one, { method: 'cold-water', zone: null }, 72);
    expect((now(store, fresh).useBy ?? '') <= (now(alone, same).useBy ?? '')).toBe(true);
  });

  it('a little that thaws is not dated by the lot that thaws beside it', () => {
    const store = new Store();
    const little = put(store, { amount: 150, zone: 'chest', frozenOn: '2026-11-25' });
    const lot = put(store, { amount: 9000, zone: 'chest', frozenOn: '2026-11-25' });
    for (const one of [little, lot])
      tell(store, 'package.thaw', one, { method: 'fridge', zone: 'shelf' }, 24);
    const before = now(store, little);
    expect(before.useBy ?? '').not.toBe(now(store, lot).useBy);
    tell(store, 'package.merge', little, { with: [{ ...named(store, lot), amount: null }] }, 25);
    expect((now(store, little).useBy ?? '9') <= (before.useBy ?? '')).toBe(true);
  });

  it('only like goes with like, alive and here; nothing is half done', () => {
    const store = new Store();
    const beef = put(store);
    const milk = put(store, { food: 'milk', unit: 'ml' });
    const frozen = put(store, { zone: 'chest', frozenOn: '2026-11-25' });
    const before = new Map(store.packages);
    for (const other of [beef, milk, frozen])
      expect(
        refusal(() =>
          tell(store, 'package.merge', beef, { with: [{ ...named(store, other), amount: null }] }),
        )[0],
      ).toBe('K11');
    const second = put(store);
    expect(
      refusal(() =>
        tell(store, 'package.merge', beef, { with: [{ ...named(store, second), amount: 601 }] }),
      )[0],
    ).toBe('amount');
    expect(refusal(() => tell(store, 'package.split', beef, { amounts: [300, 300], pieces: null }))[0]).toBe(
      'amount',
    );
    expect(now(store, beef)).toEqual(before.get(beef.id));
  });
});

describe('put back, lost, relabelled, corrected, kept for somebody', () => {
  it('of two counts of one stay the longer holds; what was taken another day stays away; what was lost may turn up', () => {
    const store = new Store();
    const beef = put(store);
    tell(store, 'package.move', beef, { zone: null }, 1);
    tell(store, 'package.put-back', beef, { minutes: 5, hot: false, zone: 'shelf' }, 1.5);
    expect(now(store, beef)).toMatchObject({ counterMinutes: 30, zoneId: 'shelf', counterSince: null });
    tell(store, 'package.take', beef, { amount: null }, 2);
    tell(store, 'package.put-back', beef, { minutes: 90, hot: false, zone: 'shelf' }, 4);
    expect(now(store, beef)).toMatchObject({ gone: null, counterMinutes: 120, condemned: true });
    const other = put(store);
    tell(store, 'package.take', other, { amount: null }, 2);
    expect(
      refusal(() => tell(store, 'package.put-back', other, { minutes: 0, zone: 'shelf', hot: false }, 30))[0],
    ).toBe('gone');
    const away = put(store);
    tell(store, 'package.lose', away, {}, 1);
    expect(refusal(() => tell(store, 'package.open', away, {}, 2))[0]).toBe('gone');
    tell(store, 'package.put-back', away, { minutes: 0, hot: false, zone: 'shelf' }, 48);
    expect(now(store, away)).toMatchObject({ gone: null, governingDate: away.governingDate });
  });

  it('what stood out when it left has stood, whatever is said when it comes back; a clock set back hides nothing', () => {
    for (const [type, more] of [
      ['package.take', { amount: null }],
      ['package.lose', {}],
    ] as const) {
      const store = new Store();
      const beef = put(store);
      tell(store, 'package.move', beef, { zone: null }, 1);
      tell(store, type, beef, more, 2.5);
      tell(store, 'package.put-back', beef, { minutes: 30, hot: false, zone: 'shelf' }, 3);
      expect(now(store, beef)).toMatchObject({ counterMinutes: 120, condemned: true });
    }
    const store = new Store();
    const beef = put(store);
    tell(store, 'package.move', beef, { zone: null }, 3);
    store.now = at(6);
    tell(store, 'package.put-back', beef, { minutes: 0, hot: false, zone: 'shelf' }, 2);
    expect(now(store, beef)).toMatchObject({ counterMinutes: 180, condemned: true });
  });

  it('a correction is looked at twice also where only the days once thawed grow', () => {
    const store = new Store();
    const beef = put(store, { start: { did: 'bought', on: '2026-11-23' } }, 0);
    tell(store, 'package.freeze', beef, { zone: 'chest', anyway: true }, 2);
    const correct = (sure: boolean) =>
      tell(store, 'package.correct', beef, { startOn: '2026-11-25', reason: 'mistyped', sure }, 4);
    expect(refusal(() => correct(false))[0]).toBe('looser');
    expect(correct(true)).toHaveLength(1);
  });

  it('a correction that keeps it longer needs a second look; an earlier date does not', () => {
    const store = new Store();
    const beef = put(store, { printed: { kind: 'use-by', date: '2026-11-26' } });
    const correct = (more: Record<string, unknown>) =>
      tell(store, 'package.correct', beef, { reason: 'read wrong', sure: false, ...more });
    expect(refusal(() => correct({ printed: null }))[0]).toBe('looser');
    expect(now(store, beef).version).toBe(1);
    correct({ startOn: '2026-11-24' });
    expect(now(store, beef).startOn).toBe('2026-11-24');
    const [event] = correct({ printed: null, sure: true, amount: 450 });
    expect(event?.says).toMatch(/^Corrected .*450 g instead of 600 g.*Because: read wrong\.$/);
    expect(refusal(() => correct({ startOn: '2026-12-01' }))[0]).toBe('correct');
    expect(refusal(() => correct({}))[0]).toBe('correct');
  });

  it('hands off asks first, also by amount, until its day has gone by', () => {
    const store = new Store();
    const beef = put(store);
    tell(store, 'package.keep-for', beef, { whose: 'Gran Morag', on: '2026-11-26', handsOff: true });
    for (const type of ['package.take', 'package.give', 'package.compost'])
      expect(refusal(() => tell(store, type, beef, { amount: null }))).toEqual([
        'promised',
        expect.stringContaining('for Gran Morag'),
      ]);
    const take = (promised: boolean, hours: number) =>
      store.run(
        {
          id: `t${count++}`,
          type: 'stock.take',
          foods: ['ground-beef'],
          amount: 300,
          unit: 'g',
          by: null,
          promised,
        },
        at(hours),
      );
    expect(refusal(() => take(false, 1))[0]).toBe('promised');
    expect(take(true, 1)).toHaveLength(1);
    const other = put(store);
    const into = put(store);
    const keep = (on: string | null) =>
      tell(store, 'package.keep-for', other, { whose: '', on, handsOff: on !== null });
    expect(refusal(() => keep('2026-12-24'))[0]).toBe('plan');
    keep('2026-11-26');
    expect(
      refusal(() =>
        tell(store, 'package.merge', into, { with: [{ ...named(store, other), amount: null }] }),
      )[0],
    ).toBe('promised');
    tell(store, 'package.discard', into, { amount: null, reason: 'unwanted' });
    expect(refusal(() => take(false, 2))[0]).toBe('promised');
    expect(take(false, 48)).toHaveLength(1);
  });

  it('preparing keeps the clock and opens; a new label keeps the old code', () => {
    const store = new Store();
    const beef = put(store);
    tell(store, 'package.prepare', beef, { way: 'marinate', note: 'with thyme' });
    expect(now(store, beef)).toMatchObject({
      called: expect.stringMatching(/, marinated$/) as string,
      openedOn: '2026-11-25',
      startOn: beef.startOn,
    });
    expect((now(store, beef).useBy ?? '') <= (beef.useBy ?? '')).toBe(true);
    expect(refusal(() => tell(store, 'package.prepare', beef, { way: 'marinate', note: '' }))[0]).toBe(
      'prepare',
    );
    tell(store, 'package.relabel', beef, {});
    expect(now(store, beef).oldCodes).toEqual([beef.code]);
    expect(now(store, beef).code).not.toBe(beef.code);
  });
});
