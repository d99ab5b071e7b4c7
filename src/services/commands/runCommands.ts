import { createHash } from 'node:crypto';
import { v4 as newUuid } from 'uuid';
import { dateInZone } from '@/core/calendar/dateInZone';
import { packageCode } from '@/core/labels/packageCode';
import type { Command } from '@/core/ledger/command';
import { type Decision, decide } from '@/core/ledger/decide';
import type { Zone } from '@/core/ledger/package';
import type { World } from '@/core/ledger/world';
import { sayPackSizes } from '@/core/portions/sayPackSizes';
import { type Sql, sql, transaction } from '@/store/database';
import { type Household, lockHousehold, takeCodeNumbers } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import {
  appendEvents,
  claimCommand,
  finishCommand,
  markUndone,
  readAnswer,
  readPastCommand,
} from '@/store/ledger';
import { addLot, addPackages, lockPackages, putPackage } from '@/store/packages';
import { now } from '../clock';
import { foodNamed, ourHousehold, type Reference, referenceOf } from '../household';
import { Problem } from '../problem';
import { readCommands } from './commandSchemas';

/** What a command answers, now and whenever it is repeated. */
export interface CommandAnswer {
  id: string;
  type: string;
  says: string;
  packages: { id: string; code: string; version: number; here: boolean }[];
}

/** The claim on an id failed: it was used before. */
class Repeated extends Error {
  constructor(readonly command: Command) {
    super(command.id);
  }
}

function digestOf(command: Command): string {
  const { at: _at, ...body } = command;
  return createHash('sha256').update(JSON.stringify(body)).digest('hex');
}

function codesNeeded(command: Command): number {
  return command.type === 'haul.store' ? command.lines.reduce((sum, line) => sum + line.packs, 0) : 0;
}

/** Loads and locks what a command touches. */
async function loadWorld(db: Sql, command: Command, household: Household, reference: Reference) {
  const past =
    command.type === 'ledger.undo' ? await readPastCommand(db, household.id, command.command) : null;
  if (command.type === 'ledger.undo' && !past) {
    throw new Problem(404, 'not-found', 'There is no such command in this ledger.', {
      fields: [{ path: 'command', message: 'not known' }],
    });
  }
  const ids = past ? past.events.map(({ after }) => after.id) : 'package' in command ? [command.package] : [];
  const packages = await lockPackages(db, household.id, ids);
  const { zones } = await readKitchen(db, household.id);
  const zoneOf = new Map<string, Zone>(zones.map((zone) => [zone.id, zone]));
  const count = codesNeeded(command);
  let nextCode = count > 0 ? await takeCodeNumbers(db, household.id, count) : 0;
  const missing = (field: string, message: string): Problem =>
    new Problem(404, 'not-found', message, {
      fields: [{ path: field, message: 'not known in this household' }],
    });
  const world: World = {
    today: dateInZone(command.at, household.timeZone),
    at: command.at,
    currency: household.currency,
    caution: household.caution,
    food: (id) => reference.byId.get(id) ?? foodNamed(reference.index, id),
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
  };
  return { world, past };
}

async function apply(
  db: Sql,
  command: Command,
  household: Household,
  { lots, events }: Decision,
): Promise<void> {
  for (const lot of lots) await addLot(db, household.id, command.id, lot);
  const stored = events.filter(({ before }) => before === null).map(({ after }) => after);
  await addPackages(db, household.id, stored);
  for (const { before, after } of events) {
    if (before !== null) await putPackage(db, household.id, after);
  }
  await appendEvents(db, household.id, command.id, command.at, events);
}

function sayDecision(command: Command, { events, lots }: Decision): string {
  const [first] = events;
  if (!first) return 'Nothing changed.';
  if (command.type !== 'haul.store') return first.says;
  const told = lots.slice(0, 6).map((lot) => {
    const packs = events.filter(({ after }) => after.lotId === lot.id);
    const called = packs[0]?.after.called ?? '';
    const size = sayPackSizes(lot.amount, packs.length, lot.unit);
    return `${called} ${packs.length > 1 ? `${packs.length} × ` : ''}${size}`;
  });
  return `Stored ${told.join(', ')}${lots.length > 6 ? ` and ${lots.length - 6} more` : ''}.`;
}

async function runOne(
  db: Sql,
  command: Command,
  household: Household,
  reference: Reference,
): Promise<CommandAnswer> {
  const claimed = await claimCommand(db, household.id, {
    id: command.id,
    type: command.type,
    digest: digestOf(command),
    at: command.at,
    recordedAt: now(),
  });
  if (!claimed) throw new Repeated(command);
  const { world, past } = await loadWorld(db, command, household, reference);
  const decision = decide(command, world, past);
  await apply(db, command, household, decision);
  const answer: CommandAnswer = {
    id: command.id,
    type: command.type,
    says: sayDecision(command, decision),
    packages: decision.events.map(({ after }) => ({
      id: after.id,
      code: after.code,
      version: after.version,
      here: after.gone === null,
    })),
  };
  const undoes = command.type === 'ledger.undo' ? command.command : null;
  await finishCommand(db, household.id, command.id, answer.says, undoes, answer);
  if (undoes !== null) await markUndone(db, household.id, undoes, command.id);
  return answer;
}

/** The answers of commands that were all run before. */
async function repeat(commands: Command[], household: Household): Promise<CommandAnswer[]> {
  return Promise.all(
    commands.map(async (command) => {
      const known = await readAnswer(sql(), household.id, command.id);
      if (!known?.response) throw new Problem(409, 'id-used', 'This command id was used for something else.');
      if (known.digest !== digestOf(command)) {
        throw new Problem(409, 'id-used', 'This command id was used for another command.');
      }
      return known.response as CommandAnswer;
    }),
  );
}

/**
 * The one door for change. One command or a list, all or nothing, in one transaction: claim the ids, load and lock,
 * decide in the core, apply, append to the ledger. A repeated id answers as the first time.
 *
 * @throws Problem, Refusal or StaleVersion; nothing was changed then
 */
export async function runCommands(body: unknown): Promise<CommandAnswer[]> {
  const commands = readCommands(body, now());
  const household = await ourHousehold();
  const reference = await referenceOf(household.id);
  try {
    return await transaction(async (db) => {
      const answers: CommandAnswer[] = [];
      await lockHousehold(db, household.id);
      for (const command of commands) answers.push(await runOne(db, command, household, reference));
      return answers;
    });
  } catch (error) {
    if (error instanceof Repeated) return repeat(commands, household);
    throw error;
  }
}
