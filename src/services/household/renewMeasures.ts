import { putFeedKey, readWithoutFeed } from '@/store/householdKeys';
import { sql, transaction } from '@/store/database';
import { renewTally } from '@/store/dayTally';
import { readHousehold } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { putPackage } from '@/store/putPackages';
import { readUnmeasured, renewZoneFill } from '@/store/zoneFill';
import { NO_WISH } from '@/core/model/wish';
import { toStored } from '../door/applyDecision';
import { newFeedKey } from '../door/loadWorld';
import { loadReference } from './household';

const AT_ONCE = 500;

/** What measuring needs to know of a household. */
async function measuringWorld(householdId: number): Promise<Parameters<typeof toStored>[1]> {
  const household = await readHousehold(sql(), householdId);
  if (!household) throw new Error(`packages without a household: ${householdId}`);
  const { byId, wishes } = await loadReference(sql(), householdId);
  return {
    settings: household.settings,
    wish: (id) => wishes.get(id) ?? NO_WISH,
    food: (id) => byId.get(id) ?? { densityKgPerL: 1 },
  };
}

/**
 * Works out what a newer schema keeps beside the packages (room, days for Today) and gives households their calendar
 * address. Nothing to do on a schema that is up to date.
 *
 * @returns how many packages were measured
 */
export async function renewMeasures(): Promise<number> {
  for (const id of await readWithoutFeed(sql())) await putFeedKey(sql(), id, newFeedKey());
  const households = new Set<number>();
  let done = 0;
  for (;;) {
    const some = await readUnmeasured(sql(), AT_ONCE);
    if (some.length === 0) break;
    for (const id of new Set(some.map(({ householdId }) => householdId))) {
      households.add(id);
      const world = await measuringWorld(id);
      await transaction(async (db) => {
        for (const { householdId, image } of some) {
          if (householdId === id) await putPackage(db, id, toStored(image, world));
        }
      });
    }
    done += some.length;
  }
  for (const id of households) {
    await renewTally(sql(), id);
    const { zones } = await readKitchen(sql(), id);
    await renewZoneFill(
      sql(),
      id,
      zones.map((zone) => zone.id),
    );
  }
  return done;
}
