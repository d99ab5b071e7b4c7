import fc from 'fast-check';
import { food, foods } from '../../../tests/fixtures/reference';
import { checkKitchen } from './checkKitchen';
import { chestProgram, readChestPlan, weeklyLifts } from './chestPlan';
import { hardFault } from './hardRules';
import { faultThere, type KitchenZone, type LyingPackage, wouldDrip } from './lyingPackage';
import { tidyMoves, tidyWalk } from './tidyMoves';
import { whatHelps } from './whatHelps';

const TODAY = '2026-11-25';
const zone = (id: string, more: Partial<KitchenZone> = {}): KitchenZone => ({
  id,
  name: id,
  appliance: 'fridge',
  applianceName: 'Fridge',
  compartment: 'fridge',
  cold: 'fridge',
  side: 'body',
  kind: 'shelf',
  temperatureC: 3,
  humidity: null,
  order: 1,
  litres: 20,
  freeLitres: 12,
  widthMm: 480,
  depthMm: 300,
  heightMm: 180,
  leakproof: false,
  only: [],
  never: [],
  purpose: '',
  lifts: 0,
  keptEmpty: false,
  hardToReach: false,
  limitLitres: null,
  filledLitres: 8,
  behind: 0,
  touchedOn: '2026-11-20',
  ...more,
});
const lies = (id: string, name: string, where: string, more: Partial<LyingPackage> = {}): LyingPackage => ({
  id,
  zone: where,
  called: food(name).name,
  food: food(name),
  state: 'chilled',
  litres: 1,
  rigidMm: null,
  daysLeft: 6,
  takesPerWeek: 0,
  opened: false,
  startOn: '2026-11-20',
  codes: [id],
  ...more,
});

const TOP = zone('top', { order: 0 });
const MIDDLE = zone('middle', { order: 140 });
const LOWER = zone('lower', { order: 290, leakproof: true });
const LEAF = zone('leaf', { order: 430, kind: 'drawer', humidity: 'high' });
const FRUIT = zone('fruit', { order: 430, kind: 'drawer', humidity: 'low' });
const DOOR = zone('door', { kind: 'door', side: 'door', order: 0, temperatureC: 7 });
const CHEST = zone('basket', {
  appliance: 'chest',
  applianceName: 'Chest',
  compartment: 'chest',
  cold: 'freezer',
  kind: 'basket',
  temperatureC: -18,
  order: 0,
});
const DEEP = zone('deep', {
  appliance: 'chest',
  applianceName: 'Chest',
  compartment: 'chest',
  cold: 'freezer',
  kind: 'layer',
  temperatureC: -20,
  order: 200,
  lifts: 1,
});
const KITCHEN = [TOP, MIDDLE, LOWER, LEAF, FRUIT, DOOR, CHEST, DEEP];
const CLEAN = [
  lies('stew', 'stew', 'top'),
  lies('milk', 'milk', 'middle', { opened: true }),
  lies('mince', 'ground-beef', 'lower'),
  lies('lettuce', 'lettuce', 'leaf'),
  lies('apples', 'apples', 'fruit'),
  lies('peas', 'frozen-vegetables', 'basket', { state: 'frozen', daysLeft: 200 }),
  lies('trout', 'trout', 'deep', { state: 'frozen', daysLeft: 60 }),
];

