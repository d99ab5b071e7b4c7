import fc from 'fast-check';
import { food, foods } from '../../../tests/fixtures/reference';
import { notLooser } from './notLooser';

describe('an own food beside what it was copied from', () => {
  it('takes over what grew stricter, and its class; what is only a matter of quality stays its own', () => {
    const own = {
      ...food('ham-sliced'),
      id: 'own-ham',
      copyOf: 'ham-sliced',
      fridgeDaysMax: 10,
      openedDaysMax: 2,
    };
    const stricter = { ...food('ham-sliced'), fridgeDaysMax: 4, fridgeDaysMin: 3 };
    expect(notLooser(own, stricter)).toMatchObject({ fridgeDaysMin: 3, fridgeDaysMax: 4, openedDaysMax: 2 });
    expect(notLooser({ ...own, controlled: false, outageClass: 'bread' }, stricter)).toMatchObject({
      controlled: true,
      outageClass: stricter.outageClass,
    });
    const jam = { ...food('jam'), copyOf: 'jam', fridgeDaysMax: 900 };
    expect(notLooser(jam, food('jam'))).toEqual(jam);
  });

  it('is never looser for safety, whatever both say', () => {
    const days = fc.option(fc.integer({ min: 0, max: 40 }));
    fc.assert(
      fc.property(
        fc.constantFrom(...foods),
        days,
        days,
        days,
        (near, fridgeDaysMax, openedDaysMax, thawedDays) => {
          const kept = notLooser({ ...near, fridgeDaysMax, openedDaysMax, thawedDays }, near);
          if (!near.controlled) return;
          for (const key of ['fridgeDaysMax', 'openedDaysMax', 'thawedDays'] as const) {
            if (near[key] !== null) expect(kept[key] ?? Infinity).toBeLessThanOrEqual(near[key]);
          }
        },
      ),
    );
  });
});
