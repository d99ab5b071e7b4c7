import fc from 'fast-check';
import { food, foods } from '../../../tests/fixtures/reference';
import { addDays } from '../calendar/calendarDate';
import { Refusal } from '../model/refusal';
import {
  AFTERWARDS,
  type HistoryEvent,
  type KeepingConditions,
  USUAL_CONDITIONS,
  WRAPS,
} from '../model/history';
import { judgeKeeping, keepingOn } from './judgeKeeping';

const LATER = '2030-01-01';

/** "bought 03-01, frozen 03-02" as a history of 2027. */
function told(text: string): HistoryEvent[] {
  return text.split(', ').map((part) => {
    const [did, day, more] = part.split(' ');
    const event = { did, on: `2027-${day}` };
    if (did === 'thawed') return { ...event, method: more } as HistoryEvent;
    if (did === 'moved') return { ...event, c: Number(more) } as HistoryEvent;
    if (did === 'counter') return { ...event, minutes: Number(more) } as HistoryEvent;
    if (did === 'topped-up') return { ...event, content: `2027-${more}` } as HistoryEvent;
    return event as HistoryEvent;
  });
}

function judge(id: string, history: string, conditions: Partial<KeepingConditions> = {}) {
  return judgeKeeping(food(id), told(history), LATER, { ...USUAL_CONDITIONS, ...conditions });
}

const printed = (kind: 'use-by' | 'best-before' | 'sell-by' | 'freeze-by', day: string) => ({
  printed: { kind, date: `2027-${day}` },
});

