import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { haulLine } from '../../../tests/fixtures/haulLine';
import { checkHaulLine } from './checkHaulLine';
import { counterClock } from './counterClock';
import { hygieneStep } from './hygieneStep';
import { choosePreparation, isBlanched, lookAgainDays, preparationsFor } from './preparation';
import { workOrder } from './workOrder';

const SINCE = '2026-11-25T12:00:00.000Z';
const after = (minutes: number): string => new Date(Date.parse(SINCE) + minutes * 60_000).toISOString();
const level = (minutes: number, hot = false, id = 'milk') =>
  counterClock({ outSince: SINCE, stoodMinutes: 0 }, food(id), after(minutes), hot).level;

describe('the counter clock (K10)', () => {
  it('warns at 60 and 100 minutes and asks at 120; at 30, 50 and 60 above 32 °C', () => {
    expect([59, 60, 99, 100, 119, 120].map((minutes) => level(minutes))).toEqual([
      'fine',
      'warn',
      'warn',
      'hurry',
      'hurry',
      'over',
    ]);
    expect([29, 30, 49, 50, 59, 60].map((minutes) => level(minutes, true))).toEqual([
      'fine',
      'warn',
      'warn',
      'hurry',
      'hurry',
      'over',
    ]);
    expect(level(600, true, 'bread')).toBe('no-hurry');
  });

  it('minutes add up over stays, and back in the cold it stands still', () => {
    const back = counterClock({ outSince: null, stoodMinutes: 70 }, food('milk'), after(300), false);
    expect(back).toEqual({ level: 'cold', stood: 70, left: 50 });
    const again = counterClock({ outSince: after(300), stoodMinutes: 70 }, food('milk'), after(350), false);
    expect(again.level).toBe('over');
    fc.assert(
      fc.property(fc.nat(300), fc.nat(300), fc.boolean(), (stoodMinutes, minutes, hot) => {
        const clock = counterClock({ outSince: SINCE, stoodMinutes }, food('milk'), after(minutes), hot);
        const most = hot ? 60 : 120;
        expect(clock.level === 'over').toBe(stoodMinutes + minutes >= most);
        expect(clock.left).toBe(most - stoodMinutes - minutes);
      }),
    );
  });
});

const at = (id: string, minutes: number, line = {}) => {
  const one = haulLine(id, line);
  return { line: one, food: food(id), clock: counterClock(one, food(id), after(minutes), false) };
};

describe('the order of work', () => {
  it('decides first, then what presses, quick chills, cold food, what has time, raw meat last', () => {
    const fridge = {
      parts: [{ amounts: [1000], packing: 'as-it-is', container: null, goes: 'fridge', zone: null }],
    };
    const lines = [
      at('bread', 20),
      at('ground-lamb', 20),
      at('seafood-chowder', 20),
      at('milk', 20, fridge),
      at('quark', 130),
      at('haddock', 100),
    ];
    expect(workOrder(lines).map(({ line }) => line.food)).toEqual([
      'quark',
      'haddock',
      'milk',
      'seafood-chowder',
      'bread',
      'ground-lamb',
    ]);
  });

  it('hygiene is asked once before raw meat and once after the last of it', () => {
    const mince = at('ground-lamb', 5);
    const fish = at('haddock', 5);
    const lines = [mince, fish, at('kale', 5)];
    expect(hygieneStep(lines, lines[2]?.line.id ?? '', [])).toBeNull();
    expect(hygieneStep(lines, mince.line.id, [])?.id).toBe('before-raw');
    expect(hygieneStep(lines, fish.line.id, ['before-raw'])).toBeNull();
    const packed = [mince, fish].map((one) => ({ ...one, line: { ...one.line, packages: ['p'] } }));
    expect(hygieneStep(packed, null, ['before-raw'])?.id).toBe('after-raw');
    expect(hygieneStep(packed, null, ['before-raw', 'after-raw'])).toBeNull();
  });
});

describe('preparation', () => {
  it('offers the schools of a food, one way of each', () => {
    const ids = (id: string, goes: 'fridge' | 'freezer') =>
      preparationsFor(food(id), goes).map((one) => one.id);
    expect(ids('kale', 'freezer')).toEqual(expect.arrayContaining(['unwashed', 'blanched']));
    expect(ids('parsley', 'fridge')).toEqual(
      expect.arrayContaining(['towel', 'damp-towel', 'water-jar', 'loose-drawer']),
    );
    expect(ids('milk', 'fridge')).toEqual([]);
    expect(choosePreparation(['unwashed', 'towel'], 'washed-wet')).toEqual(['towel', 'washed-wet']);
    expect(choosePreparation(['towel'], 'towel')).toEqual([]);
    expect([isBlanched([]), isBlanched(['raw-frozen'])]).toEqual([true, false]);
    expect([lookAgainDays(['towel', 'unwashed']), lookAgainDays([])]).toEqual([4, null]);
  });
});

describe('what keeps a line from being packed', () => {
  const fault = (id: string, line: Parameters<typeof haulLine>[1]) =>
    checkHaulLine(haulLine(id, line), food(id), () => null)?.says ?? null;
  const part = (amounts: number[], more = {}) => ({
    parts: [{ amounts, packing: 'flat', container: null, goes: 'freezer' as const, zone: null, ...more }],
  });

  it.each([
    ['ground-lamb', { amount: 3, ...part([1, 1, 1, 0]) }, /does not make 4 packs/],
    ['ground-lamb', { amount: 1000, ...part([400, 500]) }, /900 g together; 1 kg came in/],
    ['ground-lamb', { amount: 1000, ...part([1000], { packing: 'tub' }) }, /never for raw meat/],
    ['ground-lamb', { amount: 1000, ...part([1000], { packing: 'reused-bag' }) }, /never for raw meat/],
    ['lettuce', { amount: 300, ...part([300]) }, /must not be frozen/],
    [
      'seafood-chowder',
      { amount: 2000, unit: 'ml' as const, ...part([2000], { packing: 'jar' }) },
      /A pack is 2000 ml; 424 ml go in below the fill line, 19 mm under the rim. Make 5 packs/,
    ],
    [
      'parsley',
      { amount: 100, ...part([100], { packing: 'oil-cubes', goes: 'fridge' }) },
      /safe frozen only/,
    ],
    ['milk', { amount: 1000, ...part([1000], { goes: 'room' }) }, /belongs in the cold/],
    [
      'chicken-thighs-raw',
      { amount: 400, pieces: 3, ...part([100, 100, 100, 100]) },
      /3 pieces do not make 4 packs/,
    ],
    ['ground-lamb', { amount: 1000, ...part([1000], { container: 'gone' }) }, /no longer among yours/],
  ])('%s: %#', (id, line, says) => expect(fault(id, line)).toMatch(says));

  it('nothing does when all adds up', () => {
    expect(fault('ground-lamb', { amount: 1000, ...part([334, 333, 333]) })).toBeNull();
    expect(
      fault('seafood-chowder', { amount: 1200, unit: 'ml', ...part([400, 400, 400], { packing: 'jar' }) }),
    ).toBeNull();
  });
});
