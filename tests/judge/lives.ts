import { groupStock } from '../../src/core/stock/groupStock';
import { LUNCH_SLOTS, lunchOptions } from '../../src/core/stock/packLunch';
import type { StockRow } from '../../src/core/stock/stockRow';
import { firstOutKey } from '../../src/core/firstout/firstOutKey';
import {
  asEdible,
  EATABLE,
  type Eatable,
  mayEat,
  type MayEat,
  mayOffer,
} from '../../src/core/keeping/mayEat';
import { listToUseUp } from '../../src/core/rounds/listToUseUp';
import { helpYourself } from '../../src/core/stock/helpYourself';
import type { Package } from '../../src/core/model/package';
import { Refusal } from '../../src/core/model/refusal';
import { StaleVersion } from '../../src/core/model/stale';
import { boxDrawing } from '../fixtures/boxDrawing';
import { LINE, Store } from '../fixtures/memoryStore';
import { food } from '../fixtures/reference';
import type { Chance } from './chance';
import { Broken } from './laws';

/** Something told: when it happened, when it was told if later, and of which package. */
interface Deed {
  at: string;
  now?: string;
  command: Record<string, unknown> & { type: string };
  /** Other packages that go into it. */
  with?: string[];
}

/** A household's life so far, as it was told. */
interface Life {
  chance: Chance;
  store: Store;
  deeds: Deed[];
  at: string;
}

const FOODS = [
  'ground-beef',
  'trout',
  'ham-sliced',
  'milk',
  'casserole',
  'hard-cheese',
  'mayonnaise',
  'melon',
  'rice-cooked',
];
const SECOND = 'fridge-upper';
const HOUR = 3_600_000;
const START = '2026-11-20T08:00:00.000Z';
const after = (instant: string, hours: number): string =>
  new Date(Date.parse(instant) + hours * HOUR).toISOString();
const later = (a: string | null, b: string | null): boolean => (a ?? '9999') > (b ?? '9999');
const here = (store: Store): Package[] => [...store.packages.values()].filter(({ gone }) => gone === null);

function fail(deeds: readonly Deed[], law: string, more: unknown): never {
  throw new Broken(
    `${law}\n${deeds.map((deed) => JSON.stringify(deed)).join('\n')}\n${JSON.stringify(more)}`,
  );
}

function emptyHouse(): Store {
  const store = new Store();
  for (const drawing of [boxDrawing('fridge', 'fridge'), boxDrawing('chest', 'freezer')])
    store.drawings.set(drawing.id, drawing);
  return store;
}

/** Tells one deed. @returns false when a rule refuses it: nothing is changed then */
function tell(store: Store, { at, now, command, with: parts }: Deed, nth: number): boolean {
  const version = (id: unknown): number | undefined => store.packages.get(String(id))?.version;
  const named = command.package === undefined ? {} : { version: version(command.package) };
  const all = parts ? { with: parts.map((id) => ({ package: id, version: version(id), amount: null })) } : {};
  const things = Array.isArray(command.things)
    ? {
        things: (command.things as { package: string }[]).map((one) => ({
          ...one,
          version: version(one.package),
        })),
      }
    : {};
  const served = Array.isArray(command.parts)
    ? {
        parts: (command.parts as { package?: string }[]).map((one) =>
          one.package === undefined ? one : { ...one, version: version(one.package) },
        ),
      }
    : {};
  const seen = Array.isArray(command.packages)
    ? { packages: (command.packages as string[]).filter((id) => store.packages.get(id)?.gone === null) }
    : {};
  const named2 = [command.package, ...(parts ?? []), ...(served.parts ?? []).map((one) => one.package)];
  if (named2.some((id) => id !== undefined && !store.packages.has(String(id)))) return false;
  store.now = now ?? at;
  try {
    store.run({ id: `c${nth}`, ...command, ...named, ...all, ...things, ...served, ...seen }, at);
    return true;
  } catch (error) {
    if (error instanceof Refusal || error instanceof StaleVersion) return false;
    throw error;
  } finally {
    store.now = null;
  }
}

/** The same deeds in another house; `null`: one of them, not the last, is refused there. */
function replay(deeds: readonly Deed[]): Store | null {
  const store = emptyHouse();
  for (const [nth, deed] of deeds.entries())
    if (!tell(store, deed, nth) && nth < deeds.length - 1) return null;
  return store;
}