describe('worked cases', () => {
  // food, history, conditions, use by (or null), best by, what is worked out
  it.each<[string, string, Partial<KeepingConditions>, string | null, string, string]>([
    ['ground-beef', 'bought 03-01', {}, '03-03', '03-02', 'K2: 2 days safe, 1 at its best'],
    ['hard-cheese', 'bought 03-01', {}, null, '08-28', 'K1, K2: quality only, 180 days'],
    ['beef-steak', 'bought 03-01', { caution: 'careful' }, '03-04', '03-04', 'K13: the 3 of 3 to 5 days'],
    ['ground-beef', 'bought 03-01', printed('use-by', '03-02'), '03-02', '03-02', 'K3: raw, the earlier'],
    ['ground-beef', 'bought 03-01', printed('use-by', '03-09'), '03-03', '03-02', 'K3: raw, ours is earlier'],
    ['milk', 'bought 03-01', printed('use-by', '03-12'), '03-12', '03-06', 'K3: the maker takes over'],
    ['milk', 'bought 03-01', printed('best-before', '03-12'), '03-12', '03-12', 'K3: the maker vouches'],
    [
      'ground-beef',
      'bought 03-01',
      printed('best-before', '03-12'),
      '03-03',
      '03-12',
      'K3: raw, use by stays',
    ],
    ['milk', 'bought 03-01', printed('sell-by', '03-02'), '03-08', '03-06', 'K3: sets nothing'],
    ['trout', 'bought 03-01', printed('freeze-by', '03-01'), '03-01', '03-02', 'K3: as a use-by'],
    ['milk', 'bought 03-01, opened 03-03', {}, '03-08', '03-06', 'K4: min(8, 3+7), min(6, 3+4)'],
    ['quark', 'bought 03-01, opened 03-03', {}, '03-08', '03-06', 'K4: 3 + 5, 3 + 3'],
    ['quark', 'bought 03-01, opened 03-03', { caution: 'careful' }, '03-06', '03-06', 'K4, K13: 3 + 3'],
    ['jam', 'bought 03-01, opened 03-03', {}, null, '08-30', 'K4: quality only, 3 + 180'],
    ['trout', 'bought 03-01, opened 03-02', {}, '03-03', '03-02', 'K4: no opened figure, it stays'],
    [
      'trout',
      'bought 03-01, frozen 03-01',
      {},
      null,
      '05-16',
      'K5: zip bag, mean of 2 and 3: 2 months and 15 days',
    ],
    ['trout', 'bought 03-01, frozen 03-01', { wrap: 'vacuum' }, null, '06-01', 'K5: 3 months'],
    ['trout', 'bought 03-01, frozen 03-01', { wrap: 'shop-tray' }, null, '05-01', 'K5: 2 months'],
    [
      'broccoli',
      'harvested 03-01, frozen 03-01',
      { blanched: false },
      null,
      '04-01',
      'K5: wants blanching, 1 month',
    ],
    ['trout', 'bought 03-01, frozen 03-01', { freezerC: -15 }, null, '04-15', 'K9: 2.5 / 1.7 = 1.47 months'],
    [
      'venison',
      'bought 03-01, frozen 03-02, thawed 06-01 fridge',
      {},
      '06-03',
      '06-03',
      'K6: min(2, 2 left)',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-03, thawed 06-01 fridge',
      {},
      '06-02',
      '06-02',
      'K6: min(2, 1 left)',
    ],
    ['venison', 'bought 03-01, frozen 03-04, thawed 06-01 fridge', {}, '06-01', '06-01', 'K6: nothing left'],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawed 06-01 cold-water',
      {},
      '06-01',
      '06-01',
      'K6: cook at once',
    ],
    [
      'bread',
      'bought 03-01, frozen 03-01, thawed 06-01 metal',
      {},
      null,
      '06-04',
      'K6: quality only, 3 days',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawing 06-01',
      {},
      '06-03',
      '06-03',
      'K7: mass unknown, from the start',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawing 06-01, thawed 06-02 fridge',
      {},
      '06-03',
      '06-03',
      'K7: whichever is first',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawing 06-01, thawed 06-02 microwave',
      {},
      '06-02',
      '06-02',
      'K6: finished hot',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawed 06-01 fridge, refrozen 06-02',
      {},
      null,
      '09-02',
      'K8: half of 6 months',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawed 06-01 fridge, refrozen 06-02, thawed 07-01 fridge',
      {},
      '07-02',
      '07-02',
      'K8: 1 day was left',
    ],
    ['beef-steak', 'bought 03-01', { fridgeC: 10 }, '03-03', '03-02', 'K9: 5 / 2.04 and 3 / 2.04'],
    ['beef-steak', 'bought 03-01, moved 03-01 10', {}, '03-03', '03-02', 'K9: 5 and 3 days left, / 2.04'],
    [
      'beef-steak',
      'bought 03-01, counter 03-01 90, counter 03-02 30',
      {},
      '03-02',
      '03-04',
      'K10: 120 minutes in all are reached',
    ],
    [
      'beef-steak',
      'bought 03-01, counter 03-01 90, counter 03-02 29',
      {},
      '03-06',
      '03-04',
      'K10: a minute is left',
    ],
    ['chard', 'bought 03-01, found-turning 03-02', {}, null, '03-03', 'K12: the day after'],
    ['beef-steak', 'bought 03-01, found-bad 03-02', {}, '03-02', '03-04', 'K12: that day'],
    [
      'ground-beef',
      'bought 03-01, frozen 03-01, cooked 03-20, frozen 03-21',
      {},
      null,
      '07-06',
      'K2: a new lot, frozen anew',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawing 06-01',
      { thawHours: 40 },
      '06-04',
      '06-04',
      'K7: 40 h are 1 whole day, thawed 2 June, and 2 days from then',
    ],
    [
      'venison',
      'bought 03-01, frozen 03-01, thawing 06-01, thawed 06-01 fridge',
      { thawHours: 40 },
      '06-03',
      '06-03',
      'K7: the cook says thawed on 1 June, before the model does: whichever is first',
    ],
    [
      'egg-whites',
      'cooked 03-01, topped-up 03-02 03-02',
      {},
      '03-05',
      '03-03',
      'K11: the pot stays as old as its oldest content, 1 March: 4 and 2 days from then',
    ],
    [
      'egg-whites',
      'cooked 03-03, topped-up 03-03 03-01',
      {},
      '03-05',
      '03-03',
      'K11: older whites from 1 March go in, so 1 + 4 and 1 + 2 count, not 3 + 4',
    ],
    [
      'egg-whites',
      'cooked 03-01, frozen 03-01, topped-up 05-01 05-01',
      { wrap: 'tub' },
      null,
      '12-01',
      'K11: frozen; what is added in May would last longer, the oldest counts: 9 months from 1 March',
    ],
    [
      'bread',
      'bought 03-01, kept-out 03-01',
      {},
      null,
      '03-05',
      'K10: kept out by design from the day it came in: its own 4 counter days, not the fridge’s 7',
    ],
    [
      'apples',
      'bought 03-01, counter 03-08 9000, counter 03-15 9000, counter 03-18 4000',
      {},
      null,
      '03-18',
      'K10: 22,000 minutes are over the 14 days (20,160) it may stand out: look first from that day',
    ],
  ])('%s: %s', (id, history, conditions, useBy, bestBy) => {
    const keeping = judge(id, history, conditions);
    expect([keeping.useBy, keeping.bestBy]).toEqual([
      useBy === null ? null : `2027-${useBy}`,
      `2027-${bestBy}`,
    ]);
  });

  it.each([
    ['K4', 'milk', 'bought 03-01, opened 03-02, opened 03-03'],
    ['K5', 'ground-beef', 'bought 03-01, frozen 03-04'],
    ['K5', 'lettuce', 'bought 03-01, frozen 03-01'],
    ['K5', 'trout', 'bought 03-01, frozen 03-01, frozen 03-02'],
    ['K6', 'trout', 'bought 03-01, thawed 03-02 fridge'],
    ['K6', 'trout', 'bought 03-01, frozen 03-01, thawed 04-01 metal'],
    ['K7', 'trout', 'bought 03-01, thawing 03-02'],
    ['K8', 'trout', 'bought 03-01, refrozen 03-02'],
    ['K8', 'trout', 'bought 03-01, frozen 03-01, thawed 04-01 microwave, refrozen 04-01'],
    ['K8', 'venison', 'bought 03-01, frozen 03-01, thawed 04-01 fridge, refrozen 04-05'],
    ['K8', 'trout', 'bought 03-01, frozen 03-01, thawed 04-01 fridge, counter 04-01 121, refrozen 04-01'],
    ['K10', 'trout', 'bought 03-01, kept-out 03-01'],
    ['K10', 'bread', 'bought 03-01, frozen 03-01, kept-out 03-02'],
    ['K11', 'egg-whites', 'cooked 03-01, topped-up 03-06 03-06'],
    ['K11', 'egg-whites', 'cooked 03-04, topped-up 03-06 03-01'],
    ['K11', 'egg-whites', 'cooked 03-01, topped-up 03-02 03-03'],
    ['K11', 'egg-whites', 'cooked 03-01, frozen 03-01, thawed 04-01 fridge, topped-up 04-01 04-01'],
    ['K2', 'trout', 'frozen 03-01'],
    ['K2', 'trout', 'bought 03-02, frozen 03-01'],
    ['K2', 'trout', 'bought 03-01, bought 03-02'],
    ['K2', 'ground-beef', 'bought 03-01, cooked 03-09'],
  ])('refuses by %s: %s %s', (rule, id, history) => {
    expect(() => judge(id, history)).toThrow(expect.objectContaining({ rule }) as Error);
  });

  it('refuses what is still to come', () => {
    expect(() => judgeKeeping(food('trout'), told('bought 03-02'), '2027-03-01')).toThrow(Refusal);
  });
});

