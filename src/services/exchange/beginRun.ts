import { v4 as newUuid } from 'uuid';
import { sql, transaction } from '@/store/database';
import type { Household } from '@/store/households';
import { addRun, beatRun, endRun } from '@/store/importRuns';
import { putMembership } from '@/store/members';
import { now } from '../door/clock';
import { Problem, toProblem } from '../door/problem';
import { readCommands } from '../door/readCommands';
import { runLocked, type Teller } from '../door/runCommands';
import { inHousehold } from '../household/chosen';
import { ourHousehold } from '../household/household';
import { mayAddHousehold, visibleHouseholds } from '../household/households';
import { mustBe } from '../keys/whoAsks';
import type { SentFile } from '@/workers/sentFile';
import { bringThings, lookAtThings, sayCame } from './bringThings';
import { importHousehold } from './importHousehold';
import { type HouseholdDocument, rowsOf } from './readDocument';
import { asCommands, type RowFault, type TableReading } from './importTable';
import { type FileAsk, type OpenedFile, openFile } from './openFile';

const BEAT_MS = 400;

/** Whoever began it asked to stop. */
class Stopped extends Error {}

/** Tells the store how far it is, now and then. @throws Stopped */
function beater(id: string): (rows: number) => Promise<void> {
  let done = 0;
  let told = 0;
  return async (rows) => {
    done += rows;
    if (Date.now() - told < BEAT_MS) return;
    told = Date.now();
    // On a connection of its own: others see it before the transaction ends.
    if (await beatRun(sql(), id, done, now())) throw new Stopped();
  };
}

/** Does the work of a run in one transaction and ends the run with it: all of it or nothing. */
async function work(
  id: string,
  bring: (tell: (rows: number) => Promise<void>) => Promise<void>,
): Promise<void> {
  try {
    await bring(beater(id));
  } catch (error) {
    const stopped = error instanceof Stopped;
    const says = stopped
      ? 'Stopped. Nothing of it came in.'
      : `${toProblem(error).body.error.message} Nothing of it came in.`;
    await endRun(sql(), id, { state: stopped ? 'stopped' : 'failed', says });
  }
}

const sayStood = (same: number): string => (same === 0 ? '' : ` ${same} stood here as they are.`);

async function bringTable(
  id: string,
  householdId: number,
  { lines, same }: TableReading,
  teller: Teller,
  tell: (rows: number) => Promise<void>,
): Promise<void> {
  const commands = asCommands(lines.map(({ line }) => line));
  await transaction(async (db) => {
    let packages = 0;
    for (const command of commands) {
      const answers = await runLocked(db, readCommands(command, now()), householdId, teller);
      packages += answers.reduce((sum, answer) => sum + answer.packages.length, 0);
      await tell(command.lines.length);
    }
    await endRun(db, id, {
      state: 'done',
      says: `${packages} packages came in.${sayStood(same)}`,
      commands: commands.map((command) => command.id),
    });
  });
}

/** A name that none of the households one sees has. */
async function freeName(wanted: string): Promise<string> {
  const taken = new Set((await visibleHouseholds()).map(({ name }) => name.toLowerCase()));
  if (!taken.has(wanted.toLowerCase())) return wanted;
  for (let nth = 2; ; nth++) {
    const name = `${wanted.slice(0, 54)} ${nth}`;
    if (!taken.has(name.toLowerCase())) return name;
  }
}

async function bringHousehold(
  id: string,
  document: HouseholdDocument,
  name: string,
  member: string | null,
  tell: (rows: number) => Promise<void>,
): Promise<void> {
  await transaction(async (db) => {
    const came = await importHousehold(db, document, name, tell);
    if (member) await putMembership(db, came.householdId, member, 'cook');
    const says =
      came.earlier > 0 ? ` ${came.earlier} packages are dated earlier by the figures of this version.` : '';
    const doubt =
      came.doubted > 0 ? ` What is told of ${came.doubted} cannot be: they are to be thrown out.` : '';
    await endRun(db, id, {
      state: 'done',
      says: `${came.name} came in.${says}${doubt}`,
      madeHousehold: came.householdId,
    });
  });
}

type Things = Extract<OpenedFile, { kind: 'things' }>;

/** "12 containers came in. 3 stood here as they are." */
async function bringRows(
  id: string,
  { name, table }: Things,
  ask: FileAsk,
  household: Household,
  teller: Teller,
  tell: (rows: number) => Promise<void>,
): Promise<void> {
  await transaction(async (db) => {
    const { came, same, faults, commands } = await bringThings(db, name, table, household, teller, tell);
    // Somebody may have changed the household since it was looked at.
    refuseFaulty(faults, came, ask);
    const out = faults.length === 0 ? '' : ` ${faults.length} stayed out.`;
    await endRun(db, id, {
      state: 'done',
      says: `${sayCame(name, came)} came in.${sayStood(same)}${out}`,
      commands,
    });
  });
}

/** Rows that are wrong stop all, unless they were said to stay out. @throws Problem 422 */
function refuseFaulty(faults: readonly RowFault[], came: number, ask: FileAsk): void {
  const [first] = faults;
  if (first && ask.faulty === 'stop')
    throw new Problem(
      422,
      'refused',
      `Row ${first.row}: ${first.says} ${faults.length > 1 ? `And ${faults.length - 1} more.` : ''}`.trim(),
      {
        fields: faults.slice(0, 20).map(({ row, says }) => ({ path: `row ${row}`, message: says })),
      },
    );
  if (came === 0) throw new Problem(422, 'refused', 'No row of it is new here and can come in.');
}

/** How many rows a file has, and how they come in. @throws Problem 422 */
async function prepared(
  file: OpenedFile,
  ask: FileAsk,
  household: Household,
  teller: Teller,
): Promise<{ total: number; bring: (id: string, tell: (rows: number) => Promise<void>) => Promise<void> }> {
  if (file.kind === 'household') {
    const { document } = file;
    await mayAddHousehold();
    const name = await freeName(document.household.name);
    return {
      total: rowsOf(document),
      bring: (id, tell) => bringHousehold(id, document, name, teller.member?.member ?? null, tell),
    };
  }
  if (file.kind === 'things') {
    const { came, faults } = await lookAtThings(file.name, file.table, household);
    refuseFaulty(faults, came, ask);
    return {
      total: file.table.rows.length,
      bring: (id, tell) => bringRows(id, file, ask, household, teller, tell),
    };
  }
  const { reading } = file;
  refuseFaulty(reading.faults, reading.lines.length, ask);
  return {
    total: reading.lines.length,
    bring: (id, tell) => bringTable(id, household.id, reading, teller, tell),
  };
}

/**
 * Begins to bring a file in; the answer comes at once, and how far it is is asked for by its id.
 *
 * @throws Problem 400, 403, 413, 422; nothing was begun then
 */
export async function beginRun(
  sent: SentFile,
  ask: FileAsk,
  cancelled: AbortSignal,
): Promise<{ id: string }> {
  const visitor = await mustBe('cook');
  const household = await ourHousehold();
  const teller = { member: visitor.member, person: null };
  const { total, bring } = await prepared(await openFile(sent, ask, cancelled), ask, household, teller);
  const id = newUuid();
  await addRun(sql(), household.id, { id, what: ask.name || 'a file', total, at: now() });
  void work(id, (tell) => inHousehold(household.id, () => bring(id, tell)));
  return { id };
}
