import { randomBytes } from 'node:crypto';
import { v4 as newUuid } from 'uuid';
import { dateInZone } from '@/core/calendar/dateInZone';
import { foodKey } from '@/core/foods/foodKey';
import { NO_WISH } from '@/core/foods/wish';
import { packageCode } from '@/core/labels/packageCode';
import type { Command } from '@/core/model/command';
import type { Haul, HaulLine, LearnedCode } from '@/core/model/haul';
import type { Package } from '@/core/model/package';
import type { Setting } from '@/core/model/setting';
import type { PastCommand } from '@/core/ledger/undo/undoCommand';
import type { World } from '@/core/model/world';
import type { Sql } from '@/store/database';
import { type Household, takeCodeNumbers } from '@/store/households';
import { readJobs } from '@/store/jobs';
import { readContainers } from '@/store/containers';
import { lockHaulLines, readCode, readHaul, readHaulLines, readOpenHaul } from '@/store/hauls';
import { isTakenElsewhere } from '@/store/drawings';
import { drawingOf, type Kitchen, readKitchen } from '@/store/kitchens';
import { readPastCommand } from '@/store/ledger';
import { readReadings } from '@/store/readings';
import { lockPackages, lockPackagesIn, lockPackagesOf } from '@/store/packages';
import { now, todayIn } from './clock';
import { foodNamed, type Reference } from '../household/household';
import { Problem } from './problem';

/** The address part that lets a calendar in; 256 bits of chance. */
export const newFeedKey = (): string => randomBytes(32).toString('base64url');

function codesNeeded(command: Command, lines: readonly HaulLine[]): number {
  if (command.type === 'haul.pack') {
    const wanted = new Map(command.lines.map(({ line, discard }) => [line, discard]));
    return lines
      .filter(({ id }) => wanted.has(id))
      .flatMap(({ id, parts }) => (wanted.get(id) ? [1] : parts.map(({ amounts }) => amounts.length)))
      .reduce((sum, count) => sum + count, 0);
  }
  if (command.type === 'haul.store') return command.lines.reduce((sum, line) => sum + line.packs, 0);
  return command.type === 'package.cook' && command.into ? command.into.packs : 0;
}

const missing = (field: string, message: string): Problem =>
  new Problem(404, 'not-found', message, {
    fields: [{ path: field, message: 'not known in this household' }],
  });

async function loadPast(db: Sql, command: Command, householdId: number): Promise<PastCommand | null> {
  if (command.type !== 'ledger.undo') return null;
  const past = await readPastCommand(db, householdId, command.command);
  if (past) return past;
  throw new Problem(404, 'not-found', 'There is no such command in this ledger.', {
    fields: [{ path: 'command', message: 'not known' }],
  });
}

/** Commands after which foods, wishes or the household may be others than before. */
const SETTERS: readonly Command['type'][] = [
  'ledger.undo',
  'food.add',
  'food.retire',
  'food.wish',
  'household.set',
  'job.done',
  'job.set',
  'appliance.draw',
  'appliance.remove',
  'kitchen.order',
  'zone.measure',
  'container.set',
  'container.remove',
];

const setsSomething = ({ type }: Command): boolean => SETTERS.includes(type);

/** Ids of the foods whose packages a command looks at; `null`: those of all foods. */
function foodsTouched(
  command: Command,
  past: PastCommand | null,
  { index, plain }: Reference,
): string[] | null {
  switch (command.type) {
    case 'stock.take':
      return command.foods.map((name) => plain.get(name)?.id ?? foodNamed(index, name).id);
    case 'food.retire':
    case 'food.wish':
      return [plain.get(command.food)?.id ?? foodNamed(index, command.food).id];
    case 'household.set':
    case 'figures.renew':
      return null;
    case 'ledger.undo':
      return past?.settings.some(({ after }) => after.kind === 'household')
        ? null
        : (past?.settings
            .filter(({ after }) => after.kind === 'wish' || after.kind === 'food')
            .map(({ after }) => after.subject) ?? []);
    default:
      return [];
  }
}

