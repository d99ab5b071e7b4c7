import { createHash } from 'node:crypto';
import type { Told } from '@/core/model/command';
import { decide, sayDecision } from '@/core/ledger/decide';
import { settingKind } from '@/core/ledger/settings/settingKinds';
import { type Sql, transaction } from '@/store/database';
import { countChange, type Household, lockHousehold } from '@/store/households';
import { type Kitchen, readKitchen } from '@/store/kitchens';
import {
  claimCommand,
  finishCommand,
  markUndone,
  readAnswer,
  readFirstAt,
  readLastRecorded,
} from '@/store/commands';
import { now } from './clock';
import { refuseOthers, refuseTypes } from '../keys/mayTell';
import { type Visitor, whoAsks } from '../keys/whoAsks';
import { toldMember } from '../household/chosen';
import { chosenPerson } from '../household/person';
import { keptKitchen } from '../household/kept';
import { loadReference, ourHousehold, referenceOf } from '../household/household';
import { Problem } from './problem';
import { applyDecision } from './applyDecision';
import { type ReadCommand, readCommands } from './readCommands';
import { loadWorld, type Standing } from './loadWorld';

/** What a command answers, now and whenever it is repeated. */
export interface CommandAnswer {
  id: string;
  type: string;
  says: string;
  packages: { id: string; code: string; version: number; here: boolean }[];
}

/** A clock that goes back less is an ordinary correction. */
const NOTED_BACK_MS = 60_000;

function digestOf(command: Told): string {
  const { at: _at, ...body } = command;
  return createHash('sha256').update(JSON.stringify(body)).digest('hex');
}

/**
 * When a command is recorded: now, but never before the one recorded last, so that the ledger keeps its order when the
 * machine's clock was set back; that is written down too.
 */
function recordedAfter(at: string, last: string | null): { recordedAt: string; note: string } {
  if (last === null || at > last) return { recordedAt: at, note: '' };
  const back = Date.parse(last) - Date.parse(at);
  const minutes = Math.round(back / 60_000);
  const words =
    minutes < 60
      ? `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`
      : `${Math.round(minutes / 60)} ${minutes < 90 ? 'hour' : 'hours'}`;
  return {
    recordedAt: new Date(Date.parse(last) + 1).toISOString(),
    note: back < NOTED_BACK_MS ? '' : `The clock of this machine went back ${words} before this.`,
  };
}

/** What is dated back further than this is looked at: it cannot be older than the household. */
const LONG_BACK_MS = 86_400_000;

/** Nothing happened before the household was there. @throws Problem 422 */
async function refuseBeforeAll(db: Sql, { at }: Told, householdId: number): Promise<void> {
  if (Date.parse(at) > Date.parse(now()) - LONG_BACK_MS) return;
  const first = await readFirstAt(db, householdId);
  if (first !== null && at >= first) return;
  throw new Problem(422, 'refused', 'That is before this household was here. When was it really?', {
    fields: [{ path: 'at', message: 'before the household' }],
  });
}

/** Who tells commands: by the name chosen on the device, and, where keys are asked for, by the key. */
export interface Teller extends Pick<Visitor, 'member'> {
  person: string | null;
}

async function runOne(
  db: Sql,
  read: ReadCommand,
  household: Household,
  standing: Standing,
  teller: Teller,
): Promise<CommandAnswer> {
  const { kind, command } = read;
  await refuseBeforeAll(db, command, household.id);
  const recorded = recordedAfter(now(), await readLastRecorded(db, household.id));
  const claimed = await claimCommand(db, household.id, {
    id: command.id,
    type: command.type,
    digest: digestOf(command),
    at: command.at,
    ...recorded,
    toldBy: teller.member?.name ?? household.settings.people.find((name) => name === teller.person) ?? null,
    memberId: teller.member?.member ?? null,
  });
  if (!claimed) throw new Problem(409, 'id-used', 'This command id was used for something else.');
  const { world, past } = await loadWorld(db, read, household, standing);
  const decision = decide(kind, command, world, past);
  await applyDecision(db, command, household.id, decision, world);
  const kitchen = decision.settings.some(({ after }) => settingKind(after).kitchen);
  await countChange(db, household.id, kitchen);
  const answer: CommandAnswer = {
    id: command.id,
    type: command.type,
    says: sayDecision(kind, command, decision),
    packages: decision.events.map(({ after }) => ({
      id: after.id,
      code: after.code,
      version: after.version,
      here: after.gone === null,
    })),
  };
  const undoes = kind.pastOf?.(command) ?? null;
  await finishCommand(db, household.id, command.id, answer.says, undoes, answer);
  if (undoes !== null) await markUndone(db, household.id, undoes, command.id);
  return answer;
}