describe('how it stands on a day', () => {
  it.each([
    ['2027-02-28', 4, 'settled', 'eat'],
    ['2027-03-01', 3, 'soon', 'eat'],
    ['2027-03-04', 0, 'today', 'look-first'],
    ['2027-03-05', -1, 'past', 'discard'],
  ])('on %s: %i days, %s, %s', (today, daysLeft, band, verdict) => {
    const keeping = judgeKeeping(food('stew'), [{ did: 'cooked', on: '2027-02-28' }], LATER);
    expect(keepingOn(keeping, today)).toEqual({ daysLeft, band, verdict });
  });

  it('gives frozen food a month of notice', () => {
    const keeping = judge('trout', 'bought 03-01, frozen 03-01');
    expect(keepingOn(keeping, '2027-04-16').band).toBe('soon');
    expect(keepingOn(keeping, '2027-04-15').band).toBe('settled');
    expect(keepingOn(keeping, '2027-05-17')).toEqual({ daysLeft: -1, band: 'past', verdict: 'look-first' });
  });
});

describe('laws', () => {
  const anyFood = fc.constantFrom(...foods);
  const conditions = fc.record({
    wrap: fc.constantFrom(...WRAPS),
    blanched: fc.boolean(),
    fridgeC: fc.integer({ min: 0, max: 12 }),
    freezerC: fc.integer({ min: -24, max: -6 }),
    caution: fc.constantFrom('usual' as const, 'careful' as const),
    thawHours: fc.option(fc.integer({ min: 1, max: 120 })),
    printed: fc.option(
      fc.record({
        kind: fc.constantFrom(
          'use-by' as const,
          'best-before' as const,
          'sell-by' as const,
          'freeze-by' as const,
        ),
        date: fc.integer({ min: 0, max: 40 }).map((days) => addDays('2027-02-20', days)),
      }),
    ),
  });
  const step = fc.record({
    did: fc.constantFrom(...AFTERWARDS),
    after: fc.integer({ min: 0, max: 4 }),
    method: fc.constantFrom('fridge' as const, 'cold-water' as const, 'microwave' as const),
    c: fc.integer({ min: -20, max: 12 }),
    minutes: fc.integer({ min: 1, max: 100 }),
    full: fc.boolean(),
    age: fc.integer({ min: 0, max: 5 }),
  });

  /** A history that can happen: steps that a rule refuses are left out. */
  const case_ = fc.tuple(anyFood, conditions, fc.array(step, { maxLength: 7 })).map(([of, under, steps]) => {
    let on = '2027-02-25';
    let history: HistoryEvent[] = [{ did: 'bought', on }];
    for (const { did, after, age, ...more } of steps) {
      on = addDays(on, after);
      const next = [...history, { did, on, content: addDays(on, -age), ...more } as HistoryEvent];
      try {
        judgeKeeping(of, next, LATER, under);
        history = next;
      } catch {
        // refused: it cannot follow
      }
    }
    return { of, under, history, on };
  });
  const runs = { numRuns: 1000 };
  const tryWith = (
    given: { of: (typeof foods)[number]; under: KeepingConditions },
    history: HistoryEvent[],
  ) => {
    try {
      return judgeKeeping(given.of, history, LATER, given.under);
    } catch {
      return null;
    }
  };

  it('the trail, replayed, gives the date; every line goes on from the one before', () => {
    fc.assert(
      fc.property(case_, ({ of, under, history }) => {
        const { trail, governing } = judgeKeeping(of, history, LATER, under);
        trail.forEach((line, at) => expect(line.from).toBe(at === 0 ? null : trail[at - 1]?.to));
        expect(trail.at(-1)?.to).toBe(governing.date);
        expect(trail.every(({ says, source }) => says.length > 10 && source !== '')).toBe(true);
      }),
      runs,
    );
  });

  it('opening, warming, a finding, topping up or the counter never lengthens a date', () => {
    fc.assert(
      fc.property(
        case_,
        fc.constantFrom('opened', 'found-turning', 'found-bad', 'warmed', 'counter', 'topped-up'),
        (given, did) => {
          const before = judgeKeeping(given.of, given.history, LATER, given.under);
          const event = (
            did === 'warmed'
              ? { did: 'moved', on: given.on, c: before.celsius + 5 }
              : { did, on: given.on, minutes: 60, content: given.on }
          ) as HistoryEvent;
          const after = tryWith(given, [...given.history, event]);
          if (!after) return;
          expect(after.governing.date <= before.governing.date).toBe(true);
          if (before.useBy !== null) expect(after.useBy !== null && after.useBy <= before.useBy).toBe(true);
        },
      ),
      runs,
    );
  });

  it('a warmer fridge or freezer in the model never moves a date later', () => {
    fc.assert(
      fc.property(case_, fc.integer({ min: 1, max: 8 }), (given, warmer) => {
        const { fridgeC, freezerC } = given.under;
        const cold = tryWith(given, given.history);
        const warm = tryWith(
          {
            ...given,
            under: { ...given.under, fridgeC: fridgeC + warmer, freezerC: Math.min(-3, freezerC + warmer) },
          },
          given.history,
        );
        // Once a step moved it, the zone told of counts, not the household's usual one.
        if (!cold || !warm || given.history.some(({ did }) => did === 'moved')) return;
        expect(warm.governing.date <= cold.governing.date).toBe(true);
      }),
      runs,
    );
  });

  it('a thaw never outlasts its published days from when it is thawed by the model', () => {
    fc.assert(
      fc.property(case_, (given) => {
        const frozen = judgeKeeping(given.of, given.history, LATER, given.under);
        if (frozen.state !== 'frozen' || !given.of.controlled) return;
        const thawing = tryWith(given, [...given.history, { did: 'thawing', on: given.on }]);
        const days = (given.of.thawedDays ?? 1) + Math.floor((given.under.thawHours ?? 0) / 24);
        expect((thawing?.useBy ?? '9999') <= addDays(given.on, days)).toBe(true);
      }),
      runs,
    );
  });

  it('days left fall by one a day and the band follows, over month, year and leap borders', () => {
    fc.assert(
      fc.property(
        case_,
        fc.constantFrom('2027-12-31', '2028-02-28', '2028-02-29', '2028-03-01', '2027-04-30', '2100-02-28'),
        fc.integer({ min: -40, max: 40 }),
        ({ of, under, history }, border, off) => {
          const keeping = judgeKeeping(of, history, LATER, under);
          const moved = { ...keeping, governing: { ...keeping.governing, date: addDays(border, off) } };
          const today = keepingOn(moved, border);
          const tomorrow = keepingOn(moved, addDays(border, 1));
          expect(today.daysLeft).toBe(off);
          expect(tomorrow.daysLeft).toBe(off - 1);
          const soon = keeping.state === 'frozen' ? 30 : 3;
          const band = off < 0 ? 'past' : off === 0 ? 'today' : off <= soon ? 'soon' : 'settled';
          expect(today.band).toBe(band);
        },
      ),
      runs,
    );
  });

  it('freezing and thawing never gains chilled days', () => {
    fc.assert(
      fc.property(case_, fc.integer({ min: 0, max: 90 }), (given, frozenDays) => {
        const before = judgeKeeping(given.of, given.history, LATER, given.under);
        if (before.state !== 'chilled' || before.useBy === null || !given.of.controlled) return;
        const woken = addDays(given.on, frozenDays);
        const after = tryWith(given, [
          ...given.history,
          { did: 'frozen', on: given.on },
          { did: 'thawed', on: woken, method: 'fridge' },
        ]);
        if (after)
          expect(after.useBy !== null && after.useBy <= addDays(before.useBy, frozenDays)).toBe(true);
      }),
      runs,
    );
  });

  it('careful is never later than usual', () => {
    fc.assert(
      fc.property(case_, (given) => {
        const usual = tryWith({ ...given, under: { ...given.under, caution: 'usual' } }, given.history);
        const careful = tryWith({ ...given, under: { ...given.under, caution: 'careful' } }, given.history);
        if (usual && careful) expect(careful.governing.date <= usual.governing.date).toBe(true);
      }),
      runs,
    );
  });
});
