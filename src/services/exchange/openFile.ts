import Joi from 'joi';
import { headOf, type SentFile } from '@/workers/sentFile';
import { Problem } from '../door/problem';
import { plainText } from '../door/validate';
import { type HouseholdDocument, readDocument } from './readDocument';
import { readRows, type TableReading } from './importTable';
import { MEANINGS, type Mapping } from './mapColumns';
import { type FoundTable, readTable } from './readTable';
import { type TableName, tableOf } from './tables';

/** What stands beside a file in its address. */
export const fileQuery = Joi.object({
  name: plainText(120).allow('').default('').description('of the file'),
  columns: Joi.string()
    .allow('')
    .max(4000)
    .description('what each column tells, comma separated; left out: by their names'),
  faulty: Joi.string()
    .valid('leave', 'stop')
    .default('stop')
    .description('what to do with rows that are wrong'),
});
export interface FileAsk {
  name: string;
  columns?: string;
  faulty: 'leave' | 'stop';
}

/** @throws Problem 400 for a meaning that is none */
function mappingOf(columns: string | undefined): Mapping | null {
  if (columns === undefined || columns === '') return null;
  return columns.split(',').map((told) => {
    if (told === '') return null;
    const found = MEANINGS.find((one) => one === told);
    if (!found) throw new Problem(400, 'invalid', `A column cannot tell “${told.slice(0, 40)}”.`);
    return found;
  });
}

/** What a file is: a whole household, one of our own tables, or a list of packages. */
export type OpenedFile =
  | { kind: 'household'; document: HouseholdDocument }
  | { kind: 'things'; table: FoundTable; name: TableName }
  | { kind: 'table'; table: FoundTable; reading: TableReading };

const isDocument = (sent: SentFile): boolean =>
  /^\s*\{/.test(
    headOf(sent, 200)
      .toString('utf8')
      .replace(/^\ufeff/, ''),
  );

/** Opens a file and stores nothing. @throws Problem 400, 413 */
export async function openFile(sent: SentFile, ask: FileAsk, cancelled: AbortSignal): Promise<OpenedFile> {
  if (isDocument(sent)) return { kind: 'household', document: await readDocument(sent, cancelled) };
  const table = await readTable(sent, cancelled);
  const name = tableOf(table.columns);
  if (name !== null && name !== 'stock') return { kind: 'things', table, name };
  return { kind: 'table', table, reading: await readRows(table, mappingOf(ask.columns), cancelled) };
}