/** What a command answered when it was run before; `null`: it was not. @throws Problem 409 when its id carried another one */
async function answeredBefore(db: Sql, command: Told, householdId: number): Promise<CommandAnswer | null> {
  const known = await readAnswer(db, householdId, command.id);
  if (known === null) return null;
  if (known.digest !== digestOf(command)) {
    throw new Problem(409, 'id-used', 'This command id was used for another command.');
  }
  return known.response as CommandAnswer;
}

/**
 * Foods and zones under the lock. What this transaction itself has set is nobody else's to keep: it may still be rolled back.
 *
 * @param begun the household as it was when the transaction began
 */
async function standingOf(db: Sql, household: Household, begun: Household): Promise<Standing> {
  const kitchen = (): Promise<Kitchen> => readKitchen(db, household.id);
  return {
    reference: await (household.figures === begun.figures
      ? referenceOf(household, db)
      : loadReference(db, household.id)),
    kitchen: await (household.kitchenChanges === begun.kitchenChanges
      ? keptKitchen(household, kitchen)
      : kitchen()),
  };
}

/**
 * Runs one command after the other in a transaction, under their household's lock, which is held until it ends: caution, wishes
 * and own foods are those that stand then, also when another server copy has just set them. What was run before answers as the
 * first time.
 *
 * @param teller who tells them; without a key only the name of somebody who lives there is written down
 */
export function lockedRunner(
  db: Sql,
  householdId: number,
  teller: Teller = { member: null, person: null },
): (read: ReadCommand) => Promise<CommandAnswer> {
  let begun: Household | null = null;
  return async (read) => {
    const household = await lockHousehold(db, householdId);
    if (!household) throw new Problem(404, 'no-household', 'This household is not there any more.');
    begun ??= household;
    const before = await answeredBefore(db, read.command, householdId);
    return before ?? runOne(db, read, household, await standingOf(db, household, begun), teller);
  };
}

/** Runs a list of commands by {@link lockedRunner}; what was run before answers as the first time, and the rest is run. */
export async function runLocked(
  db: Sql,
  commands: readonly ReadCommand[],
  householdId: number,
  teller?: Teller,
): Promise<CommandAnswer[]> {
  const run = lockedRunner(db, householdId, teller);
  const answers: CommandAnswer[] = [];
  for (const read of commands) answers.push(await run(read));
  return answers;
}

/**
 * The one door for change. One command or a list, all or nothing, in one transaction: claim the ids, load and lock,
 * decide in the core, apply, append to the ledger. A repeated id answers as the first time, alone or in a list.
 *
 * @throws Problem, Refusal or StaleVersion; nothing was changed then
 */
export async function runCommands(body: unknown): Promise<CommandAnswer[]> {
  const visitor = await whoAsks();
  const entered = await toldMember();
  if (entered !== null && visitor.member && entered !== visitor.member.member)
    throw new Problem(
      409,
      'another-member',
      'Somebody else is signed in on this device now. What you entered is saved, and sent when you sign in again.',
    );
  refuseTypes(body, visitor.role);
  const commands = readCommands(body, now());
  const household = await ourHousehold();
  const teller = { member: visitor.member, person: await chosenPerson() };
  return transaction(async (db) => {
    await refuseOthers(db, commands, household, visitor);
    return runLocked(db, commands, household.id, teller);
  });
}
