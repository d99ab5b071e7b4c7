import fc from 'fast-check';
import { newAppliance } from '../kitchen/newAppliance';
import { addZone } from '../kitchen/addZone';
import { changeZone, zoneIn } from '../kitchen/changeZone';
import { liftsTo } from '../kitchen/liftsTo';
import { bestMix } from './bestMix';
import { checkContainer } from './checkContainer';
import { type Container } from '../model/container';
import { fitContainer, type FitZone, mayStandOn, whyNot } from './fit';

const TUB: Container = {
  id: 't',
  name: 'Tub',
  outerMm: [140, 110, 60],
  innerMm: [134, 104, 54],
  litres: 0.5,
  lid: true,
  leakproof: true,
  rigid: true,
  count: 99,
};
const JAR: Container = {
  ...TUB,
  id: 'j',
  name: 'Jar',
  outerMm: [85, 85, 135],
  innerMm: [78, 78, 125],
  litres: 0.5,
  leakproof: false,
};
const BAG: Container = {
  ...TUB,
  id: 'b',
  name: 'Flat bag',
  outerMm: [200, 180, 25],
  innerMm: [198, 178, 23],
  litres: 0.8,
  rigid: false,
};
const BOWL: Container = {
  ...TUB,
  id: 'w',
  name: 'Bowl',
  outerMm: [200, 200, 90],
  innerMm: [190, 190, 80],
  litres: 2,
  lid: false,
  leakproof: false,
};
const zone = (kind: FitZone['kind'], widthMm: number, heightMm: number, depthMm: number): FitZone => ({
  kind,
  widthMm,
  heightMm,
  depthMm,
});

describe('the fit table agrees with the hand, case by case', () => {
  // [case, zone, container, pose, across, deep, high, total]
  it.each([
    [
      '1 shelf 480 × 180 × 250: (480−40)/140 = 3, 250/110 = 2, (180−40)/60 = 2',
      zone('shelf', 480, 180, 250),
      TUB,
      'standing',
      3,
      2,
      2,
      12,
    ],
    [
      '2 deeper, the other way round wins: 440/110 = 4, 300/140 = 2, 2 high; 16 before 12',
      zone('shelf', 480, 180, 300),
      TUB,
      'standing',
      4,
      2,
      2,
      16,
    ],
    [
      '3 a drawer is reached from above: 180/60 = 3 high',
      zone('drawer', 480, 180, 250),
      TUB,
      'standing',
      3,
      2,
      3,
      18,
    ],
    [
      '4 the hand above costs the only layer: (99−40)/60 = 0',
      zone('shelf', 480, 99, 250),
      TUB,
      null,
      0,
      0,
      0,
      0,
    ],
    [
      '5 one millimetre more and it goes: (100−40)/60 = 1',
      zone('shelf', 480, 100, 250),
      TUB,
      'standing',
      3,
      2,
      1,
      6,
    ],
    [
      '6 the hand beside turns it: (179−40)/140 = 0, 139/110 = 1',
      zone('drawer', 179, 60, 150),
      TUB,
      'standing',
      1,
      1,
      1,
      1,
    ],
    [
      '7 jars: (400−40)/85 = 4, 300/85 = 3, 135 in 175−40',
      zone('shelf', 400, 175, 300),
      JAR,
      'standing',
      4,
      3,
      1,
      12,
    ],
    ['8 a door rack 70 deep takes no jar of 85', zone('door', 480, 190, 70), JAR, null, 0, 0, 0, 0],
    [
      '9 filed bags need no hand beside: 440/200 = 2, 330/25 = 13; 26 before 17 and 14',
      zone('drawer', 440, 180, 330),
      BAG,
      'filed',
      2,
      13,
      1,
      26,
    ],
    [
      '10 too low to file: 440/200 = 2, 330/180 = 1, 140/25 = 5',
      zone('drawer', 440, 140, 330),
      BAG,
      'standing',
      2,
      1,
      5,
      10,
    ],
    [
      '11 nothing stands on a bowl without a lid: 460/200 = 2, 420/200 = 2, one high',
      zone('shelf', 500, 400, 420),
      BOWL,
      'standing',
      2,
      2,
      1,
      4,
    ],
    ['12 no more than there are', zone('shelf', 480, 180, 250), { ...TUB, count: 5 }, 'standing', 3, 2, 2, 5],
    [
      '13 a chest layer 540 × 130 × 400 from above: 500/140 = 3, 400/110 = 3, 130/60 = 2',
      zone('layer', 540, 130, 400),
      TUB,
      'standing',
      3,
      3,
      2,
      18,
    ],
  ] as const)('%s', (_, there, container, pose, across, deep, high, total) => {
    const [best] = fitContainer(there, container);
    expect(best ? [best.pose, best.across, best.deep, best.high, best.total] : [null, 0, 0, 0, 0]).toEqual([
      pose,
      across,
      deep,
      high,
      total,
    ]);
    if (!best) expect(whyNot(there, container)).toMatch(new RegExp(`^${container.name} .*\\d+ mm`));
  });

  it('14 lifts: a layer under two baskets costs two, under one of them one, the basket none', () => {
    let count = 0;
    let chest = {
      ...newAppliance('chest', 'Chest', 'Shed', () => `c${count++}`),
      zones: [] as never[],
    } as ReturnType<typeof newAppliance>;
    const into = { compartment: chest.compartments[0]?.id ?? '', side: 'body' as const };
    for (const id of ['left', 'right']) chest = addZone(chest, 'basket', into, id);
    chest = addZone(chest, 'layer', into, 'whole');
    chest = changeZone(chest, 'whole', {
      yMm: 200,
      widthMm: 840,
      heightMm: 200,
      depthMm: 420,
      xMm: 0,
      zMm: 0,
    });
    chest = addZone(chest, 'basket', into, 'deep');
    chest = changeZone(chest, 'deep', { xMm: 0, yMm: 400, zMm: 0, widthMm: 240, heightMm: 200 });
    expect(['left', 'whole', 'deep'].map((id) => liftsTo(zoneIn(chest, id), chest))).toEqual([0, 2, 2]);
    const shifted = changeZone(chest, 'whole', { xMm: 240, widthMm: 600 });
    expect(['whole', 'deep'].map((id) => liftsTo(zoneIn(shifted, id), shifted))).toEqual([1, 1]);
  });

  it('15 the best mix of 480 − 40 = 440 mm: a long box and a tub fill what neither fills alone', () => {
    const there = zone('shelf', 480, 100, 140);
    // One deep, one high: 440 = 110 × 4 of the short way (each 140 deep).
    expect(bestMix(there, [TUB]).litres).toBeCloseTo(2);
    const wide = {
      ...TUB,
      id: 'x',
      name: 'Long box',
      outerMm: [330, 130, 60],
      innerMm: [324, 124, 54],
      litres: 1.9,
    } as Container;
    // 330 of the box and 110 of a tub: 1.9 + 0.5.
    const mix = bestMix(there, [{ ...TUB, count: 3 }, wide]);
    expect(mix.columns.map(({ container, total }) => [container.name, total])).toEqual([
      ['Tub', 1],
      ['Long box', 1],
    ]);
    expect(mix.litres).toBeCloseTo(2.4);
    expect(mix.share).toBeCloseTo(2.4 / (0.48 * 0.1 * 0.14 * 1000));
  });
});

