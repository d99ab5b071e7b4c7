import Joi from 'joi';
import { v4 as newUuid } from 'uuid';
import { type Sql, sql, transaction } from '@/store/database';
import { clearHouseholds, lockHousehold, readHousehold } from '@/store/households';
import { askToStop, endRun, type ImportRun, readRun } from '@/store/importRuns';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { readCommands } from '../door/readCommands';
import { lockedRunner } from '../door/runCommands';
import { uuid } from '../door/schemas/words';
import { validate } from '../door/validate';
import { ourHousehold } from '../household/household';
import { mustBe } from '../keys/whoAsks';

/** A copy of the server that does not say for so long how far it is has ended, and the store has forgotten what it began. */
const DEAD_MS = 30_000;

/** How far something is that comes in. */
export interface RunView {
  id: string;
  what: string;
  state: ImportRun['state'];
  done: number;
  total: number;
  says: string;
  /** Ids of what was told, so that it is no news to who told it. */
  commands: string[];
  household: { id: number; name: string } | null;
}

/** How far a run is. One whose server ended in the middle left nothing behind. @throws Problem 404 */
export async function readRunView(id: string): Promise<RunView> {
  await mustBe('cook');
  const household = await ourHousehold();
  const run = await readRun(sql(), household.id, id);
  if (!run) throw new Problem(404, 'not-found', 'There is no such import here.');
  const dead = run.state === 'running' && Date.parse(now()) - Date.parse(run.beatAt) > DEAD_MS;
  const made = run.madeHousehold === null ? null : await readHousehold(sql(), run.madeHousehold);
  const { what, state, done, total, says } = run;
  return {
    id,
    what,
    state: dead ? 'failed' : state,
    done,
    total,
    commands: run.commands,
    says: dead ? 'The server ended in the middle. Nothing of it came in; begin again.' : says,
    household: made && { id: made.id, name: made.name },
  };
}

export const runSchema = Joi.object({ id: uuid.required() });

/** Asks a run to stop; it ends with nothing. @throws Problem 403, 404 */
export async function stopRun(body: unknown): Promise<RunView> {
  const { id } = validate<{ id: string }>(runSchema, body);
  await mustBe('cook');
  await askToStop(sql(), (await ourHousehold()).id, id);
  return readRunView(id);
}

/** Takes a household out that came in whole, unless somebody lives in it meanwhile. @throws Problem 409 */
async function takeOut(db: Sql, householdId: number): Promise<void> {
  const made = await lockHousehold(db, householdId);
  if (!made) return;
  if (made.changes > 1)
    throw new Problem(
      409,
      'stale',
      `Something was told in ${made.name} since. Delete it under Household, by its name.`,
    );
  await clearHouseholds(db, householdId);
}

/** Takes back all that a run brought, in one go. @throws Problem 403, 404, 409 or 422 when something happened to it since */
export async function undoRun(body: unknown): Promise<RunView> {
  const { id } = validate<{ id: string }>(runSchema, body);
  const visitor = await mustBe('cook');
  const household = await ourHousehold();
  await transaction(async (db) => {
    await lockHousehold(db, household.id);
    const run = await readRun(db, household.id, id);
    if (!run) throw new Problem(404, 'not-found', 'There is no such import here.');
    if (run.state !== 'done') throw new Problem(409, 'stale', 'That import is not there to be undone.');
    if (run.madeHousehold !== null) await takeOut(db, run.madeHousehold);
    const tell = lockedRunner(db, household.id, { member: visitor.member, person: null });
    for (const command of run.commands.toReversed())
      for (const read of readCommands({ id: newUuid(), type: 'ledger.undo', command }, now()))
        await tell(read);
    await endRun(db, id, { state: 'undone', says: 'All of it is taken back.' });
  });
  return readRunView(id);
}
