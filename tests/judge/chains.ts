import { LINE, Store } from '../fixtures/memoryStore';
import { food, index } from '../fixtures/reference';
import { NO_WISH } from '../../src/core/model/wish';
import type { Package } from '../../src/core/model/package';
import { StaleVersion } from '../../src/core/model/stale';
import { Refusal } from '../../src/core/model/refusal';
import { previewLine } from '../../src/ui/quickline/previewLine';
import { knownZone } from '../fixtures/knownZone';
import type { Chance } from './chance';
import { checkStanding, dayOf, fail, here, type Run } from './laws';

const FOODS = [
  'ground-beef',
  'chicken-thighs-raw',
  'beef-steak',
  'milk',
  'quark',
  'ham-sliced',
  'stew',
  'mayonnaise',
  'hard-cheese',
  'bread',
  'apples',
  'strawberries',
  'trout',
  'eggs-in-shell',
  'frozen-vegetables',
  'egg-whites',
  'pesto',
];
const ZONES = ['shelf', 'door', 'chest'];
const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

function later(run: Run): void {
  const { chance } = run;
  const more = chance.may(0.6) ? chance.whole(0, 90) * MINUTE : chance.whole(1, 6) * DAY;
  run.at = new Date(Date.parse(run.at) + more).toISOString();
}

/** Runs a command; what a rule refuses changes nothing. @returns its id, or `null` */
function tell(run: Run, command: Record<string, unknown>): string | null {
  const id = `c${run.count++}`;
  try {
    run.store.run({ id, ...command }, run.at);
    run.log.push(`${run.at} ${id} ${JSON.stringify(command)}`);
    return id;
  } catch (error) {
    if (error instanceof Refusal || error instanceof StaleVersion || error instanceof RangeError) return null;
    throw error;
  }
}

const after = (a: string | null, b: string | null): boolean => (a ?? '9999') > (b ?? '9999');

/** One command of a chain, on a package or on what surrounds it. */
function drawCommand({ chance, ...run }: Run, one: Package): Record<string, unknown> {
  const on = { package: one.id, version: one.version };
  const part = Math.max(1, Math.floor(one.amount / chance.whole(2, 4)));
  switch (chance.whole(0, 15)) {
    case 0:
      return { type: 'package.open', ...on };
    case 1:
    case 2:
      return {
        type: 'package.take',
        ...on,
        amount: chance.may(0.8) ? part : null,
        pieces: chance.of(['closed', 'open', null]),
      };
    case 3:
    case 4:
      return {
        type: 'package.move',
        ...on,
        zone: chance.of(['shelf', 'door', 'chest', null]),
        anyway: false,
      };
    case 5:
      return { type: 'package.move', ...on, zone: null, anyway: false };
    case 6:
    case 7:
      return { type: 'package.freeze', ...on, zone: 'chest', anyway: false };
    case 8:
    case 9:
      return {
        type: 'package.thaw',
        ...on,
        method: chance.of(['fridge', 'fridge', 'cold-water', 'microwave', 'metal']),
        zone: chance.of(['shelf', 'door']),
        anyway: false,
      };
    case 10:
      return { type: 'package.find', ...on, finding: chance.of(['turning', 'turning', 'bad']) };
    case 11:
      return { type: 'package.keep-out', ...on };
    case 12:
      return {
        type: 'zone.measure',
        zone: chance.of(ZONES),
        celsius: chance.of([-18, -12, -5, 2, 4, 6, 9, 12]),
        sure: true,
      };
    case 13:
      return {
        type: 'household.set',
        changes: { caution: chance.of(['usual', 'careful', 'printed']) },
        renewFeed: false,
      };
    case 14: {
      const fridge = chance.whole(0, food(one.foodId).fridgeDaysMax ?? 3);
      run.wished.set(one.foodId, { fridge });
      return { type: 'food.wish', food: one.foodId, wish: { ...NO_WISH, fridgeDays: fridge } };
    }
    default:
      return { type: 'package.give', ...on, amount: part, pieces: null };
  }
}

function begin(chance: Chance): Run {
  const store = new Store();
  const run: Run = {
    store,
    chance,
    at: '2026-11-25T12:00:00.000Z',
    log: [],
    minutes: new Map(),
    wished: new Map(),
    count: 0,
  };
  if (chance.may(0.5))
    tell(run, {
      type: 'zone.measure',
      zone: chance.of(ZONES),
      celsius: chance.of([-15, -9, 3, 7, 10]),
      sure: true,
    });
  for (let lines = chance.whole(1, 2); lines > 0; lines--) storeOne(run);
  return run;
}

