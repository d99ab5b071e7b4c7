import { askOn, isAnswered, nearOn } from '@/core/firstout/askOn';
import type { Told } from '@/core/model/command';
import type { Decision } from '@/core/model/decision';
import type { Package } from '@/core/model/package';
import { leadOf } from '@/core/ledger/settings/leadOf';
import { settingKind } from '@/core/ledger/settings/settingKinds';
import { withSetting } from '@/core/ledger/settings/withSetting';
import type { World } from '@/core/model/world';
import { packedLitres } from '@/core/packaging/packedLitres';
import type { Sql } from '@/store/database';
import { renewTally, sweepTally, tallyPackages } from '@/store/dayTally';
import { renewFiguresVersion } from '@/store/households';
import { trimDrawing } from '@/store/drawings';
import { dropReading } from '@/store/readings';
import { appendEvents } from '@/store/ledger';
import { addLot, addPackages, putPackage, type StoredPackage } from '@/store/putPackages';
import { putSetting } from './putSetting';
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

function zonesTouched({ events }: Decision): string[] {
  const touched = events.flatMap(({ before, after }) => [before?.zoneId, after.zoneId]);
  return [...new Set(touched)].filter((id): id is string => typeof id === 'string').sort();
}

/** Writes what was decided: lots, packages, settings, zone fills, and the ledger's events. */
export async function applyDecision(
  db: Sql,
  command: Told,
  householdId: number,
  decision: Decision,
  before: World,
): Promise<void> {
  const { lots, events, settings } = decision;
  const world = settings.reduce((so, { after }) => withSetting(so, after), before);
  const asksAnew = settings.some(({ after }) => settingKind(after).asks);
  const ids = events.map(({ after }) => after.id);
  const known = events.filter(({ before }) => before !== null).map(({ after }) => after.id);
  if (!asksAnew) await tallyPackages(db, householdId, known, -1);
  // Zones must be drawn before something lies in them, and empty before they go.
  for (const { type, before: undone, after } of settings) {
    await putSetting(db, householdId, after);
    if (type === 'setting.undone' && undone?.kind === 'measured' && undone.value)
      await dropReading(db, householdId, undone.subject, undone.value.at);
  }
  if (settings.some(({ after }) => settingKind(after).figures)) await renewFiguresVersion(db, householdId);
  for (const lot of lots) await addLot(db, householdId, command.id, lot);
  const stored = events.filter((event) => event.before === null).map(({ after }) => toStored(after, world));
  await addPackages(db, householdId, stored);
  for (const event of events) {
    if (event.before !== null) await putPackage(db, householdId, toStored(event.after, world));
  }
  if (asksAnew) {
    const renewed = new Set(ids);
    for (const image of world.loaded()) {
      if (!renewed.has(image.id)) await putAskDays(db, householdId, image.id, toStored(image, world));
    }
    await renewTally(db, householdId);
  } else {
    await tallyPackages(db, householdId, ids, 1);
    if (known.length > 0) await sweepTally(db, householdId);
  }
  await renewZoneFill(db, householdId, zonesTouched(decision));
  for (const { after } of settings) {
    if (after.kind === 'appliance') await trimDrawing(db, householdId, after.subject, after.value);
  }
  await appendEvents(db, householdId, command.id, command.at, decision);
}