function packagesTouched(command: Command, past: PastCommand | null): string[] {
  if (past) return past.events.map(({ after }) => after.id);
  if (command.type === 'haul.away') return command.places.map((place) => place.package);
  return 'package' in command ? [command.package] : [];
}

/** Ids of the zones whose packages a command looks at. */
function zonesTouched(command: Command, past: PastCommand | null, { zones }: Kitchen): string[] {
  const ofAppliance = (id: string): string[] =>
    zones.filter(({ applianceId }) => applianceId === id).map((zone) => zone.id);
  switch (command.type) {
    case 'appliance.draw':
      return ofAppliance(command.appliance.id);
    case 'appliance.remove':
      return ofAppliance(command.appliance);
    case 'zone.measure':
      return [command.zone];
    case 'ledger.undo':
      return (past?.settings ?? []).flatMap(({ after }) =>
        after.kind === 'appliance'
          ? ofAppliance(after.subject)
          : after.kind === 'measured'
            ? [after.subject]
            : [],
      );
    default:
      return [];
  }
}

/** Hauls, lines and codes that a command looks at. */
async function loadBench(db: Sql, householdId: number, command: Command, past: PastCommand | null) {
  const settings = (past?.settings ?? []).map(({ after }) => after);
  const named = (kind: Setting['kind']): string[] =>
    settings.filter((setting) => setting.kind === kind).map(({ subject }) => subject);
  const lineIds =
    command.type === 'haul.line'
      ? [command.line.id]
      : command.type === 'haul.drop'
        ? [command.line]
        : command.type === 'haul.pack'
          ? command.lines.map(({ line }) => line)
          : named('haul-line');
  const touched = await lockHaulLines(db, householdId, lineIds);
  const told =
    command.type === 'haul.line'
      ? [command.line.haul]
      : command.type === 'haul.begin'
        ? [command.haul.id]
        : 'haul' in command
          ? [command.haul]
          : [];
  const ids = [...new Set([...told, ...named('haul'), ...touched.map(({ haul }) => haul)])];
  const hauls = new Map<string, Haul>();
  const lines = new Map(touched.map((line) => [line.id, line]));
  for (const id of ids) {
    const haul = await readHaul(db, householdId, id);
    if (haul) hauls.set(id, haul);
    for (const line of await readHaulLines(db, householdId, id)) {
      if (!lines.has(line.id)) lines.set(line.id, line);
    }
  }
  const codes = command.type === 'code.learn' ? [command.code] : named('code');
  const learned = new Map<string, LearnedCode>();
  for (const code of codes) {
    const means = await readCode(db, householdId, code);
    if (means) learned.set(code, means);
  }
  const open = command.type === 'haul.begin' ? await readOpenHaul(db, householdId) : null;
  return { hauls, lines, learned, open };
}

/** Ids that a command brings along for what it sets. */
function idsBrought(command: Command): string[] {
  switch (command.type) {
    case 'appliance.draw': {
      const { id, compartments, zones } = command.appliance;
      return [id, ...[...compartments, ...zones].map((part) => part.id)];
    }
    case 'container.set':
      return [command.container.id];
    case 'job.set':
      return [command.job.id];
    case 'haul.begin':
      return [command.haul.id];
    case 'haul.line':
      return [command.line.id];
    default:
      return [];
  }
}

/**
 * Loads and locks what a command touches.
 *
 * @param household as it stands under its lock
 * @throws Problem 404 or 422 for what it names and nobody knows
 */