it('says what may stand on what', () => {
  const big = {
    ...TUB,
    name: 'Box',
    outerMm: [220, 220, 110],
    innerMm: [212, 212, 102],
    litres: 4,
  } as Container;
  expect(mayStandOn(TUB, big).may).toBe(true);
  expect(mayStandOn(big, TUB)).toEqual({ may: false, says: 'Box is wider than Tub' });
  expect(mayStandOn(TUB, BOWL).says).toBe('Bowl has no lid');
  expect(mayStandOn(TUB, BAG).says).toBe('Flat bag gives way');
  expect(mayStandOn({ ...TUB, litres: 5 }, big).says).toBe('Tub is the heavier one');
});

it('refuses containers that cannot be', () => {
  expect(checkContainer(TUB)).toBeNull();
  expect(checkContainer({ ...TUB, innerMm: [150, 104, 54] })).toBe(
    'Tub is 150 mm long inside and 140 mm outside.',
  );
  expect(checkContainer({ ...TUB, litres: 2 })).toMatch(/inner measures give 0\.8/);
  expect(checkContainer({ ...TUB, count: 0 })).toMatch(/1 to/);
});

it('no arrangement and no mix ever takes more room than there is, nor more containers than are owned', () => {
  const mm = fc.integer({ min: 30, max: 260 });
  const container = fc
    .record({
      outer: fc.tuple(mm, mm, mm),
      rigid: fc.boolean(),
      lid: fc.boolean(),
      leakproof: fc.boolean(),
      count: fc.integer({ min: 1, max: 9 }),
    })
    .map(({ outer, ...rest }): Container => ({
      ...rest,
      id: outer.join(),
      name: 'Any',
      outerMm: outer,
      innerMm: outer,
      litres: outer.reduce((a, b) => a * b) / 1e6,
    }));
  const room = fc.record({
    kind: fc.constantFrom('shelf' as const, 'drawer' as const),
    widthMm: fc.integer({ min: 60, max: 700 }),
    heightMm: fc.integer({ min: 60, max: 400 }),
    depthMm: fc.integer({ min: 60, max: 500 }),
  });
  fc.assert(
    fc.property(room, fc.array(container, { minLength: 1, maxLength: 5 }), (there, kinds) => {
      const mix = bestMix(there, kinds);
      const width = mix.columns.reduce(
        (sum, { arrangement, columns }) => sum + arrangement.acrossMm * columns,
        0,
      );
      const hand = mix.columns.some((one) => one.container.rigid) ? 40 : 0;
      expect(width + hand).toBeLessThanOrEqual(there.widthMm);
      expect(mix.share).toBeLessThanOrEqual(1);
      for (const { arrangement, container: kind, total } of mix.columns) {
        expect(total).toBeLessThanOrEqual(kind.count);
        expect(arrangement.backMm * arrangement.deep).toBeLessThanOrEqual(there.depthMm);
        expect(arrangement.upMm * arrangement.high).toBeLessThanOrEqual(there.heightMm);
      }
      for (const kind of kinds) {
        const [best] = fitContainer(there, kind);
        expect(mix.litres).toBeGreaterThanOrEqual((best?.litres ?? 0) - 1e-9);
      }
    }),
    { numRuns: 300 },
  );
});