function drawDeed(life: Life): Deed {
  const { chance, store, at } = life;
  const one = chance.of(here(store));
  if (!one || chance.may(0.15)) return storing(chance, at);
  const command = (type: string, more: object = {}): Deed => ({
    at,
    command: { type, package: one.id, ...more },
  });
  switch (chance.whole(0, 14)) {
    case 12: {
      const amount = Math.max(1, Math.floor(one.amount / 2));
      const startOn = after(`${one.startOn}T12:00:00.000Z`, 24 * chance.of([-1, 1])).slice(0, 10);
      const more = chance.of([{ amount }, { startOn }]);
      return command('package.correct', { ...more, reason: 'misread', sure: chance.may(0.5) });
    }
    case 13:
      return redrawing(life);
    case 14: {
      const [main, beside] = here(store).filter(({ unit, state }) => unit === 'g' && state !== 'frozen');
      if (!main || !beside) return command('package.open');
      const half = [main, beside].map(({ amount }) => Math.max(1, Math.floor(amount / 2)));
      const parts = [{ package: main.id }, { package: beside.id }];
      const dinners = [{ whose: '', amounts: half }];
      return { at, command: { type: 'meal.assemble', parts, dinners, zone: 'fridge-zone' } };
    }
    case 0:
      return command('package.open');
    case 1:
      return command('package.take', {
        amount: Math.floor(one.amount / 2),
        pieces: chance.of(['open', 'closed']),
      });
    case 2:
    case 3:
      return command('package.split', { amounts: [Math.max(1, Math.floor(one.amount / 3))], pieces: 'open' });
    case 4: {
      const like = here(store).filter(({ id, foodId }) => id !== one.id && foodId === one.foodId);
      const [other] = like;
      return other ? { ...command('package.merge'), with: [other.id] } : command('package.open');
    }
    case 5:
      return command('package.lose');
    case 6:
      return command('package.move', { zone: null, anyway: false });
    case 7: {
      const lost = [...store.packages.values()].find(({ gone }) => gone?.how === 'lost');
      const minutes = chance.of([0, 20, 90]);
      const back = { type: 'package.put-back', package: lost?.id ?? one.id, minutes, hot: false };
      return { at, command: { ...back, zone: chance.of(['fridge-zone', 'chest-zone']), anyway: true } };
    }
    case 8:
      return command('package.freeze', { zone: 'chest-zone', wrap: 'zip-bag', form: null, blanched: true });
    case 9:
      return command('package.thaw', { zone: 'fridge-zone', method: chance.of(['fridge', 'cold-water']) });
    case 10:
      return command('package.find', { finding: chance.of(['turning', 'bad']) });
    default: {
      const dish = {
        ...LINE,
        food: 'casserole',
        called: 'Casserole',
        amount: 400,
        packs: 1,
        zone: 'fridge-zone',
      };
      const start = { did: 'cooked' as const, on: at.slice(0, 10) };
      return command('package.cook', {
        amount: null,
        into: { ...dish, priceMinor: null, form: null, start },
      });
    }
  }
}

/** The fridge gets a second shelf, where something goes, or loses it again with all that lies there. */
function redrawing({ chance, store, at }: Life): Deed {
  const second = here(store).filter(({ zoneId }) => zoneId === SECOND);
  const plain = boxDrawing('fridge', 'fridge');
  const [shelf] = plain.zones;
  const two = store.drawings.get(plain.id)?.zones.length === 2;
  const moved = chance.of(here(store));
  if (two && moved && second.length === 0)
    return { at, command: { type: 'package.move', package: moved.id, zone: SECOND, anyway: true } };
  const upper = shelf && { ...shelf, id: SECOND, name: 'Upper shelf', yMm: 400 };
  const zones = two || !shelf || !upper ? plain.zones : [shelf, upper];
  const to = chance.of(['fridge-zone', null]);
  const drawing = { appliance: { ...plain, zones }, version: 1, rehome: [{ zone: SECOND, to }] };
  return { at, command: { type: 'appliance.draw', ...drawing } };
}

function storing(chance: Chance, at: string): Deed {
  const on = after(at, -24 * chance.whole(0, 2)).slice(0, 10);
  const id = chance.of(FOODS);
  const where = chance.of(['fridge-zone', 'fridge-zone', 'chest-zone', null]);
  const frozen = where === 'chest-zone' && food(id).freezeFit !== 'no';
  const did = id === 'casserole' || id === 'rice-cooked' ? ('cooked' as const) : ('bought' as const);
  const line = { ...LINE, food: id, called: id, amount: chance.whole(200, 900), packs: 1, priceMinor: null };
  const told = {
    form: null,
    zone: frozen ? where : 'fridge-zone',
    start: { did, on },
    frozenOn: frozen ? on : null,
  };
  return { at, command: { type: 'haul.store', lines: [{ ...line, ...told }] } };
}

const toRow = (found: Package): StockRow => ({
  ...found,
  opened: found.openedOn !== null,
  whose: '',
  handsOff: false,
  firstOut: firstOutKey(found),
});

