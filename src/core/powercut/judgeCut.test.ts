import fc from 'fast-check';
import { food, outageClass } from '../../../tests/fixtures/reference';
import { type Cut, type CutPart, type CutReading, USUAL_ROOM_C } from '../model/cut';
import { cutFacts } from './cutFacts';
import { type CutKitchen, type CutPackage, cutThing } from './cutThing';
import { type CutThing, type CutVerdict, judgeCut } from './judgeCut';
import { judgeOutage } from './judgeOutage';
import { FROM_MILD } from './stricter';

const BEGUN = Date.parse('2026-11-20T12:00:00.000Z');
const at = (hours: number): string => new Date(BEGUN + hours * 3_600_000).toISOString();
const part = (id: string, kind: CutPart['kind'], more: Partial<CutPart> = {}): CutPart => ({
  ...{ id, called: id, kind, drawn: true, fill: 0.5, doors: 'shut', telltale: 'none' },
  ...{ roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 },
  ...more,
});
const FRIDGE = part('fridge', 'fridge');
const CHEST = part('chest', 'freezer');
const cut = (from: number, until: number | null, more: Partial<Cut> = {}): Cut => ({
  ...{ id: `cut-${from}`, from: at(from), until: until === null ? null : at(until), closedAt: null },
  parts: [FRIDGE, CHEST],
  ...more,
});
const reading = (where: string, hour: number, c: number): CutReading => ({
  ...{ id: `${where} ${hour}`, cut: 'any', part: where, at: at(hour), c },
});
const thing = (of: string, more: Partial<CutThing> = {}): CutThing => {
  const { name, outageClass: its } = food(of);
  return {
    ...{ id: of, food: { name }, outageClass: outageClass(its), seen: {}, past: null },
    stays: [{ part: 'fridge', from: null, until: null }],
    ...more,
  };
};
function judge(
  shown: Cut,
  things: CutThing[],
  { cuts = [shown], readings = [], now = 400 }: { cuts?: Cut[]; readings?: CutReading[]; now?: number } = {},
): CutVerdict[] {
  const its = readings.map((one) => (one.cut === 'any' ? { ...one, cut: shown.id } : one));
  return judgeCut(cutFacts(shown, { cuts, readings: its, openings: [] }), things, at(now));
}
const only = (verdicts: CutVerdict[]): CutVerdict => {
  expect(verdicts).toHaveLength(1);
  return verdicts[0] as CutVerdict;
};

describe('the ledger’s times count', () => {
  it('what came in after the power was back is not judged, nor what left before it went', () => {
    const long = cut(0, 9);
    const later = thing('trout', { stays: [{ part: 'fridge', from: at(9.1), until: null }] });
    const before = thing('trout', { stays: [{ part: 'fridge', from: null, until: at(-0.1) }] });
    const counter = thing('trout', { stays: [{ part: null, from: null, until: null }] });
    expect(judge(long, [later, before, counter])).toEqual([]);
  });

  it('what came in while it was dead has the hours of the place (O11)', () => {
    const late = thing('trout', { stays: [{ part: 'fridge', from: at(6), until: null }] });
    expect(only(judge(cut(0, 9), [late])).verdict).toBe('discard');
    expect(
      only(judge(cut(0, 3), [{ ...late, stays: [{ part: 'fridge', from: at(2), until: null }] }])).verdict,
    ).toBe('keep');
    expect(only(judge(cut(0, 9), [thing('trout')])).verdict).toBe('discard');
  });

  const packed = {
    ...{ id: 'p', foodId: 'trout', called: 'Trout', zoneId: 'drawer', openedOn: null },
    ...{ useBy: null, bestBy: '2099-01-01', condemned: false },
  };
  const kitchen: CutKitchen = {
    ...{ movesOf: () => [], dayOf: (instant) => instant.slice(0, 10), toCook: () => false },
    ...{
      classOf: (id) => food(id).outageClass,
      outageClass,
      partOfZone: () => 'fridge',
      today: '2026-11-20',
    },
  };
  const known = (of: Partial<CutPackage>, how: Partial<CutKitchen> = {}): CutThing =>
    cutThing({ ...packed, ...of }, null, { ...kitchen, ...how }) as CutThing;

  it('from one shelf to another of the same fridge it went nowhere', () => {
    const place = (zone: string) => ({ here: true, zone });
    const moves = [{ at: at(1), from: place('shelf'), to: place('drawer') }];
    const readings = [reading('fridge', 0.2, 3), reading('fridge', 8.9, 3.5)];
    expect(only(judge(cut(0, 9), [known({}, { movesOf: () => moves })], { readings })).verdict).toBe('keep');
  });

  it('what is past its own date is never kept, cut or no cut', () => {
    const of = (useBy: string | null) => known({ foodId: 'hard-cheese', bestBy: '2026-11-19', useBy });
    expect(only(judge(cut(0, 1), [of(null)])).verdict).toBe('check');
    expect(only(judge(cut(0, 1), [of('2026-11-19')])).verdict).toBe('discard');
  });
});

