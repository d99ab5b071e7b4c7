import fc from 'fast-check';
import { LINE, Store } from '../../../tests/fixtures/memoryStore';
import { refusal } from '../../../tests/fixtures/refusal';
import { addDays } from '../calendar/calendarDate';

const TODAY = '2026-11-25';
const NOON = `${TODAY}T12:00:00.000Z`;

/** Ways to tell that something came in, was opened or frozen on a day. */
const WAYS: Record<string, (on: string) => Record<string, unknown>> = {
  bought: (on) => ({ start: { did: 'bought', on } }),
  cooked: (on) => ({ start: { did: 'cooked', on } }),
  'bought frozen': (on) => ({ start: { did: 'bought', on, frozen: true }, zone: 'chest' }),
  opened: (on) => ({ openedOn: on }),
  frozen: (on) => ({ frozenOn: on, zone: 'chest' }),
};

describe('a day that is still to come', () => {
  it.each(Object.entries(WAYS))(
    'is refused when something is stored as %s then, and nothing is stored',
    (_name, tell) => {
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 400 }), (ahead) => {
          const store = new Store();
          const line = { ...LINE, ...tell(addDays(TODAY, ahead)) };
          const [rule] = refusal(() => store.run({ id: 'h', type: 'haul.store', lines: [line] }, NOON));
          expect(rule).toMatch(/^K\d+$/);
          expect(store.packages.size).toBe(0);
        }),
        { numRuns: 25 },
      );
    },
  );

  it('is refused for what came of cooking too, and the pan is not emptied', () => {
    const store = new Store();
    const [found] = store.store({ packs: 1, amount: 500 });
    const into = { ...LINE, start: { did: 'cooked', on: addDays(TODAY, 2) }, packs: 1, amount: 400 };
    const cook = { type: 'package.cook', package: found?.id, version: found?.version, amount: null, into };
    expect(refusal(() => store.run({ id: 'c', ...cook }, NOON))[0]).toMatch(/^K\d+$/);
    expect(store.first().gone).toBeNull();
  });

  it('that was recorded before the clock of the machine went back stays as it was', () => {
    const store = new Store();
    const [found] = store.store({ packs: 1, amount: 500 });
    const before = `${addDays(TODAY, -3)}T12:00:00.000Z`;
    const opened = store.on('package.open', {}, before);
    expect(opened.openedOn).toBe(found?.startOn);
    expect(opened.governingDate <= (found?.governingDate ?? '')).toBe(true);
  });
});
