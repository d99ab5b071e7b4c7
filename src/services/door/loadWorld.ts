import { randomBytes } from 'node:crypto';
import { v4 as newUuid } from 'uuid';
import { dateInZone } from '@/core/calendar/dateInZone';
import { foodKey } from '@/core/foods/foodKey';
import { NO_WISH } from '@/core/model/wish';
import { codeNumber } from '@/core/labels/codeNumber';
import { packageCode } from '@/core/labels/packageCode';
import type { Needs } from '@/core/model/command';
import type { Haul, HaulLine, LearnedCode } from '@/core/model/haul';
import type { Package } from '@/core/model/package';
import type { PastCommand } from '@/core/model/decision';
import type { World } from '@/core/model/world';
import type { Sql } from '@/store/database';
import { codesSpent, passCodeNumber, takeCodeNumbers } from '@/store/codeNumbers';
import type { Household } from '@/store/households';
import { readJobs } from '@/store/jobs';
import { readKept } from '@/store/kept';
import { readContainers } from '@/store/containers';
import { lockHaulLines, readCode, readHaul, readHaulLines, readOpenHaul } from '@/store/hauls';
import { drawingOf, type Kitchen } from '@/store/kitchens';
import { readPastCommand } from '@/store/ledger';
import { readReadings } from '@/store/readings';
import { madeSince } from '@/core/life/madeSince';
import { readWhereabouts } from '@/store/whereabouts';
import { readFills } from '@/store/today';
import { lockPackages, lockPackagesIn, lockPackagesOf, readPackagesByCodes } from '@/store/packages';
import { FURTHEST_CODE, MOST_MADE } from '@/core/model/limits';
import { Refusal } from '@/core/model/refusal';
import { now, todayIn } from './clock';
import { foodNamed, outageClassOf, type Reference } from '../household/household';
import { readOpenCuts } from '../outage/openCut';
import { Problem } from './problem';
import type { ReadCommand } from './readCommands';

/** The address part that lets a calendar in; 256 bits of chance. */
export const newFeedKey = (): string => randomBytes(32).toString('base64url');

const missing = (field: string, message: string): Problem =>
  new Problem(404, 'not-found', message, {
    fields: [{ path: field, message: 'not known in this household' }],
  });

/** The earlier command that one speaks of. @throws Problem 404 */
async function loadPast(db: Sql, householdId: number, id: string | undefined): Promise<PastCommand | null> {
  if (id === undefined) return null;
  const past = await readPastCommand(db, householdId, id);
  if (past) return past;
  throw new Problem(404, 'not-found', 'There is no such command in this ledger.', {
    fields: [{ path: 'command', message: 'not known' }],
  });
}

/** Ids of the foods whose packages are looked at; `null`: those of all foods. */
function foodIds(foods: Needs['foods'] = [], { index, plain }: Reference): string[] | null {
  if (foods === 'all') return null;
  return foods.map((name) => plain.get(name)?.id ?? foodNamed(index, name).id);
}

/** Zones of the needs, and those of its appliances. */
function zoneIds({ zones = [], appliances = [] }: Needs, kitchen: Kitchen): string[] {
  const inside = kitchen.zones.filter(({ applianceId }) => appliances.includes(applianceId));
  return [...zones, ...inside.map(({ id }) => id)];
}

/** Packages that are named, and those of foods and zones that are; the latter two are what a decision may look through. */
async function loadPackages(
  db: Sql,
  householdId: number,
  needs: Needs,
  reference: Reference,
  kitchen: Kitchen,
): Promise<{ packages: Map<string, Package>; loaded: Package[] }> {
  const packages = await lockPackages(db, householdId, needs.packages ?? []);
  const foods = foodIds(needs.foods, reference);
  const ofFoods = foods?.length === 0 ? [] : await lockPackagesOf(db, householdId, foods);
  const inZones = await lockPackagesIn(db, householdId, zoneIds(needs, kitchen));
  const loaded = [...ofFoods, ...inZones];
  for (const found of loaded) packages.set(found.id, found);
  return { packages, loaded };
}

/** What was made of a package since an instant: split off it, or put together with it, and so on. */
async function loadMade(db: Sql, householdId: number, packageId: string, since: string): Promise<Package[]> {
  const made = madeSince(await readWhereabouts(db, householdId, since), packageId);
  const found = await lockPackages(db, householdId, made);
  return [...found.values()].filter(({ gone }) => gone === null);
}

/** Share of a compartment's litres that is filled. */
function fillOf(kitchen: Kitchen, fills: Awaited<ReturnType<typeof readFills>> | null, id: string): number {
  const mine = kitchen.zones.filter(({ compartmentId }) => compartmentId === id);
  const litres = mine.reduce((sum, zone) => sum + zone.litres, 0);
  const filled = mine.reduce((sum, zone) => sum + Math.min(zone.litres, fills?.get(zone.id)?.litres ?? 0), 0);
  return litres === 0 ? 0 : Math.min(1, filled / litres);
}

