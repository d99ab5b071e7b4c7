import { boxDrawing } from '../../../../tests/fixtures/boxDrawing';
import { LINE, Store } from '../../../../tests/fixtures/memoryStore';
import type { CutDecided } from '../../model/cut';
import type { Package } from '../../model/package';

const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;
const CUT = 'cut';
const BEGUN = '2026-11-25T08:00:00.000Z';
const at = (hours: number): string => new Date(Date.parse(BEGUN) + hours * 3_600_000).toISOString();

/** A house with a fridge and a chest, trout in both since the day before, and a cut since eight. */
function house() {
  const store = new Store();
  for (const drawing of [boxDrawing('fridge', 'fridge'), boxDrawing('chest', 'freezer')])
    store.drawings.set(drawing.id, drawing);
  let count = 0;
  const run = (
    type: string,
    more: Record<string, unknown> = {},
    hour = 1,
    id = `${type} ${count++}`,
  ): string => {
    store.now = at(Math.max(hour, 12));
    store.run({ id, type, cut: CUT, ...more }, at(hour));
    return id;
  };
  store.run(
    {
      id: 'haul',
      type: 'haul.store',
      lines: ['fridge', 'chest'].map((where) => ({
        ...{
          food: 'trout',
          called: `Trout ${where}`,
          amount: 600,
          unit: 'g',
          packs: 1,
          form: null,
          wrap: null,
        },
        ...{
          priceMinor: 500,
          zone: `${where}-zone`,
          printed: null,
          openedOn: null,
          blanched: true,
          note: '',
        },
        ...{ start: { did: 'bought', on: '2026-11-24' }, frozenOn: where === 'chest' ? '2026-11-24' : null },
      })),
    },
    '2026-11-24T18:00:00.000Z',
  );
  const [fridge, chest] = [...store.packages.values()].map(({ id }) => id);
  if (!fridge || !chest) throw new Error('two were to be stored');
  const parts = ['fridge', 'chest'].map((id) => ({ id, fill: 0.5, doors: 'shut' }));
  run('cut.begin', { from: BEGUN, parts }, 0.1);
  const now = (id: string): Package => {
    const found = store.packages.get(id);
    if (!found) throw new Error('gone');
    return found;
  };
  const thing = (id: string, did: string) => ({ package: id, version: now(id).version, did });
  const read = (part: string, hour: number, c: number, more: Record<string, unknown> = {}): string =>
    run('cut.read', { part, reading: `${part} ${hour}`, c, ...more }, hour);
  const end = (hour: number): string => run('cut.time', { from: BEGUN, until: at(hour) }, 12);
  return { store, run, now, thing, read, end, fridge, chest };
}

