import { askOn, isAnswered, nearOn } from '@/core/firstout/askOn';
import type { Command } from '@/core/model/command';
import type { Decision } from '@/core/ledger/decide';
import type { Package } from '@/core/model/package';
import type { Setting } from '@/core/model/setting';
import { leadOf, withSetting } from '@/core/ledger/settings/withSetting';
import type { World } from '@/core/model/world';
import { assumedCelsius } from '@/core/kitchen/assumedCelsius';
import type { ApplianceDrawing } from '@/core/model/drawing';
import { liftsTo } from '@/core/kitchen/liftsTo';
import { packedLitres } from '@/core/packaging/packedLitres';
import type { Sql } from '@/store/database';
import { renewTally, tallyPackages } from '@/store/dayTally';
import { putFood } from '@/store/foods';
import { putSettings, renewFiguresVersion } from '@/store/households';
import { putContainer } from '@/store/containers';
import { putCode, putHaul, putHaulLine } from '@/store/hauls';
import { putJob } from '@/store/jobs';
import { putDrawing, putOrder, trimDrawing } from '@/store/drawings';
import { dropReading, putMeasured } from '@/store/readings';
import { appendEvents } from '@/store/ledger';
import { addLot, addPackages, putPackage, type StoredPackage } from '@/store/packages';
import { putWish } from '@/store/wishes';
import { putAskDays, renewZoneFill } from '@/store/zoneFill';

/** A package with what it is found by: when it stands on Today and asks, and the room it takes. */
export function toStored(
  image: Package,
  world: Pick<World, 'wish' | 'settings'> & { food(id: string): { densityKgPerL: number } },
): StoredPackage {
  const lead = leadOf(world, image.foodId);
  return {
    image,
    nearOn: nearOn(image, lead),
    askOn: askOn(image, lead),
    answered: isAnswered(image),
    passingOpen:
      image.gone === null &&
      image.cameOn <= image.governingDate &&
      !isAnswered(image) &&
      !image.unanswered.includes(image.governingDate),
    litres: packedLitres(image, world.food(image.foodId).densityKgPerL),
  };
}

async function putSetting(db: Sql, householdId: number, setting: Setting): Promise<void> {
  switch (setting.kind) {
    case 'household':
      return putSettings(db, householdId, setting.value);
    case 'food':
      return putFood(db, householdId, setting.value.food, setting.value.retired);
    case 'wish':
      return putWish(db, householdId, setting.subject, setting.value);
    case 'job':
      return putJob(db, householdId, setting.value);
    case 'order':
      return putOrder(db, householdId, setting.value);
    case 'measured':
      return putMeasured(db, householdId, setting.subject, setting.value);
    case 'container':
      return putContainer(db, householdId, setting.subject, setting.value);
    case 'haul':
      return putHaul(db, householdId, setting.subject, setting.value);
    case 'haul-line':
      return putHaulLine(db, householdId, setting.subject, setting.value);
    case 'code':
      return putCode(db, householdId, setting.subject, setting.value);
    case 'appliance':
      return setting.value === null ? undefined : drawIn(db, householdId, setting.value);
  }
}

/** Writes a drawing with what the core works out for its zones. */
export function drawIn(db: Sql, householdId: number, drawing: ApplianceDrawing): Promise<void> {
  return putDrawing(db, householdId, drawing, (zone) => ({
    lifts: liftsTo(zone, drawing),
    assumedC: assumedCelsius(zone, drawing).celsius,
  }));
}

function zonesTouched({ events }: Decision): string[] {
  const touched = events.flatMap(({ before, after }) => [before?.zoneId, after.zoneId]);
  return [...new Set(touched)].filter((id): id is string => typeof id === 'string').sort();
}

/** Writes what was decided: lots, packages, settings, zone fills, and the ledger's events. */
export async function applyDecision(
  db: Sql,
  command: Command,
  householdId: number,
  decision: Decision,
  before: World,
): Promise<void> {
  const { lots, events, settings } = decision;
  const world = settings.reduce((so, { after }) => withSetting(so, after), before);
  const redatesAll = settings.some(({ after }) => after.kind === 'household' || after.kind === 'wish');
  const ids = events.map(({ after }) => after.id);
  if (!redatesAll) await tallyPackages(db, householdId, ids, -1);
  // Zones must be drawn before something lies in them, and empty before they go.
  for (const { type, before: undone, after } of settings) {
    await putSetting(db, householdId, after);
    if (type === 'setting.undone' && undone?.kind === 'measured' && undone.value)
      await dropReading(db, householdId, undone.subject, undone.value.at);
  }
  if (settings.some(({ after }) => after.kind === 'food' || after.kind === 'wish'))
    await renewFiguresVersion(db, householdId);
  for (const lot of lots) await addLot(db, householdId, command.id, lot);
  const stored = events.filter((event) => event.before === null).map(({ after }) => toStored(after, world));
  await addPackages(db, householdId, stored);
  for (const event of events) {
    if (event.before !== null) await putPackage(db, householdId, toStored(event.after, world));
  }
  if (redatesAll) {
    const renewed = new Set(ids);
    for (const image of world.loaded()) {
      if (!renewed.has(image.id)) await putAskDays(db, householdId, image.id, toStored(image, world));
    }
    await renewTally(db, householdId);
  } else await tallyPackages(db, householdId, ids, 1);
  await renewZoneFill(db, householdId, zonesTouched(decision));
  for (const { after } of settings) {
    if (after.kind === 'appliance') await trimDrawing(db, householdId, after.subject, after.value);
  }
  await appendEvents(db, householdId, command.id, command.at, decision);
}