it('a reading of another cut, long before, does not tell how cold this one began', () => {
  const [old, now] = [cut(0, 2), cut(200, 210)] as [Cut, Cut];
  const before = { ...reading('fridge', 1, 3), cut: old.id };
  const told = { cuts: [old, now], readings: [before, reading('fridge', 209, 3)] };
  expect(only(judge(now, [thing('trout')], told)).verdict).toBe('discard');
});

describe('stretches add up', () => {
  const threeAndThree = [cut(0, 3), cut(20, 23)];
  it('the next day’s cut begins from what the first did', () => {
    const [first, second] = threeAndThree as [Cut, Cut];
    expect(only(judge(first, [thing('trout')], { cuts: threeAndThree })).verdict).toBe('keep');
    const verdict = only(judge(second, [thing('trout')], { cuts: threeAndThree }));
    expect([verdict.verdict, verdict.evidence]).toEqual(['discard', expect.stringContaining('added up')]);
    const bought = thing('trout', { stays: [{ part: 'fridge', from: at(10), until: null }] });
    expect(only(judge(second, [bought], { cuts: threeAndThree })).verdict).toBe('keep');
    expect(only(judge(cut(60, 63), [thing('trout')], { cuts: [first, cut(60, 63)] })).verdict).toBe('keep');
  });

  it('warm hours of both add up by their readings', () => {
    const [first, second] = threeAndThree as [Cut, Cut];
    const readings = [
      ...[
        reading('fridge', 0, 3),
        reading('fridge', 1, 3),
        reading('fridge', 1.5, 6),
        reading('fridge', 3, 6),
      ],
      ...[reading('fridge', 20, 3), reading('fridge', 23, 3)],
    ];
    expect(only(judge(first, [thing('trout')], { readings })).verdict).toBe('eat-soon');
    expect(only(judge(second, [thing('trout')], { cuts: threeAndThree, readings })).verdict).toBe('eat-soon');
    const warm = [...readings, reading('fridge', 22, 6), reading('fridge', 22.9, 6)];
    expect(only(judge(second, [thing('trout')], { cuts: threeAndThree, readings: warm })).verdict).toBe(
      'discard',
    );
  });

  it('a cool box has its own readings, and what was warm before counts on', () => {
    const box = part('box', 'fridge', { drawn: false });
    const shown = cut(0, 10, { parts: [FRIDGE, CHEST, box] });
    const moved = thing('trout', {
      stays: [
        { part: 'fridge', from: null, until: at(2) },
        { part: 'box', from: at(2), until: null },
      ],
    });
    const air = [reading('fridge', 0, 3), reading('fridge', 1.9, 3.4)];
    const cold = [...air, reading('box', 2.1, 2), reading('box', 9.9, 3)];
    expect(only(judge(shown, [moved], { readings: cold, now: 10 })).verdict).toBe('keep');
    expect(only(judge(shown, [moved], { readings: [] })).verdict).toBe('discard');
    const warm = [...air, reading('box', 2.1, 7), reading('box', 9.9, 7)];
    expect(only(judge(shown, [moved], { readings: warm, now: 10 })).verdict).toBe('discard');
  });

  it('one that lay in a fridge and a freezer takes the stricter of both', () => {
    const moved = thing('trout', {
      stays: [
        { part: 'fridge', from: null, until: at(5) },
        { part: 'chest', from: at(5), until: null },
      ],
    });
    expect(only(judge(cut(0, 6), [moved])).verdict).toBe('discard');
  });
});

