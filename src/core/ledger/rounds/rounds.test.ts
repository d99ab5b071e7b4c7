import fc from 'fast-check';
import { LINE, Store } from '../../../../tests/fixtures/memoryStore';
import { addDays } from '../../calendar/calendarDate';
import type { Package } from '../../model/package';
import type { Finding, Looked, Reset, Round } from '../../model/round';

const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;
const TODAY = '2026-11-25';
const at = (days: number, hours = 12): string =>
  `${addDays(TODAY, days)}T${String(hours).padStart(2, '0')}:00:00.000Z`;

/** Three things on the shelf and one in the chest, and a round begun. */
function house() {
  const store = new Store();
  const line = (food: string, called: string, more: object = {}) => ({
    ...{ ...LINE, food, called, amount: 500, packs: 1, form: null, priceMinor: 200 },
    ...more,
  });
  const lines = [
    line('carrots', 'Carrots'),
    line('ham-sliced', 'Ham'),
    line('stew', 'Stew', { start: { did: 'cooked', on: TODAY } }),
    line('peas', 'Peas', { zone: 'chest', frozenOn: TODAY }),
  ];
  store.run({ id: 'h', type: 'haul.store', lines }, at(0));
  const one = (called: string): Package => {
    const found = [...store.packages.values()].find((its) => its.called === called);
    if (!found) throw new Error(`no ${called}`);
    return found;
  };
  let count = 0;
  const run = (type: string, body: object, when = at(1)): string => {
    const id = `c${count++}`;
    store.run({ id, type, ...body }, when);
    return id;
  };
  const begin = (round: string, when = at(1)): string =>
    run('round.begin', { round, zones: ['shelf', 'chest'] }, when);
  const look = (
    round: string,
    called: string,
    finding: Finding,
    when = at(1),
    here: string | null = null,
  ): string =>
    run('round.look', { round, package: one(called).id, version: one(called).version, finding, here }, when);
  const undo = (command: string, when = at(1)): string =>
    run('ledger.undo', { command, meanwhile: 'cold' }, when);
  const looked = (called: string) => store.kept.get(`looked ${one(called).id}`) as Looked | undefined;
  const round = (id: string) => store.kept.get(`round ${id}`) as Round | undefined;
  return { store, one, run, begin, look, undo, looked, round };
}

it('a finding only shortens, whatever was found before and after (K12); each is undone', () => {
  const finding = fc.constantFrom<Finding>('fine', 'turning', 'bad', 'missing');
  const called = fc.constantFrom('Carrots', 'Ham', 'Stew', 'Peas');
  fc.assert(
    fc.property(fc.array(fc.tuple(called, finding), { minLength: 1, maxLength: 8 }), (looks) => {
      const { one, begin, look, run, undo, looked } = house();
      let day = 1;
      for (const [name, what] of looks) {
        const before = one(name);
        if (before.gone !== null) continue;
        begin(`r${day}`, at(day));
        if (what === 'fine' && (before.useBy ?? '9999') < addDays(TODAY, day)) {
          expect(() => look(`r${day}`, name, what, at(day))).toThrow(rule('K2'));
          run('round.end', { round: `r${day}` }, at(day, 13));
          day++;
          continue;
        }
        const told = look(`r${day}`, name, what, at(day));
        const after = one(name);
        const limit = what === 'turning' ? addDays(addDays(TODAY, day), 1) : before.governingDate;
        expect(after.governingDate <= before.governingDate).toBe(true);
        expect(after.governingDate <= limit).toBe(true);
        if (what === 'bad') expect(after.gone).toMatchObject({ how: 'discarded', reason: 'spoiled' });
        if (what === 'fine')
          expect(looked(name)).toMatchObject({ fineOn: addDays(TODAY, day), missing: null });
        undo(told, at(day));
        expect({ ...one(name), version: 0 }).toEqual({ ...before, version: 0 });
        look(`r${day}`, name, what, at(day));
        run('round.end', { round: `r${day}` }, at(day, 13));
        day++;
      }
    }),
    { numRuns: 60 },
  );
});

