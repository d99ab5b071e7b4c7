import { food } from '../../../tests/fixtures/reference';
import { Store } from '../../../tests/fixtures/memoryStore';
import { askOn, nearOn, USUAL_LEAD } from '../firstout/askOn';
import { NO_WISH } from '../model/wish';
import type { Package } from '../model/package';
import { passedUnanswered } from './package/settlePassing';

const noon = (date: string): string => `${date}T12:00:00.000Z`;
const rule = (name: string): Error => expect.objectContaining({ rule: name }) as Error;
const asks = (found: Package): string => askOn(found, USUAL_LEAD);

/** One hard cheese, best by 24 May 2027, and one steak, use by 30 November 2026; both came in on 25 November. */
const cheese = { food: 'hard-cheese', called: 'Hard cheese', packs: 1, amount: 400 };
const steak = { food: 'beef-steak', called: 'Steak', packs: 1, amount: 400 };

describe('answers', () => {
  it('asks a day ahead; what is to be eaten stands until its date is over or it is dropped; a look rests by food', () => {
    const store = new Store();
    store.store(steak);
    expect([asks(store.first()), nearOn(store.first(), USUAL_LEAD)]).toEqual(['2026-11-29', '2026-11-26']);
    const tonight = store.on('package.answer', { answer: 'eat-tonight', on: null }, noon('2026-11-26'));
    expect([tonight.governingDate, asks(tonight)]).toEqual(['2026-11-30', '2026-12-01']);
    const plan = store.on('package.answer', { answer: 'plan', on: '2026-11-29' }, noon('2026-11-27'));
    expect([plan.answer?.day, asks(plan)]).toEqual(['2026-11-29', '2026-12-01']);
    const dropped = store.on('package.answer', { answer: 'drop', on: null }, noon('2026-11-27'));
    expect([dropped.answer, asks(dropped)]).toEqual([null, '2026-11-29']);
    const other = new Store();
    other.store(cheese);
    expect(nearOn(other.first(), USUAL_LEAD)).toBe('2027-05-20');
    const fine = other.on('package.answer', { answer: 'looked-fine', on: null }, noon('2027-05-22'));
    expect([fine.governingDate, asks(fine)]).toEqual(['2027-05-24', '2027-06-21']);
  });

  it('refuses a look against a use by, a plan past the date, and any answer for what must go out', () => {
    const store = new Store();
    store.store(steak);
    const answer = (what: string, on: string | null, at: string) => () =>
      store.on('package.answer', { answer: what, on }, noon(at));
    expect(answer('looked-fine', null, '2026-11-27')).toThrow(rule('K2'));
    expect(answer('plan', '2026-12-01', '2026-11-27')).toThrow(rule('plan'));
    expect(answer('plan', '2026-11-26', '2026-11-27')).toThrow(rule('plan'));
    expect(answer('plan', null, '2026-11-27')).toThrow(rule('plan'));
    expect(answer('eat-tonight', null, '2026-12-01')).toThrow(rule('K2'));
  });

  it('another clock asks anew: opening takes the answer’s force away', () => {
    const store = new Store();
    store.store({ food: 'milk', called: 'Milk', amount: 1000, unit: 'ml', packs: 1 });
    const planned = store.on('package.answer', { answer: 'plan', on: '2026-12-02' });
    expect(asks(planned)).toBe('2026-12-03');
    const opened = store.on('package.open', {}, noon('2026-11-25'));
    expect(opened.governingDate).toBe('2026-12-02');
    const sooner = store.on('package.find', { finding: 'turning' }, noon('2026-11-26'));
    expect([sooner.governingDate, asks(sooner)]).toEqual(['2026-11-27', '2026-11-26']);
  });

  it('lets food be given away and cooked while it is good, composted and binned at any time', () => {
    for (const [type, how] of [
      ['package.give', 'given'],
      ['package.compost', 'composted'],
      ['package.cook', 'cooked'],
    ] as const) {
      const store = new Store();
      store.store(steak);
      expect(store.on(type, { amount: null, into: null }).gone?.how).toBe(how);
      const late = new Store();
      late.store(steak);
      const act = () => late.on(type, { amount: null, into: null }, noon('2026-12-01'));
      if (how === 'composted') expect(act().gone?.how).toBe(how);
      else expect(act).toThrow(rule('K2'));
    }
  });

  it('cooks one lot into another, and takes both back together', () => {
    const store = new Store();
    const [raw] = store.store(steak);
    const into = { food: 'stew', called: 'Stew', amount: 1200, unit: 'g', packs: 3, form: null, wrap: 'tub' };
    const dish = {
      ...into,
      priceMinor: null,
      zone: 'shelf',
      printed: null,
      start: { did: 'cooked', on: '2026-11-27' },
      openedOn: null,
      frozenOn: null,
      blanched: true,
      note: '',
    };
    const events = store.run(
      { id: 'cook', type: 'package.cook', package: raw?.id, version: 1, amount: null, into: dish },
      noon('2026-11-27'),
    );
    expect(events.map(({ type }) => type)).toEqual(['package.cooked', ...Array(3).fill('package.stored')]);
    expect(events[1]?.after).toMatchObject({ startOn: '2026-11-27', useBy: '2026-12-01', amount: 400 });
    store.run({ id: 'undo', type: 'ledger.undo', command: 'cook' }, noon('2026-11-27'));
    expect(store.first().gone).toBeNull();
    expect([...store.packages.values()].filter(({ gone }) => gone?.how === 'undone')).toHaveLength(3);
  });
});