describe('kitchen check', () => {
  it('finds nothing in a clean kitchen', () => {
    expect(checkKitchen(KITCHEN, CLEAN, TODAY)).toEqual([]);
  });

  const with_ = (...more: LyingPackage[]): LyingPackage[] => [...CLEAN, ...more];
  const changed = (id: string, more: Partial<KitchenZone>): KitchenZone[] =>
    KITCHEN.map((one) => (one.id === id ? { ...one, ...more } : one));
  it.each([
    ['raw above ready to eat', KITCHEN, with_(lies('x', 'chicken-whole', 'middle')), 'C1', 'move'],
    ['dairy in a warm door', KITCHEN, with_(lies('x', 'quark', 'door')), 'C2', 'move'],
    ['an ethylene giver by a taker', KITCHEN, with_(lies('x', 'apples', 'leaf')), 'C3', 'move'],
    [
      'two open ones of the same',
      KITCHEN,
      with_(lies('x', 'milk', 'top', { opened: true, startOn: '2026-11-23' })),
      'C4',
      'eat-first',
    ],
    [
      'blocked air',
      KITCHEN.map((one) => (one.cold === 'fridge' ? { ...one, filledLitres: 18, freeLitres: 2 } : one)),
      CLEAN,
      'C5',
      'look',
    ],
    [
      'a closed one before the open one',
      changed('middle', { behind: 1 }),
      with_(lies('x', 'milk', 'top')),
      'C6',
      'move',
    ],
    ['a forgotten corner', changed('deep', { touchedOn: '2026-09-26' }), CLEAN, 'C7', 'look'],
    ['dairy where no dairy goes', changed('middle', { never: ['dairy'] }), CLEAN, 'C8', 'move'],
    ['food in a place kept free', changed('top', { keptEmpty: true }), CLEAN, 'C8', 'move'],
    ['more than the limit', changed('top', { limitLitres: 5 }), CLEAN, 'C8', 'look'],
    [
      'a short date where it is hard to reach',
      changed('top', { hardToReach: true }),
      with_(lies('x', 'stew', 'top', { daysLeft: 1 })),
      'C8',
      'move',
    ],
  ] as const)('finds %s, says why, and has one button', (_, zones, contents, rule, button) => {
    const findings = checkKitchen(zones, contents, TODAY);
    expect([...new Set(findings.map((one) => one.rule))]).toEqual([rule]);
    for (const { says, why } of findings) expect([says.length > 15, why.length > 15]).toEqual([true, true]);
    const [first] = findings;
    expect(first?.fix.kind).toBe(button);
    if (first?.fix.kind !== 'move') return;
    // What the button does clears the finding and plants no other.
    const { package: moved, to } = first.fix;
    const after = contents.map((found) => (found.id === moved ? { ...found, zone: to } : found));
    const still = checkKitchen(zones, after, TODAY).filter((one) => one.says === first.says);
    expect(still).toEqual([]);
  });

  it('59 days are not forgotten, 80 % is not blocked, what is frozen hard does not drip', () => {
    expect(checkKitchen(changed('deep', { touchedOn: '2026-09-27' }), CLEAN, TODAY)).toEqual([]);
    expect(
      checkKitchen(
        KITCHEN.map((one) => ({ ...one, filledLitres: 16, freeLitres: 4 })),
        CLEAN,
        TODAY,
      ),
    ).toEqual([]);
    expect(
      checkKitchen(
        KITCHEN,
        with_(
          lies('soup', 'seafood-chowder', 'deep', { state: 'frozen', daysLeft: 90 }),
          lies('x', 'chicken-whole', 'basket', { state: 'frozen', daysLeft: 90 }),
        ),
        TODAY,
      ),
    ).toEqual([]);
  });
});

describe('tidy', () => {
  it('first what breaks a rule, each move where it may go, doors opened once', () => {
    const contents = [
      ...CLEAN,
      lies('hen', 'chicken-whole', 'top'),
      lies('kefir', 'quark', 'door'),
      lies('kale', 'kale', 'top'),
    ];
    const moves = tidyMoves(KITCHEN, contents);
    expect(
      moves
        .slice(0, 2)
        .map(({ package: found }) => found.id)
        .sort(),
    ).toEqual(['hen', 'kale']);
    expect(moves).toHaveLength(3);
    expect(moves.find(({ package: found }) => found.id === 'hen')?.to.id).toBe('lower');
    expect(moves.find(({ package: found }) => found.id === 'kale')?.to.id).toBe('leaf');
    const walk = tidyWalk(moves);
    expect(walk.map(({ appliance }) => appliance)).toEqual(['fridge']);
    expect(walk[0]?.inside).toHaveLength(moves.length);
  });

  it('what goes from one appliance to another comes out before it goes in', () => {
    const second = zone('cellar', { appliance: 'cellar', applianceName: 'Cellar', compartment: 'cellar' });
    const move = (id: string, from: KitchenZone, to: KitchenZone) => ({
      package: lies(id, 'milk', from.id),
      from,
      to,
      gain: 20,
      says: 'better',
    });
    const back = tidyWalk([move('a', TOP, second), move('b', second, MIDDLE)]);
    expect(back.map(({ appliance, out, into }) => [appliance, out.length, into.length])).toEqual([
      ['fridge', 1, 0],
      ['cellar', 1, 1],
      ['fridge', 0, 1],
    ]);
  });

  it('never makes a rule broken that was kept, never needs room that is not there', () => {
    const some = foods.filter(({ freezeFit }) => freezeFit !== 'no').slice(0, 120);
    const one = fc.record({
      of: fc.constantFrom(...some),
      where: fc.constantFrom(...KITCHEN),
      litres: fc.integer({ min: 1, max: 5 }),
      daysLeft: fc.integer({ min: -1, max: 40 }),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 14 }), (given) => {
        const contents = given.map(({ of, where, litres, daysLeft }, at) =>
          lies(`p${at}`, of.id, where.id, {
            litres,
            daysLeft,
            state: where.cold === 'freezer' ? 'frozen' : 'chilled',
          }),
        );
        const faults = (lying: readonly LyingPackage[]): number =>
          lying.filter((found) =>
            faultThere(found, KITCHEN.find(({ id }) => id === found.zone) ?? TOP, KITCHEN, lying),
          ).length;
        let lying: LyingPackage[] = contents;
        const free = new Map(KITCHEN.map(({ id, freeLitres }) => [id, freeLitres]));
        for (const { package: found, from, to, gain } of tidyMoves(KITCHEN, contents)) {
          expect(gain).toBeGreaterThanOrEqual(15);
          expect(found.litres).toBeLessThanOrEqual(free.get(to.id) ?? 0);
          expect(hardFault(found, { ...to, freeLitres: 99 })).toBeNull();
          expect(wouldDrip(found, to, KITCHEN, lying)).toBeNull();
          free.set(to.id, (free.get(to.id) ?? 0) - found.litres);
          free.set(from.id, (free.get(from.id) ?? 0) + found.litres);
          const before = faults(lying);
          lying = lying.map((other) => (other.id === found.id ? { ...other, zone: to.id } : other));
          expect(faults(lying)).toBeLessThanOrEqual(before);
        }
      }),
      { numRuns: 200 },
    );
  });
});