/** Hauls with their lines, and codes. */
async function loadBench(db: Sql, householdId: number, needs: Needs) {
  const touched = await lockHaulLines(db, householdId, needs.lines ?? []);
  const hauls = new Map<string, Haul>();
  const lines = new Map(touched.map((line) => [line.id, line]));
  for (const id of new Set([...(needs.hauls ?? []), ...touched.map(({ haul }) => haul)])) {
    const haul = await readHaul(db, householdId, id);
    if (haul) hauls.set(id, haul);
    for (const line of await readHaulLines(db, householdId, id)) {
      if (!lines.has(line.id)) lines.set(line.id, line);
    }
  }
  const learned = new Map<string, LearnedCode>();
  for (const code of needs.codes ?? []) {
    const means = await readCode(db, householdId, code);
    if (means) learned.set(code, means);
  }
  const open = needs.openHaul ? await readOpenHaul(db, householdId) : null;
  return { hauls, lines, learned, open };
}

/** The first of the package codes that a command makes, taken for it. */
function takeCodes(
  db: Sql,
  householdId: number,
  { newCodes = 0 }: Needs,
  lines: HaulLine[],
): Promise<number> {
  const count = typeof newCodes === 'number' ? newCodes : newCodes(lines);
  if (count > MOST_MADE) {
    const message = `That makes ${count} packages at once; ${MOST_MADE} can be. Send it in parts.`;
    throw new Problem(413, 'too-large', message);
  }
  return count > 0 ? takeCodeNumbers(db, householdId, count) : Promise.resolve(0);
}

/** Takes codes that are on labels already for the packages that keep them. @throws Refusal when one is not free */
async function keepCodes(db: Sql, householdId: number, { keptCodes = [] }: Needs): Promise<void> {
  if (keptCodes.length === 0) return;
  const twice = keptCodes.find((code, at) => keptCodes.indexOf(code) !== at);
  if (twice) throw new Refusal('code', `${twice} stands on two packages.`);
  const numbers = keptCodes.map((code) => codeNumber(code) ?? FURTHEST_CODE);
  const far = keptCodes.find((_code, at) => (numbers[at] ?? 0) >= FURTHEST_CODE);
  if (far) throw new Refusal('code', `${far} is no code of a package.`);
  const spent = await codesSpent(db, householdId, keptCodes);
  const taken = keptCodes.find((code) => spent.has(code));
  if (taken)
    throw new Refusal('code', `${taken} is a package’s code here already. Leave it out for another package.`);
  await passCodeNumber(db, householdId, Math.max(...numbers));
}

/** What every decision looks at: foods and zones of the household. */
export interface Standing {
  reference: Reference;
  kitchen: Kitchen;
}

/**
 * Fetches and locks what a command says that it needs, and nothing else.
 *
 * @param household as it stands under its lock, @param standing its foods and zones as they stand then
 * @throws Problem 404 or 422 for what it names and nobody knows
 */
export async function loadWorld(
  db: Sql,
  { kind, command }: ReadCommand,
  household: Household,
  { reference, kitchen }: Standing,
): Promise<{ world: World; past: PastCommand | null }> {
  const past = await loadPast(db, household.id, kind.pastOf?.(command));
  const needs = kind.needs(command, past);
  const { readingsOf = [] } = needs;
  const readings = past ? await readReadings(db, household.id, [...new Set(readingsOf)], past.at) : [];
  const jobs = needs.jobs ? await readJobs(db, household.id) : [];
  const containers = needs.containers ? await readContainers(db, household.id) : [];
  const keptThings = await readKept(db, household.id, needs.kept ?? [], needs.keptUnder);
  const days = needs.logDays?.([...keptThings.cut.values()], now()) ?? [];
  if (days.length > 0)
    keptThings['log-day'] = (await readKept(db, household.id, [], { 'log-day': days }))['log-day'];
  const fills = needs.fills ? await readFills(db, household.id) : null;
  const meal = keptThings.meal.get(needs.packagesOfMeal ?? '');
  const promised = meal?.takes.map((take) => take.package) ?? [];
  const carrying = await readPackagesByCodes(db, household.id, needs.carrying ?? []);
  const named = [...(needs.packages ?? []), ...promised, ...carrying.map(({ id }) => id)];
  const wanted = { ...needs, packages: [...new Set(named)] };
  const { packages, loaded } = await loadPackages(db, household.id, wanted, reference, kitchen);
  const since = needs.whereaboutsSince?.([...keptThings.cut.values()]) ?? null;
  const moves = since === null ? null : await readWhereabouts(db, household.id, since);
  const made =
    needs.madeOf && command.at < now() ? await loadMade(db, household.id, needs.madeOf, command.at) : [];
  const askCuts = await readOpenCuts(
    db,
    household,
    { reference, kitchen },
    todayIn(household.timeZone),
    command.at < now() ? command.at : now(),
  );
  const bench = await loadBench(db, household.id, needs);
  const zoneOf = new Map(kitchen.zones.map((zone) => [zone.id, zone]));
  await keepCodes(db, household.id, needs);
  let nextCode = await takeCodes(db, household.id, needs, [...bench.lines.values()]);
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
    kept: (kind, subject) => keptThings[kind].get(subject) ?? null,
    keptAll: (kind) => [...keptThings[kind].values()],
    fill: (id) => fillOf(kitchen, fills, id),
    whereabouts: (id) => moves?.get(id) ?? [],
    madeOf: () => made,
    carrying: (code) => {
      const found = [...packages.values()].find((one) => one.code === code);
      if (!found) throw missing('codes', `No package carries the code ${code}.`);
      return found;
    },
    openVerdict: (found) => askCuts?.([found]).get(found.id) ?? null,
    outageClass: (id) => outageClassOf(reference, id),
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
