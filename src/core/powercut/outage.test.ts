import fc from 'fast-check';
import { classes, outageClass } from '../../../tests/fixtures/reference';
import { Refusal } from '../model/refusal';
import { airDuringCut, coversCut, cutTimes, hoursAbove } from './airDuringCut';
import { judgeOutage } from './judgeOutage';
import { isControlled, type OutageVerdict } from '../model/outageClass';
import type { CutAppliance } from './powerCut';
import type { Seen } from '../model/cut';
import { publishedLimitHours } from './publishedLimit';

const FROM = Date.parse('2027-01-05T06:00:00Z');
const at = (hours: number): string => new Date(FROM + hours * 3_600_000).toISOString();

const cut = (kind: 'fridge' | 'freezer', hours: number, more: Partial<CutAppliance> = {}): CutAppliance => ({
  id: 'a',
  kind,
  fill: 1,
  from: at(0),
  until: at(hours),
  doors: 'shut',
  readings: [],
  telltale: 'none',
  ...more,
});

const readings = (...points: [number, number][]) => points.map(([h, c]) => ({ at: at(h), c }));

function judge(classId: string, appliance: CutAppliance, seen: Seen = {}, cannotCheck = false) {
  const item = {
    id: '1',
    appliance: 'a',
    food: { name: 'x' },
    outageClass: outageClass(classId),
    seen,
    cannotCheck,
  };
  const [verdict] = judgeOutage([appliance], [item], at(300));
  if (!verdict) throw new Error('no verdict');
  return verdict;
}

const said = (classId: string, appliance: CutAppliance, seen?: Seen, cannotCheck?: boolean) => {
  const { verdict, rule } = judge(classId, appliance, seen, cannotCheck);
  return `${verdict} ${rule}`;
};

describe('the published limit', () => {
  it.each([
    ['fridge', 0.5, 'shut', 4],
    ['fridge', 0.5, 'opened', 2],
    ['freezer', 1, 'shut', 48],
    ['freezer', 0.75, 'shut', 36],
    ['freezer', 0.5, 'shut', 24],
    ['freezer', 0.25, 'shut', 12],
    ['freezer', 1, 'unknown', 24],
  ] as const)('%s, %d full, doors %s: %d h', (kind, fill, doors, hours) => {
    expect(publishedLimitHours({ kind, fill, doors })).toBe(hours);
  });
});

describe('every class of the table', () => {
  it.each([...classes.values()].map((row) => [row.id, row] as const))('%s', (id, row) => {
    // The clock alone in the fridge: at the published limit controlled food is out, the 10 °C class 8 h later.
    const afterLimit = isControlled(row) ? 4 : row.fridgeVerdict === 'discard' ? 12 : Infinity;
    expect(judge(id, cut('fridge', 3.9)).verdict).toBe('keep');
    expect(judge(id, cut('fridge', Math.min(afterLimit, 200))).verdict).toBe(
      afterLimit === Infinity ? 'keep' : 'discard',
    );
    // Read at 12 °C throughout: the class limit decides.
    const warm = cut('fridge', 20, { readings: readings([-1, 12], [18, 12]) });
    expect(judge(id, warm).verdict).toBe(row.fridgeVerdict);
    // The freezer: icy and thawed verdicts of the table, a proof of few hours turns discard into cook now.
    const long = cut('freezer', 60);
    expect(said(id, long, { iceCrystals: true })).toBe(`${row.freezerIcyVerdict} O3`);
    expect(said(id, long, { iceCrystals: false })).toBe(`${row.freezerThawedVerdict} O3`);
    expect(said(id, long, {}, true)).toBe(`${row.freezerThawedVerdict} O4b`);
    const limit = row.freezerThawedLimitHours;
    const brief = cut('freezer', 40, { readings: readings([0, -18], [39, 4.2], [40, 5]) });
    // Where even an icy one is thrown out there is nothing to cook.
    const cooked = limit !== null && row.freezerIcyVerdict !== 'discard';
    expect(judge(id, brief).verdict).toBe(cooked ? 'cook-now' : row.freezerThawedVerdict);
    for (const verdict of [judge(id, warm), judge(id, long, {}, true), judge(id, brief)]) {
      expect(verdict.evidence.length).toBeGreaterThan(10);
      expect(verdict.source).not.toBe('');
      expect(['measured', 'published', 'assumed']).toContain(verdict.certainty);
    }
  });
});