describe('laws', () => {
  const hours = fc.integer({ min: 1, max: 400 }).map((tenths) => tenths / 10);
  const celsius = fc.integer({ min: -200, max: 150 }).map((tenths) => tenths / 10);
  const foods = fc.constantFrom(
    'trout',
    'milk',
    'hard-cheese',
    'mayonnaise',
    'frozen-vegetables',
    'ice-cream',
  );
  const where = fc.constantFrom('fridge', 'chest');
  const readings = (place: string, length: number) =>
    fc
      .array(fc.record({ share: fc.integer({ min: 0, max: 100 }), c: celsius }), { maxLength: 5 })
      .map((all) =>
        all.map(({ share, c }, nth) => ({ ...reading(place, (length * share) / 100, c), id: String(nth) })),
      );
  const rank = (verdict: CutVerdict): number => FROM_MILD.indexOf(verdict.verdict);

  it('one cut of one place is judged as ever', () => {
    fc.assert(
      fc.property(foods, where, hours, fc.infiniteStream(celsius), (of, place, length, some) => {
        const read = [0, length / 2, length].map((hour) => reading(place, hour, some.next().value as number));
        const its = thing(of, { stays: [{ part: place, from: null, until: null }] });
        const shown = cut(0, length);
        const { id, kind, fill, doors, telltale } = place === 'fridge' ? FRIDGE : CHEST;
        const appliance = {
          id,
          kind,
          fill,
          doors,
          telltale,
          from: shown.from,
          until: shown.until,
          readings: read,
        };
        const [told] = judgeOutage([appliance], [{ ...its, cannotCheck: false, appliance: id }], at(400));
        expect(only(judge(shown, [its], { readings: read }))).toMatchObject(told as object);
      }),
    );
  });

  it('an earlier cut in a row never makes a verdict milder; nor does a longer one by the clock', () => {
    fc.assert(
      fc.property(
        foods,
        where,
        fc.integer({ min: 1, max: 60 }).map((tenths) => tenths / 10),
        fc.integer({ min: 1, max: 60 }).map((tenths) => tenths / 10),
        fc.boolean(),
        fc.infiniteStream(celsius),
        (of, place, first, second, read, some) => {
          const both = [cut(0, first), cut(first + 2, first + 2 + second)] as [Cut, Cut];
          const its = thing(of, { stays: [{ part: place, from: null, until: null }] });
          const told = read
            ? both.flatMap(({ from, until }) =>
                [from, until ?? from].map((instant) => ({
                  ...reading(place, 0, some.next().value as number),
                  at: instant,
                })),
              )
            : [];
          const alone = told.filter((one) => one.at >= both[1].from);
          const single = only(judge(both[1], [its], { readings: alone }));
          expect(rank(only(judge(both[1], [its], { cuts: both, readings: told })))).toBeGreaterThanOrEqual(
            rank(single),
          );
          const longer = cut(first + 2, first + 2 + second + 3);
          expect(rank(only(judge(longer, [its])))).toBeGreaterThanOrEqual(rank(only(judge(both[1], [its]))));
        },
      ),
    );
  });

  it('a reading after the cut changes nothing, and says so to nobody’s gain', () => {
    fc.assert(
      fc.property(foods, where, hours, celsius, (of, place, length, c) => {
        const its = thing(of, { stays: [{ part: place, from: null, until: null }] });
        const shown = cut(0, length);
        const late = only(judge(shown, [its], { readings: [reading(place, length + 0.1, c)] }));
        expect(late.verdict).toBe(only(judge(shown, [its])).verdict);
      }),
    );
  });

  it('what would change a verdict is told where evidence can, and never for what is soiled or past', () => {
    fc.assert(
      fc.property(
        foods,
        where,
        hours.chain((length) =>
          fc.tuple(fc.constant(length), readings('fridge', length), readings('chest', length)),
        ),
        fc.boolean(),
        (of, place, [length, fridge, chest], slime) => {
          const its = thing(of, {
            stays: [{ part: place, from: null, until: null }],
            seen: slime ? { slime: true } : {},
          });
          const verdict = only(judge(cut(0, length), [its], { readings: [...fridge, ...chest] }));
          if (slime) expect([verdict.rule, verdict.wants]).toEqual(['O6', []]);
          else if (verdict.verdict === 'check') expect(verdict.wants[0]).toMatch(/ice crystals/);
        },
      ),
    );
  });
});
