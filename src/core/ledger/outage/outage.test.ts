import { boxDrawing } from '../../../../tests/fixtures/boxDrawing';
import { Store } from '../../../../tests/fixtures/memoryStore';
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
