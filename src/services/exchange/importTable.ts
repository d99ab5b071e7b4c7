import { v4 as newUuid } from 'uuid';
import { storeHaulCommand } from '@/core/ledger/haul/storeHaul';
import { storeLine } from '@/core/ledger/package/storeLine';
import { indexFoods } from '@/core/foods/findFood';
import { MOST_LINES, MOST_MADE } from '@/core/model/limits';
import type { IntakeLine } from '@/core/model/intakeLine';
import type { PrintedDate } from '@/core/model/history';
import type { Package } from '@/core/model/package';
import { Refusal } from '@/core/model/refusal';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { toApiLine } from '../door/apiLine';
import { now } from '../door/clock';
import { inTurns } from '../door/inTurns';
import { loadWorld } from '../door/loadWorld';
import { Problem } from '../door/problem';
import { lineSchema } from '../door/schemas/line';
import { validate } from '../door/validate';
import { readVocabulary } from '../household/foods';
import { foodNamed, ourHousehold, referenceOf } from '../household/household';
import { mapColumns, type Mapping } from './mapColumns';
import type { FoundTable } from './readTable';
import { rowLine, type RowLine, toldIn } from './rowLine';
import { standingHere } from './standingHere';

/** A row that cannot come in, and why. */
export interface RowFault {
  /** As a spreadsheet counts. */
  row: number;
  says: string;
}

/** What a table would bring. */
export interface TableReading {
  mapping: Mapping;
  lines: { row: number; line: IntakeLine }[];
  /** Rows of packages that stand here as they are. */
  same: number;
  faults: RowFault[];
}

/** A line as it would be stored; by the same rules, in the same order, as when it is. @throws Refusal or Problem */
async function lineJudge(household: Household): Promise<(line: IntakeLine) => Package | undefined> {
  const command = { id: newUuid(), type: storeHaulCommand.type, at: now(), lines: [] };
  const { world } = await loadWorld(sql(), { kind: storeHaulCommand, command }, household, {
    reference: await referenceOf(household),
    kitchen: await readKitchen(sql(), household.id),
  });
  return (line) => {
    validate(lineSchema, toApiLine(line));
    return storeLine(line, world).events[0]?.after;
  };
}

/** The day on which something happened to it last. */
const lastDay = ({ start, history }: IntakeLine): string =>
  (history ?? []).reduce((day, { on }) => (on > day ? on : day), start.on);

/** Dates that it had where the table was written, as those of what is packed anew: no later ones are worked out for it. */
function datedAsBefore(line: IntakeLine, until: PrintedDate, judged: Package): IntakeLine {
  const useBy = until.kind === 'use-by' ? until.date : judged.useBy;
  const bestBy = judged.bestBy < until.date ? judged.bestBy : until.date;
  const packed = {
    did: 'joined',
    startOn: line.start.on,
    useBy,
    bestBy,
    minutes: 0,
    days: null,
    anew: true,
  } as const;
  return { ...line, history: [...(line.history ?? []), { ...packed, on: lastDay(line) }] };
}

/**
 * A line that may come in, as strictly as it was where the table was written. Of food that a table knows more of than its columns
 * tell (a warm shelf, a power cut), the date it had counts as one that is printed on it, else as that of what was packed anew; what
 * was not for eating was found bad.
 *
 * @throws Refusal or Problem
 */
function admitted(
  { line: told, until, condemned }: Extract<RowLine, { fault: null }>,
  judge: (line: IntakeLine) => Package | undefined,
): IntakeLine {
  const bad = condemned && judge(told)?.condemned !== true;
  if (bad && !told.history)
    throw new Refusal('row', 'It was not for eating any more, and its row does not tell why: throw it out.');
  const line = bad
    ? { ...told, history: [...(told.history ?? []), { did: 'found-bad' as const, on: lastDay(told) }] }
    : told;
  const judged = judge(line);
  if (line.history && judged && judged.openedOn !== line.openedOn)
    throw new Refusal('row', 'Its history says otherwise of its opening than its other cells do.');
  const later = (one: Package | undefined): boolean =>
    until !== null && one !== undefined && one.governingDate > until.date;
  if (!later(judged)) return line;
  const capped = { ...line, printed: until };
  if (!later(judge(capped))) return capped;
  const packed = line.history && until && judged ? datedAsBefore(line, until, judged) : line;
  if (later(judge(packed)))
    throw new Refusal(
      'date',
      `It would be dated later than ${until?.date ?? 'before'} here. Bring the whole household instead.`,
    );
  return packed;
}

/**
 * Reads every row of a table as what it would bring, and stores nothing.
 *
 * @param chosen what the columns tell, where the cook said so; else by their names @param cancelled whoever sent it went away
 */
export async function readRows(
  table: FoundTable,
  chosen: Mapping | null,
  cancelled?: AbortSignal,
): Promise<TableReading> {
  const mapping = chosen ?? mapColumns(table.columns, table.rows);
  const known = await readVocabulary();
  const vocabulary = { ...known, foods: indexFoods(known.foods) };
  const household = await ourHousehold();
  const judge = await lineJudge(household);
  const standsHere = mapping.includes('code') ? await standingHere(table, mapping, household) : () => 'new';
  const lines: TableReading['lines'] = [];
  const faults: RowFault[] = [];
  let same = 0;
  const readRow = ([nth, cells]: [number, string[]]): void => {
    const row = table.numbers[nth] ?? 0;
    const told = toldIn(cells, mapping);
    try {
      const stands = standsHere(told, cells);
      if (stands === 'same') {
        same += 1;
        return;
      }
      const { code: _code, ...uncoded } = told;
      const read = rowLine(stands === 'uncoded' ? uncoded : told, vocabulary);
      if (read.line === null) faults.push({ row, says: read.fault });
      else lines.push({ row, line: admitted(read, judge) });
    } catch (error) {
      if (error instanceof Refusal) faults.push({ row, says: error.says });
      else if (error instanceof Problem) faults.push({ row, says: error.message });
      else throw error;
    }
  };
  await inTurns(table.rows.entries(), readRow, cancelled);
  return { mapping, lines, same, faults };
}

/** Lines as commands: as many in each as one may have, with ids of their own. */
export function asCommands(lines: readonly IntakeLine[]): { id: string; type: string; lines: object[] }[] {
  const commands: { id: string; type: string; lines: object[] }[] = [];
  let some: IntakeLine[] = [];
  const close = (): void => {
    if (some.length > 0)
      commands.push({ id: newUuid(), type: storeHaulCommand.type, lines: some.map(toApiLine) });
    some = [];
  };
  for (const line of lines) {
    const packs = some.reduce((sum, one) => sum + one.packs, 0) + line.packs;
    if (some.length === MOST_LINES || packs > MOST_MADE) close();
    some.push(line);
  }
  close();
  return commands;
}

/** The name of a food by the id or name in a line, for a look at what would come. */
export async function namesOf(lines: readonly IntakeLine[]): Promise<string[]> {
  const { index } = await referenceOf(await ourHousehold());
  return lines.map(({ food, called }) => called || foodNamed(index, food).name);
}