describe('passed without an answer', () => {
  it('counts what was left alone, and only that; a late answer or the bin does not hide it', () => {
    const left = new Store();
    left.store(steak);
    expect(passedUnanswered(left.first(), '2026-11-30')).toBe(false);
    expect(passedUnanswered(left.first(), '2026-12-01')).toBe(true);
    const binned = left.on('package.discard', { reason: 'past-date', amount: null }, noon('2026-12-03'));
    expect(binned.unanswered).toEqual(['2026-11-30']);

    const answered = new Store();
    answered.store(steak);
    answered.on('package.answer', { answer: 'eat-tonight', on: null }, noon('2026-11-30'));
    expect(passedUnanswered(answered.first(), '2026-12-05')).toBe(false);

    const late = new Store();
    late.store(cheese);
    const looked = late.on('package.answer', { answer: 'looked-fine', on: null }, noon('2027-05-26'));
    expect(looked.unanswered).toEqual(['2027-05-24']);
    expect(passedUnanswered(looked, '2027-06-20')).toBe(false);
  });

  it('does not count what came in past its date, nor what was undone', () => {
    const store = new Store();
    store.store({ ...cheese, start: { did: 'bought', on: '2026-01-01' } });
    expect(store.first().governingDate < '2026-11-25').toBe(true);
    expect(passedUnanswered(store.first(), '2026-12-01')).toBe(false);
  });
});

