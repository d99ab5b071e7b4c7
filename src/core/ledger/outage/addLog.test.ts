import { boxDrawing } from '../../../../tests/fixtures/boxDrawing';
import { LINE, Store } from '../../../../tests/fixtures/memoryStore';
import type { Cut } from '../../model/cut';
import type { LogDay, Thermometer } from '../../model/thermometer';

const START = '2026-11-25T00:00:00.000Z';
const at = (hours: number): string => new Date(Date.parse(START) + hours * 3_600_000).toISOString();
const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;

function house() {
  const store = new Store();
  for (const drawing of [boxDrawing('fridge', 'fridge'), boxDrawing('chest', 'freezer')])
    store.drawings.set(drawing.id, drawing);
  let count = 0;
  const add = (part: string, values: [hour: number, c: number][], more: object = {}, now = 20): string => {
    const id = `log ${count++}`;
    const readings = values.map(([hour, c]) => ({ at: at(hour), c }));
    store.run(
      { ...{ id, type: 'log.add', part, readings, battery: 0.8, itsClock: null, sure: false }, ...more },
      at(now),
    );
    return id;
  };
  const cuts = (): Cut[] =>
    [...store.kept].filter(([key]) => key.startsWith('cut ')).map(([, value]) => value as Cut);
  const thermometer = (part: string) => store.kept.get(`thermometer ${part}`) as Thermometer | undefined;
  const day = (part: string) => store.kept.get(`log-day ${part} 2026-11-25`) as LogDay | undefined;
  return { store, add, cuts, thermometer, day };
}
const COLD: [number, number][] = [0, 1, 2, 3, 4].map((hour) => [hour, -18]);
const WARMING: [number, number][] = [
  [5, -15],
  [6, -13],
  [7, -11],
  [8, -10],
];

it('a log that passes its alarm begins a cut since the warming began; its other half joins; one undo takes it back', () => {
  const { store, add, cuts, thermometer } = house();
  add('chest', COLD, {}, 4);
  expect([cuts(), thermometer('chest')?.warmSince]).toEqual([[], null]);
  const id = add('chest', WARMING, {}, 8);
  expect(cuts()).toMatchObject([{ from: at(3), until: null, parts: [{ id: 'chest', fill: 0.5 }] }]);
  expect(thermometer('chest')).toMatchObject({ warmSince: at(7), heardAt: at(8), lastC: -10, battery: 0.8 });
  const warm: [number, number][] = [2, 3, 4, 5, 6].map((hour) => [hour, 3 + Math.max(0, hour - 3) * 2.5]);
  const joined = add('fridge', warm, {}, 8);
  expect(cuts().map(({ from, parts }) => [from, parts.map((one) => one.id)])).toEqual([
    [at(2), ['chest', 'fridge']],
  ]);
  store.run({ id: 'u1', type: 'ledger.undo', command: joined, meanwhile: 'cold' }, at(9));
  store.run({ id: 'u2', type: 'ledger.undo', command: id, meanwhile: 'cold' }, at(9));
  expect([cuts(), thermometer('chest')?.heardAt]).toEqual([[], at(4)]);
});

it('begins none where one was begun or ended since, where it shall not, or where the log is an old one', () => {
  const { store, add, cuts } = house();
  add('chest', [...COLD, ...WARMING]);
  const [cut] = cuts();
  store.run({ id: 'end', type: 'cut.time', cut: cut?.id, from: cut?.from, until: at(9) }, at(20));
  add('chest', [[10, -9]]);
  expect(cuts()).toHaveLength(1);

  const other = house();
  const alarm = { aboveC: -12, minutes: 60, begins: false };
  other.store.run({ id: 'a', type: 'log.alarm', part: 'chest', alarm }, at(1));
  other.add('chest', [...COLD, ...WARMING]);
  expect([other.cuts(), other.thermometer('chest')?.warmSince]).toEqual([[], at(7)]);

  const late = house();
  late.add('chest', [[19, -18]]);
  late.add('chest', [...COLD, ...WARMING]);
  expect([late.cuts(), late.thermometer('chest')?.heardAt]).toEqual([[], at(19)]);
});

it('keeps days in order, the warmer of two at one moment, and times by a clock put right', () => {
  const { add, day } = house();
  add('chest', [
    [3, -17],
    [1, -18],
  ]);
  add('chest', [
    [1, -18.5],
    [3, -16],
    [2, -17.5],
  ]);
  expect(day('chest')).toEqual([
    [3600, -18],
    [7200, -17.5],
    [10_800, -16],
  ]);
  const fast = house();
  fast.add('fridge', [[0, 4]], {}, 0);
  fast.add('fridge', [[10.5, 4]], { itsClock: at(21) }, 20);
  expect(fast.day('fridge')).toEqual([
    [0, 4],
    [36_000, 4],
  ]);
});

it('refuses what cannot be, and keeps nothing of it', () => {
  const { store, add } = house();
  expect(() => add('chest', [[21, -18]])).toThrow(/still to come/);
  expect(() => add('chest', [[1, -18]], { itsClock: '2000-01-01T00:00:00.000Z' })).toThrow(/off by \d+ days/);
  expect(() => add('chest', [[-24 * 401, -18]])).toThrow(rule('log'));
  const inF: [number, number][] = [
    [1, 38],
    [2, 39],
    [3, 4],
  ];
  expect(() => add('fridge', inF)).toThrow(/2 of 3 readings are odd.*°F/);
  expect(() => add('box', [[1, 4]])).toThrow(rule('cut'));
  expect([...store.kept]).toEqual([]);
  add('fridge', inF, { sure: true });
  expect(store.kept.size).toBeGreaterThan(1);
});

it('counts for the verdict of a cut, whichever was told first', () => {
  for (const told of ['before', 'after', 'never']) {
    const { store, add } = house();
    const line = { food: 'trout', called: 'Trout', amount: 600, packs: 1, zone: 'fridge-zone' };
    const lines = [{ ...LINE, ...line, start: { did: 'bought', on: '2026-11-24' } }];
    store.run({ id: 'haul', type: 'haul.store', lines }, at(-6));
    const cold: [number, number][] = Array.from({ length: 25 }, (_, nth) => [nth / 4 + 1, 3]);
    const parts = [{ id: 'fridge', fill: 0.5, doors: 'shut' }];
    if (told === 'before') add('fridge', cold);
    store.run({ id: 'b', type: 'cut.begin', cut: 'c', from: at(1.5), parts }, at(20));
    store.run({ id: 'e', type: 'cut.time', cut: 'c', from: at(1.5), until: at(6.6) }, at(20));
    if (told === 'after') add('fridge', cold);
    const { id, version } = store.first();
    const judge = () =>
      store.run(
        { id: 'j', type: 'cut.judge', cut: 'c', things: [{ package: id, version, did: 'eat-soon' }] },
        at(20),
      );
    if (told === 'never') expect(judge).toThrow(rule('evidence'));
    else expect(judge).not.toThrow();
  }
});
