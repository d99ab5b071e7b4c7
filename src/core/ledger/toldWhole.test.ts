import fc from 'fast-check';
import { LINE, Store } from '../../../tests/fixtures/memoryStore';
import { refusal } from '../../../tests/fixtures/refusal';
import type { HistoryEvent } from '../model/history';
import type { IntakeLine } from '../model/intakeLine';
import type { Package } from '../model/package';
import { Refusal } from '../model/refusal';

const at = (hours: number): string =>
  new Date(Date.parse('2026-11-25T12:00:00.000Z') + hours * 3_600_000).toISOString();

let count = 0;
function put(store: Store, line: Partial<IntakeLine>, hours: number): Package {
  const [event] = store.run(
    { id: `h${count++}`, type: 'haul.store', lines: [{ ...LINE, packs: 1, form: null, ...line }] },
    at(hours),
  );
  if (!event) throw new Error('nothing was stored');
  return event.after;
}

/** What may happen to a package, each with a choice of its own. */
const DOES: ((choice: number) => { type: string } & Record<string, unknown>)[] = [
  () => ({ type: 'package.freeze', zone: 'chest', anyway: true }),
  (choice) => ({ type: 'package.thaw', method: choice % 2 ? 'fridge' : 'cold-water', zone: 'shelf' }),
  () => ({ type: 'package.open' }),
  () => ({ type: 'package.move', zone: null }),
  (choice) => ({ type: 'package.put-back', minutes: 1 + choice * 7, hot: choice === 3, zone: 'shelf' }),
  (choice) => ({ type: 'package.move', zone: choice % 2 ? 'door' : 'chest' }),
  () => ({ type: 'package.keep-out' }),
];

/** What the rules make of a history. */
const judged = ({ state, startOn, openedOn, useBy, bestBy, governingDate, condemned, ...one }: Package) => ({
  ...{ state, startOn, openedOn, useBy, bestBy, governingDate, condemned },
  minutes: one.counterMinutes,
  celsius: one.celsius,
  history: one.history,
  code: one.code,
  counterSince: one.counterSince,
});

it('stored with all that happened to it, a package is exactly what it was, or is refused', () => {
  const life = fc.array(
    fc.record({
      does: fc.nat(DOES.length - 1),
      choice: fc.nat(9),
      hours: fc.integer({ min: 0, max: 30 }),
    }),
    { minLength: 1, maxLength: 9 },
  );
  const foods = fc.constantFrom('ground-beef', 'stew', 'frozen-vegetables', 'salmon', 'bread');
  let thawed = 0;
  let condemned = 0;
  fc.assert(
    fc.property(life, foods, (steps, food) => {
      const store = new Store();
      const { id } = put(store, { food }, 0);
      const now = (): Package => store.packages.get(id) as Package;
      let hours = 0;
      for (const { does, choice, hours: more } of steps) {
        hours += more;
        const told = { id: `c${count++}`, package: id, version: now().version, ...DOES[does]?.(choice) };
        try {
          store.run(told as Parameters<Store['run']>[0], at(hours));
        } catch (error) {
          if (!(error instanceof Refusal)) throw error;
        }
      }
      const lived = now();
      fc.pre(lived.gone === null);
      const [start] = lived.history as [IntakeLine['start']];
      const { history, amount, wrap, zoneId: zone, counterSince, code } = lived;
      const since = counterSince === null ? {} : { counterSince };
      const line = { food, history, start, amount, wrap, zone, code, ...since };
      let again: Package;
      try {
        again = put(new Store(), line, hours);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        return;
      }
      expect(judged(again)).toEqual(judged(lived));
      if (lived.history.some(({ did }) => did === 'thawed' || did === 'thawing')) thawed++;
      if (lived.condemned) condemned++;
    }),
    { numRuns: 200 },
  );
  expect(thawed).toBeGreaterThan(3);
  expect(condemned).toBeGreaterThan(10);
});

it('a history that begins otherwise, or lies frozen where it thaws, is refused', () => {
  const start = { did: 'bought', on: '2026-11-20' } as const;
  const frozen: HistoryEvent[] = [start, { did: 'frozen', on: '2026-11-21' }];
  const told = (line: Partial<IntakeLine>) => refusal(() => put(new Store(), line, 0)).join(' ');
  expect(told({ history: frozen, start: { ...start, on: '2026-11-22' }, zone: 'chest' })).toMatch(/^history/);
  expect(told({ history: frozen, start, zone: 'shelf' })).toContain('frozen food goes to a freezer zone');
  const thawing: HistoryEvent[] = [...frozen, { did: 'thawing', on: '2026-11-24' }];
  expect(told({ history: thawing, start, zone: 'chest' })).toContain('is in a freezer');
  expect(put(new Store(), { history: thawing, start, zone: 'shelf' }, 0).state).toBe('thawing');
});