/** Stores a line, and sees that the preview had told what is stored. */
function storeOne(run: Run): void {
  const { chance, store } = run;
  const id = chance.of(FOODS);
  const frozen = chance.may(0.3);
  const line = {
    ...LINE,
    food: id,
    called: id,
    amount: chance.whole(4, 900),
    unit: chance.of(['g', 'g', 'pc'] as const),
    packs: chance.whole(1, 3),
    form: chance.of(['flat', 'loose', null, null] as const),
    wrap: chance.of([null, 'vacuum', 'shop-tray'] as const),
    zone: chance.of(frozen ? ['chest', null] : ['shelf', 'door', null, 'chest']),
    start: {
      did: chance.of(['bought', 'cooked'] as const),
      on: new Date(Date.parse(run.at) - chance.whole(0, 3) * DAY).toISOString().slice(0, 10),
      ...(frozen && chance.may(0.5) ? { frozen: true } : {}),
    },
    frozenOn: frozen && chance.may(0.7) ? dayOf(run) : null,
    printed: chance.may(0.4)
      ? {
          kind: chance.of(['use-by', 'best-before', 'freeze-by'] as const),
          date: new Date(Date.parse(run.at) + chance.whole(-2, 20) * DAY).toISOString().slice(0, 10),
        }
      : null,
  };
  if (line.start.frozen) line.frozenOn = null;
  const world = store.world(run.at);
  const zones = ZONES.map((zone) => {
    const { applianceName, ...known } = world.zone(zone);
    return knownZone({ ...known, applianceName, appliance: applianceName });
  });
  const foods = { ...index, byId: new Map([[id, world.food(id)]]) };
  const shown = previewLine(line, {
    foods,
    zones,
    today: dayOf(run),
    currency: 'EUR',
    caution: store.settings.caution,
  });
  const told = tell(run, { type: 'haul.store', lines: [line] });
  if ((told === null) !== (shown.refused !== null))
    fail(run, 'shown as refused, and stored, or the other way', { line, shown });
  const stored = told === null ? undefined : [...store.packages.values()].at(-1);
  if (stored && JSON.stringify(stored.trail) !== JSON.stringify(shown.trail))
    fail(run, 'shown is not what is stored', { shown, stored });
}

/** A chain of commands with undo and redo between them; the laws hold after each. @throws Broken */
export function runChain(chance: Chance): number {
  const run = begin(chance);
  checkStanding(run);
  let steps = 0;
  for (let left = chance.whole(3, 9); left > 0; left--) {
    later(run);
    const one = chance.of(here(run));
    if (!one) break;
    const wished = new Map(run.wished);
    const command = drawCommand(run, one);
    const id = tell(run, command);
    if (id === null) {
      run.wished = wished;
      continue;
    }
    steps += 1;
    checkPart(run, one, command);
    checkStanding(run);
    if (chance.may(0.4)) undoAndRedo(run, id, one, wished);
  }
  return steps;
}

/** A part and its rest are never dated later than the whole was. */
function checkPart(run: Run, before: Package, command: Record<string, unknown>): void {
  const rest = run.store.packages.get(before.id);
  if (!rest || rest.gone || !['package.take', 'package.give'].includes(String(command.type))) return;
  if (after(rest.useBy, before.useBy) || rest.governingDate > before.governingDate)
    fail(run, 'a rest later than the whole', { before, rest });
}

/** Undone a while later, and done again: what comes back is dated by today, never later than a twin nothing happened to. */
function undoAndRedo(run: Run, id: string, before: Package, wished: Run['wished']): void {
  later(run);
  const setting = run.store.done.get(id)?.settings.find(({ after: set }) => set.kind !== 'lot-look')
    ?.after.kind;
  const undo = tell(run, { type: 'ledger.undo', command: id, meanwhile: 'out' });
  if (undo === null) return;
  const told = run.wished;
  if (setting === 'wish') run.wished = wished;
  checkStanding(run);
  const back = run.store.packages.get(before.id);
  if (back && setting === undefined && back.gone === null && after(back.useBy, before.useBy)) {
    fail(run, 'an undo loosened', { before, back });
  }
  if (run.chance.may(0.5)) {
    const redo = tell(run, { type: 'ledger.undo', command: undo, meanwhile: 'out' });
    if (redo !== null) {
      if (setting === 'wish') run.wished = told;
      checkStanding(run);
    }
  }
}

/**
 * Two packs of one lot: something happens to one, then to the house, then it is undone. What comes back is never dated later than
 * the other. @throws Broken
 */
export function runTwins(chance: Chance): boolean {
  const run = begin(chance);
  const [one] = here(run);
  const twin = here(run).find(({ id, lotId }) => id !== one?.id && lotId === one?.lotId);
  if (!one || !twin) return false;
  later(run);
  const id = tell(
    run,
    chance.may(0.6)
      ? { type: 'package.take', package: one.id, version: one.version, amount: null }
      : drawCommand(run, one),
  );
  if (id === null || run.store.done.get(id)?.settings.some(({ after: set }) => set.kind !== 'lot-look'))
    return false;
  for (let more = chance.whole(1, 3); more > 0; more--) {
    later(run);
    tell(
      run,
      chance.of([
        {
          type: 'zone.measure',
          zone: twin.zoneId ?? 'shelf',
          celsius: chance.of([-12, -5, 3, 8, 12]),
          sure: true,
        },
        { type: 'household.set', changes: { caution: 'careful' }, renewFeed: false },
        { type: 'food.wish', food: one.foodId, wish: { ...NO_WISH, fridgeDays: 1 } },
      ]),
    );
  }
  later(run);
  if (tell(run, { type: 'ledger.undo', command: id, meanwhile: 'out' }) === null) return false;
  const [back, other] = [run.store.packages.get(one.id), run.store.packages.get(twin.id)];
  if (!back || !other || back.gone) return false;
  if (after(back.useBy, other.useBy) || back.bestBy > other.bestBy)
    fail(run, 'back later than its twin', { back, other });
  return true;
}