it('what was not there is asked about in the next round, then lost; found elsewhere it lies there', () => {
  const { one, begin, look, run, looked, store } = house();
  begin('a');
  look('a', 'Ham', 'missing');
  expect(one('Ham').gone).toBeNull();
  expect(() => look('a', 'Ham', 'missing')).toThrow(/next round/);
  look('a', 'Carrots', 'missing');
  run('round.end', { round: 'a' });
  begin('b', at(4));
  look('b', 'Ham', 'missing', at(4));
  expect(one('Ham').gone).toMatchObject({ how: 'lost' });
  look('b', 'Carrots', 'fine', at(4), 'door');
  expect(one('Carrots')).toMatchObject({ zoneId: 'door', gone: null });
  expect(looked('Carrots')).toMatchObject({ fineOn: addDays(TODAY, 4), missing: null });
  expect(() => look('b', 'Peas', 'fine', at(4), 'shelf')).toThrow(/thaw/);
  expect([...store.packages.values()].filter(({ gone }) => gone === null)).toHaveLength(3);
});

it('a round may be left half way: what is skipped stays open, one round at a time, over when it is over', () => {
  const { begin, run, round, look } = house();
  begin('a');
  expect(() => begin('b')).toThrow(rule('round'));
  run('round.zone', { round: 'a', zone: 'shelf', step: 'walked' });
  run('round.zone', { round: 'a', zone: 'chest', step: 'skipped' });
  expect(() => run('round.zone', { round: 'a', zone: 'door', step: 'walked' })).toThrow(rule('round'));
  run('round.end', { round: 'a' }, at(1, 13));
  expect(round('a')?.zones.map(({ step }) => step)).toEqual(['walked', 'skipped']);
  expect(() => look('a', 'Ham', 'fine')).toThrow(/is over/);
});

it('what a food’s keeping is learnt from: the last fine day, the first turned one, of one clock only', () => {
  const { one, begin, look, looked, run } = house();
  begin('a');
  look('a', 'Carrots', 'fine');
  look('a', 'Carrots', 'turning', at(3));
  expect(looked('Carrots')).toMatchObject({ fineOn: addDays(TODAY, 1), turnedOn: addDays(TODAY, 3) });
  const ham = one('Ham');
  look('a', 'Ham', 'fine');
  run('package.open', { package: ham.id, version: one('Ham').version }, at(2));
  look('a', 'Ham', 'fine', at(3));
  expect(looked('Ham')).toMatchObject({
    began: addDays(TODAY, 2),
    fineOn: addDays(TODAY, 3),
    turnedOn: null,
  });
});

it('what was put back from a reset and undone stands there again; then the reset itself is undone, its minutes kept', () => {
  const { one, run, undo } = house();
  const begun = run('reset.begin', { reset: 'x', zones: ['shelf'] });
  const back = run(
    'package.move',
    { package: one('Ham').id, version: one('Ham').version, zone: 'shelf' },
    at(1, 13),
  );
  undo(back, at(1, 13));
  expect(one('Ham')).toMatchObject({ zoneId: null, counterSince: at(1, 13) });
  run('ledger.undo', { command: begun, meanwhile: 'out' }, at(1, 13));
  expect(one('Ham')).toMatchObject({ zoneId: 'shelf', counterMinutes: 60 });
});

it('a reset puts all of a zone on the counter with its clock; half done it is safe; one undo puts it back', () => {
  const { store, one, run, undo } = house();
  const before = ['Carrots', 'Ham', 'Stew', 'Peas'].map((name) => one(name).zoneId);
  const begun = run('reset.begin', { reset: 'x', zones: ['shelf', 'chest'] });
  expect(one('Ham')).toMatchObject({ zoneId: null, counterSince: at(1) });
  expect(() => run('reset.begin', { reset: 'y', zones: ['door'] })).toThrow(rule('reset'));
  expect(() =>
    run('package.take', { package: one('Ham').id, version: one('Ham').version, amount: null }, at(1, 15)),
  ).toThrow(/out of the cold for too long/);
  undo(begun, at(1));
  expect(['Carrots', 'Ham', 'Stew', 'Peas'].map((name) => one(name).zoneId)).toEqual(before);
  expect(store.kept.get('reset x')).toBeUndefined();
  run('reset.begin', { reset: 'x', zones: ['shelf'] });
  run('package.move', { package: one('Ham').id, version: one('Ham').version, zone: 'shelf' }, at(1, 13));
  expect(one('Ham').counterMinutes).toBe(60);
  run('reset.step', { reset: 'x', step: 'wiped' }, at(1, 13));
  run('reset.step', { reset: 'x', step: 'ended' }, at(1, 13));
  expect(store.kept.get('reset x') as Reset).toMatchObject({
    wiped: true,
    ended: at(1, 13),
    out: { length: 3 },
  });
  expect(one('Carrots').counterSince).toBe(at(1));
  expect(() => run('reset.begin', { reset: 'z', zones: ['door'] })).toThrow(/nothing in/);
});
