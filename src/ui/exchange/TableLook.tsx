'use client';

import type { FileLook } from '@/services/exchange/lookAtFile';
import { BringButtons, RowFaults } from './RowFaults';
import type { Import } from './useImport';

/** What a column may tell, in words. */
const MEANS: readonly (readonly [string, string])[] = [
  ['', 'leave it out'],
  ['name', 'what it is'],
  ['food', 'which food it counts as'],
  ['amount', 'how much'],
  ['unit', 'unit of that'],
  ['packs', 'how many packs'],
  ['zone', 'place in it'],
  ['appliance', 'fridge or freezer'],
  ['start', 'since when'],
  ['did', 'bought, cooked …'],
  ['frozen_on', 'frozen on'],
  ['opened_on', 'opened on'],
  ['printed_date', 'printed date'],
  ['printed', 'kind of printed date'],
  ['wrap', 'packed in'],
  ['form', 'form'],
  ['blanched', 'blanched'],
  ['came_frozen', 'came frozen'],
  ['price', 'price'],
  ['note', 'note'],
  ['until', 'no later than'],
  ['until_kind', 'kind of that date'],
  ['code', 'code on its label'],
  ['not_for_eating', 'not for eating'],
  ['counter_since', 'on the counter since'],
  ['cap', 'a pot’s cap'],
  ['history', 'what happened to it'],
];

/** Whether labels that are stuck on already stay good. */
function labelsOf(packages: number, coded: number): string {
  if (coded === packages) return 'They keep the codes on their labels.';
  const anew = packages - coded;
  const want = `${anew === 1 ? '1 gets a new code and wants' : `${anew} get a new code and want`} a new label.`;
  return coded === 0 ? want : `${coded} keep the code on their label; ${want}`;
}

/** A table before it comes in: what its columns tell, what would come, and every row that is wrong. */
export function TableLook({
  look,
  bringing,
}: {
  look: Extract<FileLook, { kind: 'table' }>;
  bringing: Import;
}) {
  const { busy, mapColumn, begin } = bringing;
  const { faults, rows, packages, same } = look;
  const good = rows - faults.length - same;
  // A table of our own says by itself what it tells.
  const isOurs = look.columns.some(({ means }) => means === 'history');
  const packs = packages === 1 ? '1 package' : `${packages} packages`;
  const columns = (
    <fieldset>
      <legend className={isOurs ? 'sr-only' : 'mb-1 font-semibold'}>What the columns tell</legend>
      <div className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
        {look.columns.map(({ name, means }, at) => (
          <label key={at}>
            <span className="block truncate text-slate">{name || `column ${at + 1}`}</span>
            <select
              className="field"
              value={means ?? ''}
              disabled={busy}
              onChange={(event) => mapColumn(at, event.target.value)}
            >
              {MEANS.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  );
  return (
    <div className="space-y-4">
      {isOurs ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            Our own stock.csv: what the columns tell
          </summary>
          {columns}
        </details>
      ) : (
        columns
      )}
      {same > 0 && (
        <p>
          {same === rows ? `All ${rows} rows` : `${same} of ${rows} rows`} stand here as they are and are
          passed over.
        </p>
      )}
      {look.shown.length > 0 && (
        <div>
          <h3 className="font-semibold">
            {good} of {rows} rows would come in, as {packs}
          </h3>
          {isOurs && <p>{labelsOf(packages, look.coded)}</p>}
          <ul className="mt-1 columns-1 gap-6 sm:columns-2">
            {look.shown.map((words, at) => (
              <li key={at}>{words}</li>
            ))}
            {good > look.shown.length && <li className="text-slate">and {good - look.shown.length} more</li>}
          </ul>
        </div>
      )}
      <RowFaults faults={faults} />
      <BringButtons faults={faults.length} good={good} busy={busy} begin={begin} all={`Bring ${packs} in`} />
    </div>
  );
}