export async function loadWorld(
  db: Sql,
  command: Command,
  household: Household,
  reference: Reference,
): Promise<{ world: World; past: PastCommand | null }> {
  const past = await loadPast(db, command, household.id);
  const setting = setsSomething(command);
  const packages = await lockPackages(db, household.id, packagesTouched(command, past));
  const foodIds = foodsTouched(command, past, reference);
  const loaded: Package[] = foodIds?.length === 0 ? [] : await lockPackagesOf(db, household.id, foodIds);
  for (const found of loaded) packages.set(found.id, found);
  const brought = idsBrought(command);
  if (brought.length > 0 && (await isTakenElsewhere(db, household.id, brought))) {
    throw new Problem(409, 'id-used', 'One of these ids was used for something else. Draw it anew.');
  }
  const kitchen = await readKitchen(db, household.id);
  for (const found of await lockPackagesIn(db, household.id, zonesTouched(command, past, kitchen))) {
    packages.set(found.id, found);
    loaded.push(found);
  }
  const lay = (past?.events ?? []).flatMap(({ before }) => before?.zoneId ?? []);
  const readings = past ? await readReadings(db, household.id, [...new Set(lay)], past.at) : [];
  const jobs = setting ? await readJobs(db, household.id) : [];
  const containers = setting || command.type === 'haul.pack' ? await readContainers(db, household.id) : [];
  const bench = await loadBench(db, household.id, command, past);
  const zoneOf = new Map(kitchen.zones.map((zone) => [zone.id, zone]));
  const count = codesNeeded(command, [...bench.lines.values()]);
  let nextCode = count > 0 ? await takeCodeNumbers(db, household.id, count) : 0;
  const world: World = {
    today: dateInZone(command.at, household.timeZone),
    at: command.at,
    now: now(),
    nowOn: todayIn(household.timeZone),
    dayOf: (instant) => dateInZone(instant, household.timeZone),
    currency: household.currency,
    caution: household.settings.caution,
    settings: household.settings,
    food: (id) => reference.byId.get(id) ?? foodNamed(reference.index, id),
    referenceFood: (name) => {
      const found = reference.plain.get(name) ?? reference.plain.get(foodNamed(reference.index, name).id);
      if (!found) throw missing('food', 'There is no such food.');
      const { own, retired, ...food } = found;
      return { food, own, retired };
    },
    foodCalled: (name) => reference.index.byKey.get(foodKey(name)) ?? null,
    wish: (id) => reference.wishes.get(id) ?? NO_WISH,
    job: (id) => {
      const job = jobs.find((one) => one.id === id);
      if (!job) throw missing('job', 'There is no such job in this household.');
      return job;
    },
    jobCalled: (id) => jobs.find((one) => one.id === id) ?? null,
    appliance: (id) => {
      const drawing = drawingOf(kitchen, id);
      const version = kitchen.appliances.find((one) => one.id === id)?.version;
      return drawing && version !== undefined ? { drawing, version } : null;
    },
    order: () => kitchen.appliances.map(({ id }) => id),
    measured: (id) => zoneOf.get(id)?.measured ?? null,
    readings: (id) => readings.filter(({ zoneId }) => zoneId === id),
    container: (id) => containers.find((one) => one.id === id) ?? null,
    haul: (id) => bench.hauls.get(id) ?? null,
    openHaul: () => bench.open,
    haulLine: (id) => bench.lines.get(id) ?? null,
    haulLines: (haulId) => [...bench.lines.values()].filter(({ haul }) => haul === haulId),
    learnedCode: (code) => bench.learned.get(code) ?? null,
    hot: false,
    hasZone: (id) => zoneOf.has(id),
    loaded: () => loaded,
    zone: (id) => {
      const zone = zoneOf.get(id);
      if (!zone) throw missing('zone', 'There is no such zone in this household.');
      return zone;
    },
    package: (id) => {
      const found = packages.get(id);
      if (!found) throw missing('package', 'There is no such package in this household.');
      return found;
    },
    newId: newUuid,
    newCode: () => packageCode(nextCode++),
    newKey: newFeedKey,
  };
  return { world, past };
}
