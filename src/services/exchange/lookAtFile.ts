import type { SentFile } from '@/workers/sentFile';
import { ourHousehold } from '../household/household';
import { mustBe } from '../keys/whoAsks';
import { lookAtThings } from './bringThings';
import { rowsOf } from './readDocument';
import { namesOf, type RowFault, type TableReading } from './importTable';
import type { ColumnMeaning } from './mapColumns';
import { type FileAsk, openFile } from './openFile';
import type { FoundTable } from './readTable';
import type { TableName } from './tables';

const SHOWN = 12;
const MOST_FAULTS_SHOWN = 500;

/** What a file would bring, before it does. */
export type FileLook =
  | { kind: 'household'; name: string; packages: number; rows: number }
  | {
      /** One of our own tables, but of packages. */
      kind: 'things';
      table: TableName;
      rows: number;
      /** Rows that would come in, and rows that stand here as they are. */
      came: number;
      same: number;
      /** The first of what would be told: "Glass box: 4 of them." */
      shown: string[];
      faults: RowFault[];
    }
  | {
      kind: 'table';
      columns: { name: string; means: ColumnMeaning | null }[];
      rows: number;
      packages: number;
      /** Packages that keep the code on their label. */
      coded: number;
      /** Rows of packages that stand here as they are. */
      same: number;
      /** The first of what would come: "Peas 500 g × 2". */
      shown: string[];
      faults: RowFault[];
    };

async function lookAtList(
  table: FoundTable,
  { mapping, lines, same, faults }: TableReading,
): Promise<FileLook> {
  const shown = lines.slice(0, SHOWN).map(({ line }) => line);
  const names = await namesOf(shown);
  return {
    kind: 'table',
    columns: table.columns.map((name, at) => ({ name, means: mapping[at] ?? null })),
    rows: table.rows.length,
    packages: lines.reduce((sum, { line }) => sum + line.packs, 0),
    coded: lines.filter(({ line }) => line.code !== undefined).length,
    same,
    shown: shown.map(
      ({ packs, amount, unit }, at) =>
        `${names[at]} ${amount} ${unit}${packs > 1 ? ` in ${packs} packs` : ''}`,
    ),
    faults: faults.slice(0, MOST_FAULTS_SHOWN),
  };
}

/** Looks at a file and stores nothing. @throws Problem 400, 403, 413, 422 */
export async function lookAtFile(sent: SentFile, ask: FileAsk, cancelled: AbortSignal): Promise<FileLook> {
  await mustBe('cook');
  const file = await openFile(sent, ask, cancelled);
  if (file.kind === 'household') {
    const { document } = file;
    return {
      kind: 'household',
      name: document.household.name,
      packages: document.packages?.length ?? 0,
      rows: rowsOf(document),
    };
  }
  if (file.kind === 'table') return lookAtList(file.table, file.reading);
  const { came, same, says, faults } = await lookAtThings(file.name, file.table, await ourHousehold());
  return {
    kind: 'things',
    table: file.name,
    rows: file.table.rows.length,
    came,
    same,
    shown: says.slice(0, SHOWN),
    faults: faults.slice(0, MOST_FAULTS_SHOWN),
  };
}
