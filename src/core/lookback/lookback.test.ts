import fc from 'fast-check';
import { addDays } from '../calendar/calendarDate';
import { fillOverTime } from './fillOverTime';
import { firstOutKept, type Stay } from './firstOutKept';

const TODAY = '2026-11-25';

it('what lay in the cold is what came and had not left by then, week by week', () => {
  const stay = fc.record({
    frozen: fc.boolean(),
    came: fc.integer({ min: 0, max: 250 }),
    stays: fc.option(fc.integer({ min: 0, max: 250 }), { nil: null }),
    litres: fc.integer({ min: 1, max: 30 }),
  });
  fc.assert(
    fc.property(fc.array(stay, { maxLength: 30 }), (made) => {
      const stays = made.map(({ frozen, came, stays: long, litres }) => {
        const cameOn = addDays(TODAY, -came);
        return {
          frozen,
          litres,
          cameOn,
          goneOn: long === null || long > came ? null : addDays(cameOn, long),
        };
      });
      for (const { on, fridge, freezer } of fillOverTime(stays, TODAY, 26)) {
        const here = stays.filter(({ cameOn, goneOn }) => cameOn <= on && (goneOn === null || goneOn > on));
        const sum = (frozen: boolean): number =>
          here.filter((one) => one.frozen === frozen).reduce((all, { litres }) => all + litres, 0);
        expect([on, fridge, freezer]).toEqual([on, sum(false), sum(true)]);
      }
    }),
  );
});

it('the oldest went first, or something older of the same food stayed behind', () => {
  const stay = (id: string, firstOut: string, goneOn: string | null, more: Partial<Stay> = {}): Stay => ({
    ...{
      id,
      foodId: 'trout',
      frozen: false,
      cameOn: '2026-11-01',
      goneOn,
      goneHow: goneOn && 'taken',
      firstOut,
    },
    ...more,
  });
  const kept = (...stays: Stay[]) => firstOutKept(stays);
  expect(kept(stay('a', '1', '2026-11-02'), stay('b', '2', '2026-11-03'))).toEqual({ kept: 2, jumped: 0 });
  expect(kept(stay('a', '1', '2026-11-04'), stay('b', '2', '2026-11-03'))).toEqual({ kept: 1, jumped: 1 });
  expect(kept(stay('a', '1', null), stay('b', '2', '2026-11-03'))).toEqual({ kept: 0, jumped: 1 });
  // Not yet here, of another food, kept otherwise, thrown out: none of it was jumped.
  for (const other of [{ cameOn: '2026-11-20' }, { foodId: 'stew' }, { frozen: true }])
    expect(kept(stay('a', '1', null, other), stay('b', '2', '2026-11-03'))).toEqual({ kept: 1, jumped: 0 });
  expect(kept(stay('a', '1', '2026-11-02', { goneHow: 'discarded' }))).toEqual({ kept: 0, jumped: 0 });
});