describe('a chest', () => {
  const often = lies('often', 'frozen-vegetables', 'deep', { state: 'frozen', takesPerWeek: 3, litres: 6 });
  const seldom = lies('seldom', 'bread', 'basket', { state: 'frozen', takesPerWeek: 0.1, litres: 6 });
  const zones = [
    { ...CHEST, litres: 8, freeLitres: 2 },
    { ...DEEP, litres: 20, freeLitres: 14 },
  ];

  it('reckons lifts a week, and reads the plan a solver chose', () => {
    expect(weeklyLifts(zones, [often, seldom], new Map())).toBeCloseTo(3);
    const plan = readChestPlan(['x0_0', 'x1_1', 'nonsense'], zones, [often, seldom]);
    expect([...plan]).toEqual([
      ['often', 'basket'],
      ['seldom', 'deep'],
    ]);
    expect(weeklyLifts(zones, [often, seldom], plan)).toBeCloseTo(0.1);
  });

  it('states room and drip as rows of the program', () => {
    const hen = lies('hen', 'chicken-whole', 'deep', { state: 'frozen', takesPerWeek: 1 });
    const program = chestProgram(zones, [often, seldom, hen]);
    expect(program).toContain('room0: 6.0000 x0_0\n + 6.0000 x1_0\n + 1.0000 x2_0 <= 8.0010');
    expect(program).toContain('one2: x2_0\n + x2_1 = 1');
    expect(program).toContain('drip2_0_1_1: x2_0 + x1_1 <= 1');
    expect(
      chestProgram([{ ...zones[0], keptEmpty: true } as KitchenZone, zones[1] as KitchenZone], [often]),
    ).not.toContain('x0_0');
  });
});

it('says what would make a package fit', () => {
  const found = { ...lies('x', 'stew', ''), litres: 9 };
  const helps = (
    rule: 'P2' | 'P3' | 'P5' | 'P6',
    zones: KitchenZone[],
    more: Partial<LyingPackage> = {},
  ): string[] => whatHelps({ ...found, ...more }, { rule, says: '' }, zones, new Map());
  expect(
    helps('P5', [
      { ...TOP, freeLitres: 6 },
      { ...MIDDLE, freeLitres: 4 },
    ]),
  ).toEqual(['Repack it smaller: 6 l in top, 3 l in middle.']);
  expect(helps('P5', [{ ...TOP, freeLitres: 6 }])[0]).toMatch(/^Make 3 litres of room in top/);
  expect(helps('P6', [TOP], { litres: 1, rigidMm: [460, 100, 100] })).toEqual([
    'Take it out of its carton: in top a piece may be 440 mm across and 140 mm high.',
  ]);
  expect(helps('P2', [DOOR], { food: food('milk') })).toEqual([
    'Measure the zone: at 4 °C or colder it may lie there.',
  ]);
  expect(helps('P3', [TOP], { litres: 1 })[0]).toMatch(/leak-proof/);
});