describe('what beats what', () => {
  const meat = 'raw-meat';
  it.each<[string, CutAppliance, Seen, string]>([
    ['slime beats ice crystals', cut('freezer', 1), { slime: true, iceCrystals: true }, 'discard O6'],
    ['mould on meat is never cut away', cut('freezer', 1), { mould: true, iceCrystals: true }, 'discard O6'],
    [
      'a sunken coin beats ice crystals',
      cut('freezer', 1, { telltale: 'one-block' }),
      { iceCrystals: true },
      'discard O5a',
    ],
    [
      'cold readings clear a sunken coin',
      cut('freezer', 8, { telltale: 'one-block', readings: readings([0, -18], [7, -5]) }),
      {},
      'refreeze O5a',
    ],
    [
      'the item beats the readings',
      cut('freezer', 8, { readings: readings([0, -18], [8, 9]) }),
      { measuredC: 1 },
      'refreeze O3',
    ],
    [
      'readings beat the telltale',
      cut('freezer', 60, { telltale: 'loose', readings: readings([0, -18], [50, 8]) }),
      {},
      'discard O4a',
    ],
    [
      'hard-frozen readings keep',
      cut('freezer', 60, { readings: readings([0, -18], [58, -4]) }),
      {},
      'keep O4a',
    ],
    ['loose cubes keep whatever the hours', cut('freezer', 90, { telltale: 'loose' }), {}, 'keep O5b'],
    ['rounded cubes: as icy', cut('freezer', 90, { telltale: 'rounded' }), {}, 'refreeze O5b'],
    ['water: as thawed', cut('freezer', 1, { telltale: 'water' }), {}, 'discard O5b'],
    ['less than half the limit keeps', cut('freezer', 23), {}, 'keep O4b'],
    ['from half the limit: look', cut('freezer', 24), {}, 'check O4b'],
    ['past the limit: look', cut('freezer', 49), {}, 'check O4b'],
    [
      'readings that leave the end open prove nothing',
      cut('freezer', 20, { readings: readings([0, -18], [10, 8]) }),
      {},
      'keep O4b',
    ],
  ])('%s', (_what, appliance, seen, expected) => {
    expect(said(meat, appliance, seen)).toBe(expected);
  });

  it.each<[string, string, CutAppliance, Seen, string]>([
    [
      'read above 4.4 for under two hours',
      'raw-meat',
      cut('fridge', 6, { readings: readings([0, 3], [5, 4.4], [6, 6]) }),
      {},
      'eat-soon O1',
    ],
    [
      'read cold throughout a long cut',
      'milk-cream',
      cut('fridge', 9, { readings: readings([0, 2], [9, 4]) }),
      {},
      'keep O1',
    ],
    [
      'warm for exactly the limit',
      'raw-meat',
      cut('fridge', 2, { readings: readings([0, 8], [2, 8]) }),
      {},
      'discard O1',
    ],
    [
      'mayonnaise below 10 °C',
      'mayonnaise-horseradish',
      cut('fridge', 12, { readings: readings([0, 5], [12, 9]) }),
      {},
      'keep O1',
    ],
    ['an item measured warm, hours unknown', 'raw-meat', cut('fridge', 1), { measuredC: 7 }, 'discard O1'],
    [
      'the air cold, the item warm',
      'raw-meat',
      cut('fridge', 2, { readings: readings([0, 3], [2, 3]) }),
      { measuredC: 7 },
      'discard O1',
    ],
    ['hard cheese measured warm', 'hard-cheese', cut('fridge', 9), { measuredC: 9 }, 'keep O2'],
    ['no readings, doors opened', 'raw-meat', cut('fridge', 2, { doors: 'opened' }), {}, 'discard O2'],
  ])('fridge: %s', (_what, classId, appliance, seen, expected) => {
    expect(said(classId, appliance, seen)).toBe(expected);
  });

  it('says where doubt lies and refuses impossible times', () => {
    expect(judge('raw-meat', cut('freezer', 60), {}, true).certainty).toBe('assumed');
    expect(() => judge('raw-meat', cut('fridge', -1))).toThrow(Refusal);
    expect(() => judge('raw-meat', cut('fridge', 400))).toThrow(Refusal);
  });
});

describe('the air between readings', () => {
  it('is straight lines from the last reading before the cut, and warms on after the last one', () => {
    const appliance = cut('fridge', 4, { readings: readings([-2, 3], [-1, 5], [3.5, 6]) });
    const points = airDuringCut(appliance, cutTimes(appliance, at(9)));
    expect(points.slice(0, 2)).toEqual([
      { h: 0, c: 5 },
      { h: 3.5, c: 6 },
    ]);
    expect(points.at(-1)?.h).toBe(4);
    expect(points.at(-1)?.c).toBeGreaterThan(6.4);
    expect(hoursAbove(points, 4.4)).toBe(4);
    expect(hoursAbove(points, 5.5)).toBeCloseTo(2.25, 6);
  });

  it('covers a cut from its first quarter to its last, and not short of that', () => {
    const times = cutTimes(cut('fridge', 8), at(9));
    expect(coversCut(readings([2, 4], [6, 4]), times)).toBe(true);
    expect(coversCut(readings([2.1, 4], [6, 4]), times)).toBe(false);
    expect(coversCut(readings([-5, 4], [5.9, 4]), times)).toBe(false);
    expect(coversCut(readings([-5, 4], [8.1, 4]), times)).toBe(false);
  });
});