const answerIn = (store: Store, at: string): MayEat => {
  const world = store.world(at);
  return (found) =>
    mayEat(found, {
      today: at.slice(0, 10),
      at,
      hot: false,
      food: food(found.foodId),
      cut: world.openVerdict(store.packages.get(found.id) as Package),
    });
};

/** L7: what may not be eaten is offered in no list, told by no group as fine, and accepted by no command. */
function checkOffers({ store, at, deeds }: Life): void {
  const ask = answerIn(store, at);
  const rows = here(store).map(toRow);
  const today = at.slice(0, 10);
  const offered = [
    ...helpYourself(rows, food, today, ask),
    ...LUNCH_SLOTS.flatMap((slot) => lunchOptions(rows, slot, food, today, ask).map(({ row }) => row)),
    ...listToUseUp(
      rows,
      new Map(rows.map(({ id }) => [id, { finding: 'turning' as const }])),
      today,
      ask,
    ).map(({ row }) => row),
  ];
  for (const row of offered) if (!mayOffer(ask(row))) fail(deeds, 'offered though it is not for eating', row);
  for (const { first, may } of groupStock(rows, 'food', today, () => '', ask).map((group) => ({
    ...group,
    may: group.verdict,
  })))
    if (rank(may) < rank(ask(first).may))
      fail(deeds, 'a group is told milder than what goes first', { first, may });
  for (const [nth, row] of rows.entries()) {
    if (mayOffer(ask(row))) continue;
    const on = { package: row.id };
    for (const command of [
      { type: 'package.take', ...on, amount: null },
      { type: 'package.give', ...on, amount: null },
      { type: 'package.freeze', ...on, zone: 'chest-zone', wrap: 'zip-bag', form: null, blanched: true },
    ])
      if (tell(store, { at, command }, 10_000 + nth))
        fail(deeds, 'accepted though it is not for eating', { command, row, says: ask(row) });
  }
}

const rank = (may: Eatable): number => EATABLE.indexOf(may);

/** What is made of something is never milder than it was. */
function checkMade(
  { store, deeds }: Life,
  { command, with: parts }: Deed,
  before: ReadonlyMap<string, Package>,
): void {
  const made = [...store.packages.values()].filter((one) => before.get(one.id) !== one);
  const own = before.get(String(command.package));
  if (!own) return;
  const from = [own, ...(parts ?? []).flatMap((id) => before.get(id) ?? [])];
  if (command.type === 'package.split') {
    const [a, b] = made.map(({ useBy, bestBy, condemned, counterMinutes, openedOn }) =>
      JSON.stringify([useBy, bestBy, condemned, counterMinutes, openedOn]),
    );
    if (a !== b) fail(deeds, 'halves differ', made);
  }
  const ready = food(own.foodId).group === 'leftovers' || food(own.foodId).readiness === 'ready-to-eat';
  if (
    !['package.split', 'package.merge'].includes(command.type) &&
    !(command.type === 'package.cook' && ready)
  )
    return;
  for (const one of made.filter(({ gone }) => gone === null))
    for (const part of from)
      if (
        (one.state === part.state && (later(one.useBy, part.useBy) || one.startOn > part.startOn)) ||
        (part.condemned && !one.condemned) ||
        one.counterMinutes < part.counterMinutes
      )
        fail(deeds, 'milder than what it is made of', { one, part });
}

function grow(chance: Chance, offers: boolean): Life {
  const life: Life = { chance, store: emptyHouse(), deeds: [], at: START };
  for (let left = chance.whole(5, 12); left > 0; left--) {
    life.at = after(life.at, chance.may(0.6) ? chance.next() * 3 : chance.whole(6, 60));
    const deed = life.deeds.length === 0 ? storing(chance, life.at) : drawDeed(life);
    const before = new Map(life.store.packages);
    if (!tell(life.store, deed, life.deeds.length)) continue;
    life.deeds.push(deed);
    checkMade(life, deed, before);
    if (offers) checkOffers(life);
  }
  return life;
}

/** Never later in the second house, and never milder. */
function checkStricter(deeds: readonly Deed[], law: string, mild: Store, strict: Store, at: string): void {
  const [milder, stricter] = [answerIn(mild, at), answerIn(strict, at)];
  for (const one of here(strict)) {
    const other = mild.packages.get(one.id);
    if (!other || other.gone) continue;
    const dates =
      one.state === other.state &&
      (later(one.useBy, other.useBy) || (one.useBy === null && one.bestBy > other.bestBy));
    if (dates || rank(stricter(asEdible(one)).may) < rank(milder(asEdible(other)).may))
      fail(deeds, law, { one, other, says: [stricter(asEdible(one)), milder(asEdible(other))] });
  }
}