describe('what is decided happens', () => {
  it('thrown out with reason and value, held against the verdict, one undo for all', () => {
    const { run, now, thing, end, store, fridge, chest } = house();
    const ended = end(5);
    expect(() => run('cut.judge', { things: [thing(fridge, 'eat-soon')] })).toThrow(rule('evidence'));
    expect(() => run('cut.judge', { things: [thing(chest, 'refreeze')] }, 12)).toThrow(rule('evidence'));
    run('cut.see', { packages: [chest], seen: { iceCrystals: true } }, 6);
    const before = [now(fridge), now(chest)];
    const id = run('cut.judge', { things: [thing(fridge, 'discard'), thing(chest, 'refreeze')] }, 12);
    expect([now(fridge).gone?.how, now(fridge).gone?.reason]).toEqual(['discarded', 'power-cut']);
    expect(now(chest).bestBy <= (before[1]?.bestBy ?? '')).toBe(true);
    expect(now(chest).trail.at(-1)?.rule).toBe('O8');
    const decided = store.kept.get(`cut-decided ${id}`) as CutDecided;
    expect(decided.things.map(({ did, priceMinor }) => [did, priceMinor])).toEqual([
      ['discard', 500],
      ['refreeze', 500],
    ]);
    run('ledger.undo', { command: ended, meanwhile: 'cold' }, 12);
    expect(() => run('ledger.undo', { command: 'cut.begin 0', meanwhile: 'cold' }, 12)).toThrow(/decided/);
    run('ledger.undo', { command: id, meanwhile: 'cold' }, 12);
    expect(store.kept.has(`cut-decided ${id}`)).toBe(false);
    expect([now(fridge), now(chest)].map(({ gone, bestBy, useBy }) => [gone, bestBy, useBy])).toEqual(
      before.map(({ gone, bestBy, useBy }) => [gone, bestBy, useBy]),
    );
  });

  it('eat soon sets the use by to the day after the power was back, however late it is told', () => {
    const { run, now, thing, read, end, fridge } = house();
    read('fridge', 0, 4);
    read('fridge', 3, 5);
    read('fridge', 4.9, 5);
    end(5);
    // The readings prove less than two hours above 4.4 °C only when the first were cold for long.
    expect(() => run('cut.judge', { things: [thing(fridge, 'eat-soon')] }, 12)).toThrow(rule('evidence'));
    read('fridge', 3.5, 4);
    read('fridge', 3, 4);
    run('cut.judge', { things: [thing(fridge, 'eat-soon')] }, 12);
    expect((now(fridge).useBy ?? '') <= '2026-11-26').toBe(true);
  });

  it('cook now becomes a job of the day, and no freezing makes it later', () => {
    const { run, now, thing, read, end, store, chest } = house();
    read('chest', 0, -18);
    read('chest', 3, 4);
    read('chest', 4.9, 6);
    end(5);
    const id = run('cut.judge', { things: [thing(chest, 'cook-now')] }, 12);
    expect([now(chest).useBy, now(chest).trail.at(-1)?.rule]).toEqual(['2026-11-25', 'O3']);
    const [job] = [...store.jobs.values()].filter(({ name }) => name.startsWith('Cook now'));
    expect([job?.dueOn, job?.retired]).toEqual(['2026-11-25', false]);
    run('ledger.undo', { command: id, meanwhile: 'cold' }, 12);
    expect(
      [...store.jobs.values()].filter(({ name, retired }) => name.startsWith('Cook now') && !retired),
    ).toEqual([]);
  });
});

it('what was taken and undone lay there all the while: an undo makes no cut shorter', () => {
  const { run, now, thing, end, fridge } = house();
  const taken = run('package.take', { package: fridge, version: now(fridge).version, amount: null }, 0.5);
  run('ledger.undo', { command: taken, meanwhile: 'cold' }, 4.5);
  end(5);
  expect(() => run('cut.judge', { things: [thing(fridge, 'eat-soon')] }, 12)).toThrow(/throw it out/);
});

describe('what cannot be is told, and nothing is kept of it', () => {
  it('times', () => {
    const { run, end } = house();
    const times = (from: number, until: number | null) => () =>
      run('cut.time', { from: at(from), until: until === null ? null : at(until) });
    expect(times(5, 3)).toThrow(rule('cut'));
    expect(times(20, null)).toThrow(rule('cut'));
    expect(times(0, 20)).toThrow(rule('cut'));
    expect(times(-40 * 24, 1)).toThrow(/40 days/);
    const parts = [{ id: 'fridge', fill: 0.5, doors: 'shut' }];
    const other = () => run('cut.begin', { cut: 'other', from: at(3), parts });
    expect(other).toThrow(/another power cut/);
    expect(() => run('cut.close')).toThrow(/still off/);
    end(2);
    expect(other).not.toThrow();
  });

  it('readings: odd ones are asked about, the sure one is taken, late and future ones refused', () => {
    const { read, store } = house();
    expect(() => read('chest', 1, 60)).toThrow(/°F, that is 15.6 °C/);
    expect(() => read('fridge', 1, -5)).toThrow(rule('reading'));
    read('fridge', 1, -5, { sure: true });
    expect(() => read('fridge', 30, 4)).not.toThrow();
    store.now = at(2);
    expect(() =>
      store.run({ id: 'x', type: 'cut.read', cut: CUT, part: 'fridge', reading: 'y', c: 4 }, at(3)),
    ).toThrow(/still to come/);
    expect(() => read('fridge', -30, 4)).toThrow(/more than a day before/);
  });

  it('a telltale in a fridge, a door opened with the power on, a cool box nobody named', () => {
    const { run, end, fridge } = house();
    const part = {
      id: 'fridge',
      fill: 0.5,
      doors: 'shut',
      telltale: 'loose',
      roomC: 22,
      iceKg: 0,
      waterKg: 0,
    };
    expect(() => run('cut.part', { part, off: false })).toThrow(/no telltale/);
    end(2);
    expect(() => run('cut.open', { part: 'fridge', opening: 'o', seconds: 20 }, 3)).toThrow(/power was on/);
    expect(() => run('cut.see', { packages: [fridge], to: 'box' })).toThrow(/cool box/);
  });
});

