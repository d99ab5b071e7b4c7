import { createHash } from 'node:crypto';
import { v4 as newUuid } from 'uuid';
import { decide } from '@/core/ledger/decide';
import { renewFiguresCommand as kind } from '@/core/ledger/household/renewFigures';
import { type Sql, sql, transaction } from '@/store/database';
import { putReferenceDigest, readReferenceDigest } from '@/store/foods';
import { lockHousehold, readHouseholdIds } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { now } from '../door/clock';
import { loadWorld } from '../door/loadWorld';
import { runLocked } from '../door/runCommands';
import { loadReference } from './household';

/** Grows when the rules themselves date stricter than before, so that what lies there is dated by them at the next start. */
const RULES = 'rules of 0.5';

/** Dates one household's packages by the figures of this version. @returns whether any became earlier */
async function renewOne(householdId: number, digest: string): Promise<boolean> {
  const mark = `renewed:${householdId}`;
  if ((await readReferenceDigest(sql(), mark)) === digest) return false;
  return transaction(async (db) => {
    // Another server copy may have done it while this one waited for the lock.
    if (!(await lockHousehold(db, householdId)) || (await readReferenceDigest(db, mark)) === digest)
      return false;
    const earlier = (await renewIn(db, householdId)) > 0;
    await putReferenceDigest(db, mark, digest);
    return earlier;
  });
}

/** Dates a household's packages by the figures that hold now, in a transaction: only earlier. @returns how many became earlier */
export async function renewIn(db: Sql, householdId: number): Promise<number> {
  const household = await lockHousehold(db, householdId);
  if (!household) return 0;
  const renewing = { kind, command: { id: newUuid(), type: kind.type, at: now() } };
  const { world } = await loadWorld(db, renewing, household, {
    reference: await loadReference(db, householdId),
    kitchen: await readKitchen(db, householdId),
  });
  const { events } = decide(kind, renewing.command, world, null);
  if (events.length > 0) await runLocked(db, [renewing], householdId);
  return events.length;
}

/**
 * A stricter figure, or rule, that ships with a new version dates what lies there at the next start: only earlier, and the
 * ledger says so. Done once a household and version.
 *
 * @returns how many households had something dated earlier
 */
export async function renewFigures(): Promise<number> {
  const reference = (await readReferenceDigest(sql(), 'reference')) ?? '';
  const digest = createHash('sha256').update(reference).update(RULES).digest('hex');
  let renewed = 0;
  for (const id of await readHouseholdIds(sql())) if (await renewOne(id, digest)) renewed += 1;
  return renewed;
}