/** Told late it is as if told in time, or stricter (L1). */
function checkLate({ chance, deeds, at, store }: Life): boolean {
  const place = chance.whole(1, deeds.length);
  const then = after(deeds[place - 1]?.at ?? START, 0.01);
  // Told between two deeds, or not at all.
  if (then >= (deeds[place]?.at ?? '9999')) return false;
  const soFar = replay(deeds.slice(0, place));
  const one = soFar && chance.of(here(soFar));
  if (!one || store.packages.get(one.id)?.gone !== null) return false;
  const command = chance.of([
    { type: 'package.open', package: one.id },
    { type: 'package.find', package: one.id, finding: 'turning' },
  ]);
  const now = after(at, 0.5);
  const inTime = replay([...deeds.slice(0, place), { at: then, command }, ...deeds.slice(place)]);
  const late = replay([...deeds, { at: then, now, command }]);
  if (!inTime || !late || late.done.size !== deeds.length + 1 || inTime.done.size !== deeds.length + 1)
    return false;
  checkStricter(
    [...deeds, { at: then, now, command }],
    'told late, and milder than in time',
    inTime,
    late,
    now,
  );
  return true;
}

/** A power cut helps nothing (O10 to O14): whatever was looked at, decided or not. */
function checkCut({ chance, deeds, at, store: without }: Life): boolean {
  const place = chance.whole(1, deeds.length);
  const from = after(deeds[place - 1]?.at ?? START, 0.01);
  const hours = chance.of([1, 3, 5, 12, 40]);
  const until = after(from, hours);
  const cut = { cut: 'cut' };
  const parts = ['fridge', 'chest'].map((id) => ({ id, fill: 0.5, doors: 'shut' }));
  const seen = after(from, chance.next() * (hours + 6));
  const all = here(without).map(({ id }) => id);
  const looks: Deed[] = chance.may(0.5)
    ? [
        {
          at: seen,
          command: { type: 'cut.see', ...cut, packages: all, seen: { iceCrystals: chance.may(0.7) } },
        },
      ]
    : [];
  if (chance.may(0.3)) {
    const cold = { fill: 0.5, doors: 'shut', telltale: 'none', roomC: 22, iceKg: 2, waterKg: 0 };
    const box = { id: 'cool-box', called: 'Cool box', kind: 'fridge', ...cold };
    const brought = chance.may(0.7) ? all.slice(0, 2) : all;
    looks.push(
      { at: seen, command: { type: 'cut.part', ...cut, part: box, off: false } },
      { at: seen, command: { type: 'cut.see', ...cut, packages: brought, to: 'cool-box' } },
    );
    if (chance.may(0.5))
      looks.push({
        at: after(seen, chance.next() * 8),
        command: { type: 'cut.see', ...cut, packages: brought, to: null },
      });
  }
  const end = after(until > at ? until : at, 8);
  const during: Deed[] = [
    { at: from, command: { type: 'cut.begin', ...cut, from, parts } },
    ...looks,
    { at: until, command: { type: 'cut.time', ...cut, from, until } },
  ];
  const store = emptyHouse();
  const told = [...deeds, ...during].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const refused = told.filter((deed, nth) => !tell(store, deed, nth));
  if (refused.some((deed) => !looks.includes(deed))) return false;
  checkStricter(told, 'a power cut made it milder', without, store, end);
  if (chance.may(0.5)) {
    const world = store.world(end);
    const things = here(store).flatMap((one) => {
      const verdict = world.openVerdict(one)?.verdict;
      if (!verdict || verdict === 'keep' || verdict === 'check') return [];
      return [{ package: one.id, did: verdict === 'refreeze-quality-loss' ? 'refreeze' : verdict }];
    });
    const judged: Deed = { at: end, command: { type: 'cut.judge', ...cut, things } };
    if (things.length > 0 && tell(store, judged, 500)) told.push(judged);
  }
  const close: Deed = { at: end, command: { type: 'cut.close', ...cut } };
  if (tell(store, close, 501)) told.push(close);
  checkStricter(told, 'a power cut that was put away made it milder', without, store, end);
  return true;
}

/**
 * One household's life under the laws; how many of the late tellings and power cuts could be compared.
 *
 * @param offers after each deed every list and command is asked for what may not be eaten (L7) @throws Broken
 */
export function runLife(chance: Chance, offers: boolean): { deeds: number; late: number; cuts: number } {
  const life = grow(chance, offers);
  return { deeds: life.deeds.length, late: checkLate(life) ? 1 : 0, cuts: checkCut(life) ? 1 : 0 };
}