describe('paths around the verdict', () => {
  it('a reading after the power came back, or still to come, counts for nothing, and is named', () => {
    const chicken = cut('fridge', 12, { readings: readings([0, 3], [9, 4.3]) });
    expect(said('raw-poultry', chicken)).toBe('discard O1');
    const late = { ...chicken, readings: readings([0, 3], [9, 4.3], [22, 3], [400, 3]) };
    expect(judge('raw-poultry', late)).toMatchObject({
      verdict: 'discard',
      evidence: expect.stringContaining('2 readings after the end of the cut count for nothing'),
    });
    const alone = cut('fridge', 12, { readings: readings([22, 3]) });
    expect(said('raw-poultry', alone)).toBe('discard O2');
    expect(said('raw-poultry', cut('freezer', 40, { readings: readings([50, -18]) }))).toBe('check O4b');
  });

  it('an item measured warm while its air read cold: one of them is wrong, and doubt means the worse', () => {
    const cold = cut('freezer', 30, { readings: readings([0, -18], [30, 2]) });
    const verdict = judge('raw-poultry', cold, { measuredC: 9 });
    expect([verdict.verdict, verdict.evidence]).toEqual([
      'discard',
      expect.stringContaining('one of them is wrong'),
    ]);
    expect(
      judge('raw-poultry', cut('freezer', 30, { readings: readings([0, -18], [29, 4.4], [30, 6]) }), {
        measuredC: 9,
      }).verdict,
    ).toBe('cook-now');
    const fridge = cut('fridge', 4, { readings: readings([0, 3], [4, 4]) });
    expect(judge('raw-poultry', fridge, { measuredC: 9 })).toMatchObject({ verdict: 'discard', rule: 'O1' });
    expect(judge('hard-cheese', fridge, { measuredC: 9 }).verdict).toBe('keep');
  });

  it.each([
    ['fridge', 4 - 1 / 60, 'discard O2'],
    ['fridge', 4 - 2 / 60, 'keep O2'],
    ['freezer', 24 - 1 / 60, 'check O4b'],
    ['freezer', 24 - 2 / 60, 'keep O4b'],
  ] as const)('%s, %d h: a limit counts as reached a minute early: %s', (kind, hours, verdict) => {
    expect(said('raw-meat', cut(kind, hours))).toBe(verdict);
  });

  it('two hours above 4.4 °C less a minute are two hours; cook now wants more than a minute to spare', () => {
    const warm = (minutes: number) =>
      cut('fridge', minutes / 60, { readings: readings([0, 9], [minutes / 60, 9]) });
    expect(said('raw-meat', warm(119))).toBe('discard O1');
    expect(said('raw-meat', warm(118))).toBe('eat-soon O1');
    const thawed = (minutes: number) =>
      cut('freezer', minutes / 60, { readings: readings([0, 9], [minutes / 60, 9]) });
    expect(said('raw-meat', thawed(119))).toBe('discard O4a');
    expect(said('raw-meat', thawed(118))).toBe('cook-now O4a');
  });
});

describe('laws', () => {
  const anyClass = fc.constantFrom(...classes.keys());
  /** Gentle first. A longer or warmer cut never leads to a gentler one. */
  const SEVERITY: OutageVerdict[] = [
    'keep',
    'eat-soon',
    'check',
    'refreeze',
    'refreeze-quality-loss',
    'cook-now',
    'discard',
  ];
  const severity = (classId: string, appliance: CutAppliance) =>
    SEVERITY.indexOf(judge(classId, appliance).verdict);

  it('a longer cut, opened doors or an emptier freezer never make a verdict gentler', () => {
    fc.assert(
      fc.property(
        anyClass,
        fc.constantFrom('fridge' as const, 'freezer' as const),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (id, kind, hours, more, fill) => {
          const least = severity(id, cut(kind, hours, { fill }));
          expect(severity(id, cut(kind, hours + more, { fill }))).toBeGreaterThanOrEqual(least);
          expect(severity(id, cut(kind, hours, { fill, doors: 'unknown' }))).toBeGreaterThanOrEqual(least);
          expect(severity(id, cut(kind, hours, { fill: fill / 2 }))).toBeGreaterThanOrEqual(least);
        },
      ),
      { numRuns: 1000 },
    );
  });

  it('warmer readings never make a verdict gentler', () => {
    const temperatures = fc.array(fc.double({ min: -20, max: 15, noNaN: true }), {
      minLength: 3,
      maxLength: 6,
    });
    fc.assert(
      fc.property(
        anyClass,
        fc.constantFrom('fridge' as const, 'freezer' as const),
        temperatures,
        fc.double({ min: 0, max: 8, noNaN: true }),
        (id, kind, told, warmer) => {
          const over = (add: number) =>
            cut(kind, 10, {
              readings: told.map((c, nth) => ({ at: at((10 * nth) / (told.length - 1)), c: c + add })),
            });
          expect(severity(id, over(warmer))).toBeGreaterThanOrEqual(severity(id, over(0)));
        },
      ),
      { numRuns: 1000 },
    );
  });
});