it('every step is undone by itself, also when another was told since', () => {
  const { run, read, store } = house();
  const first = read('fridge', 1, 4);
  read('fridge', 2, 5);
  run('cut.open', { part: 'chest', opening: 'o', seconds: 20 }, 2);
  run('ledger.undo', { command: first, meanwhile: 'cold' }, 3);
  expect([...store.kept.keys()].sort()).toEqual(['cut cut', 'cut-opening o', 'cut-reading fridge 2']);
});

describe('evidence has a time, and what is made of others has their hours (O10 to O14)', () => {
  const TELLTALE = { ...{ fill: 0.5, doors: 'shut', roomC: 22, iceKg: 0, waterKg: 0 }, id: 'chest' };
  const take = (id: string, version: number) => ({ package: id, version, amount: null });

  /** A cut of the house, told whole at its end, and what the desk says of a package then. */
  function long(hours: number) {
    const its = house();
    const back = (): void => {
      its.store.now = at(hours + 1);
      its.store.run({ id: 'back', type: 'cut.time', cut: CUT, from: BEGUN, until: at(hours) }, at(hours + 1));
    };
    const deed = (id: string, did: string, hour = hours + 1): string => {
      const told = `${id} ${did} ${hour}`;
      its.store.now = at(hour);
      its.store.run({ id: told, type: 'cut.judge', cut: CUT, things: [its.thing(id, did)] }, at(hour));
      return told;
    };
    const told = (type: string, more: Record<string, unknown>, hour: number): Package[] => {
      its.store.now = at(hour);
      return its.store
        .run({ id: `${type} ${hour}`, type, cut: CUT, ...more }, at(hour))
        .map(({ after }) => after);
    };
    return { ...its, back, deed, told };
  }

  it('crystals and cubes seen at hour 6 decide nothing of hour 95, and do of a look after it', () => {
    const { told, back, deed, chest } = long(95);
    told('cut.see', { packages: [chest], seen: { iceCrystals: true } }, 6);
    told('cut.part', { part: { ...TELLTALE, telltale: 'loose' }, off: false }, 6);
    back();
    expect(() => deed(chest, 'refreeze')).toThrow(/look at it first.*decides nothing of later/);
    told('cut.see', { packages: [chest], seen: { iceCrystals: true } }, 96);
    expect(() => deed(chest, 'refreeze')).not.toThrow();
  });

  it('what was decided while the power was off comes back when it lasts on', () => {
    const { told, back, deed, chest, fridge, now, store } = long(38);
    told('cut.read', { part: 'fridge', reading: 'a', c: 3 }, 0.2);
    told('cut.read', { part: 'fridge', reading: 'b', c: 5 }, 1.9);
    deed(fridge, 'eat-soon', 2);
    back();
    expect(() => told('package.take', take(fridge, now(fridge).version), 39)).toThrow(rule('O13'));
    expect(() => deed(fridge, 'eat-soon', 39)).toThrow(/throw it out/);
    expect(store.packages.get(chest)?.condemned).toBe(false);
  });

  it('half of it split off, put together or made into dinners has the hours of what it came from', () => {
    const { told, back, deed, fridge, now } = long(9);
    const [, half] = told(
      'package.split',
      { package: fridge, version: now(fridge).version, amounts: [200] },
      3,
    );
    back();
    const [, late] = told(
      'package.split',
      { package: fridge, version: now(fridge).version, amounts: [100] },
      9.5,
    );
    for (const one of [half, late]) {
      expect(() => deed(one?.id ?? '', 'eat-soon')).toThrow(/throw it out/);
      expect(() => told('package.take', take(one?.id ?? '', 1), 10)).toThrow(rule('O13'));
    }
  });

  it('what was missing, or entered later, lay there all the same; what was carried in came into a dead place', () => {
    const { told, back, deed, fridge, now, store } = long(9);
    told('package.lose', { package: fridge, version: now(fridge).version }, 0.05);
    back();
    told(
      'package.put-back',
      { package: fridge, version: now(fridge).version, zone: 'fridge-zone', minutes: null, hot: false },
      20,
    );
    expect(() => deed(fridge, 'eat-soon', 20)).toThrow(/throw it out/);
    const line = { ...LINE, food: 'trout', called: 'Trout', amount: 300, packs: 1, zone: 'fridge-zone' };
    const [typed] = told(
      'haul.store',
      { lines: [{ ...line, start: { did: 'bought', on: '2026-11-24' } }] },
      21,
    );
    expect(() => deed(typed?.id ?? '', 'eat-soon', 21)).toThrow(/throw it out/);
    const [bought] = told(
      'haul.store',
      { lines: [{ ...line, start: { did: 'bought', on: '2026-11-26' } }] },
      22,
    );
    expect(() => deed(bought?.id ?? '', 'eat-soon', 22)).toThrow(/did not go through/);
    expect(store.packages.size).toBe(4);
  });

  it('a zone that was redrawn since lay where it was drawn then', () => {
    const { back, deed, fridge, store } = long(9);
    store.drawings.set('fridge-appliance', {
      ...boxDrawing('other', 'fridge'),
      zones: boxDrawing('fridge', 'fridge').zones.map((zone) => ({ ...zone, compartmentId: 'other' })),
    });
    back();
    expect(() => deed(fridge, 'eat-soon')).toThrow(/throw it out/);
  });

  it('a cool box counts until food is back from it, with the power on or off', () => {
    const { told, back, deed, fridge } = long(3);
    const box = {
      id: 'box',
      called: 'Cool box',
      kind: 'fridge',
      fill: 0.5,
      doors: 'shut',
      telltale: 'none',
      roomC: 22,
      iceKg: 2,
      waterKg: 0,
    };
    told('cut.part', { part: box, off: false }, 1);
    told('cut.see', { packages: [fridge], to: 'box' }, 1);
    back();
    expect(() => deed(fridge, 'eat-soon', 3.5)).not.toThrow();
    told('cut.see', { packages: [fridge], to: null }, 18);
    expect(() => deed(fridge, 'eat-soon', 19)).toThrow(/throw it out/);
  });

  it('a log that goes on warm after the told end moves it, and no warm hour is lost by its thinning', () => {
    const { told, back, deed, fridge } = long(3);
    const log = (from: number, values: number[]) => values.map((c, nth) => ({ at: at(from + nth / 6), c }));
    back();
    // Warm by a hair for 29 minutes of each half hour, six times; then cold at once.
    const readings = [
      ...log(-0.5, [3, 3, 3]),
      ...log(
        0.1,
        Array.from({ length: 14 }, () => 4.5),
      ),
      ...log(2.5, [0, 0]),
    ];
    told('log.add', { part: 'fridge', readings, battery: null, itsClock: null, sure: false }, 4);
    expect(() => deed(fridge, 'eat-soon', 4)).toThrow(/throw it out/);
    const other = long(3);
    other.back();
    const warm = [
      ...log(-0.5, [3, 3, 3]),
      ...log(
        2,
        Array.from({ length: 15 }, () => 6),
      ),
      ...log(4.6, [3]),
    ];
    other.told('log.add', { part: 'fridge', readings: warm, battery: null, itsClock: null, sure: false }, 5);
    expect(() => other.deed(other.fridge, 'eat-soon', 5)).toThrow(/throw it out/);
  });

  it('until it is decided nothing of it is used; putting the desk away puts the stricter date on it', () => {
    const { told, back, fridge, chest, now, store } = long(30);
    back();
    for (const [type, more] of [
      ['package.take', { amount: null }],
      ['package.give', { amount: null }],
      ['package.freeze', { zone: 'chest-zone', wrap: 'zip-bag', form: null, blanched: true }],
      ['package.answer', { answer: 'eat-tonight', on: null }],
    ] as const)
      expect(() => told(type, { package: fridge, version: now(fridge).version, ...more }, 31)).toThrow(
        rule('O13'),
      );
    expect(() => told('package.take', take(chest, now(chest).version), 31)).toThrow(/outage desk/);
    told('cut.close', {}, 32);
    expect([now(fridge).condemned, now(chest).condemned]).toEqual([true, true]);
    store.run({ id: 'u', type: 'ledger.undo', command: 'cut.close 32', meanwhile: 'cold' }, at(33));
    expect([now(fridge).condemned, now(chest).condemned]).toEqual([false, false]);
  });
});