describe('what the household sets', () => {
  it('a wish dates packages anew, never looser, and goes back with an undo', () => {
    const store = new Store();
    store.store(steak);
    const wish = { ...NO_WISH, fridgeDays: 2 };
    store.run({ id: 'w', type: 'food.wish', food: 'beef-steak', wish });
    expect(store.first().useBy).toBe('2026-11-27');
    expect(store.first().trail.map(({ rule: id }) => id)).toContain('wish');
    const longer = { id: 'x', type: 'food.wish', food: 'beef-steak', wish: { ...NO_WISH, fridgeDays: 9 } };
    expect(() => store.run(longer)).toThrow(rule('wish'));
    store.run({ id: 'u', type: 'ledger.undo', command: 'w' });
    expect(store.first().useBy).toBe('2026-11-30');
    expect(() => store.run({ id: 'u2', type: 'ledger.undo', command: 'w' })).toThrow(rule('undo'));
  });

  it('adds a food by copying, refuses a taken name, and takes it off the list while packages keep their dates', () => {
    const store = new Store();
    const add = (name: string, id: string) =>
      store.run({ id, type: 'food.add', copy: 'venison', name, aliases: [], note: '', wish: NO_WISH });
    expect(() => add('Elk', 'taken')).toThrow(rule('food'));
    add('Glen venison', 'add');
    const [id] = [...store.own.keys()];
    store.store({ food: id ?? '', called: 'Glen venison', packs: 1 });
    const { governingDate } = store.first();
    expect(store.own.get(id ?? '')?.food).toMatchObject({
      fridgeDaysMax: food('venison').fridgeDaysMax,
      copyOf: 'venison',
    });
    store.run({ id: 'r', type: 'food.retire', food: id });
    expect(store.own.get(id ?? '')?.retired).toBe(true);
    expect(store.on('package.open').governingDate).toBe(governingDate);
    expect(() => store.run({ id: 'r2', type: 'food.retire', food: 'venison' })).toThrow(rule('food'));
  });

  it('another caution dates everything anew; a new calendar key is another one; a job is done today', () => {
    const store = new Store();
    store.store(steak);
    store.run({ id: 'h', type: 'household.set', changes: { caution: 'careful' }, renewFeed: true });
    expect(store.first().useBy).toBe('2026-11-28');
    expect(store.settings.feedKey).toBe('new-key');
    store.run({ id: 'u', type: 'ledger.undo', command: 'h' });
    expect([store.first().useBy, store.settings.feedKey]).toEqual(['2026-11-30', 'old-key']);
    store.run({ id: 'j', type: 'job.done', job: 'j' });
    expect(store.jobs.get('j')?.lastOn).toBe('2026-11-25');
  });
});

describe('pots and places', () => {
  it('a pot is as old as its oldest content and says “use me” at its cap', () => {
    const store = new Store();
    store.store({ food: 'egg-whites', called: 'Egg whites', amount: 60, packs: 1, form: 'pot' });
    const topUp = (amount: number, content: string | null, at: string) =>
      store.on('package.top-up', { amount, content, cap: 150 }, noon(at));
    const more = topUp(60, null, '2026-11-26');
    expect([more.amount, more.startOn, more.useBy]).toEqual([120, '2026-11-25', '2026-11-29']);
    const full = topUp(40, '2026-11-24', '2026-11-27');
    expect([full.startOn, full.useBy]).toEqual(['2026-11-24', '2026-11-28']);
    expect(full.trail.at(-1)?.says).toMatch(/use me/);
    expect(() => topUp(40, null, '2026-11-29')).toThrow(rule('K11'));
    const steaks = new Store();
    steaks.store(steak);
    expect(() => steaks.on('package.top-up', { amount: 1, content: null, cap: null })).toThrow(rule('K11'));
  });

  it('keeps out of the cold only what belongs there, and takes it back', () => {
    const store = new Store();
    store.store({ food: 'bread', called: 'Bread', amount: 2, unit: 'pc', packs: 1 });
    const out = store.on('package.keep-out');
    expect([out.state, out.zoneId, out.counterSince, out.bestBy]).toEqual(['room', null, null, '2026-11-29']);
    expect(store.on('package.move', { zone: 'shelf' }).state).toBe('chilled');
    const meat = new Store();
    meat.store(steak);
    expect(() => meat.on('package.keep-out')).toThrow(rule('K10'));
  });

  it('puts a late entry on the day it happened', () => {
    const store = new Store();
    store.store(cheese);
    store.on('package.open', {}, noon('2026-11-28'));
    const moved = store.on('package.find', { finding: 'turning' }, noon('2026-11-26'));
    expect(moved.history.map(({ on }) => on)).toEqual(['2026-11-25', '2026-11-26', '2026-11-28']);
  });
});
