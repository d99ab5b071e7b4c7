import type { RowFault } from '@/services/exchange/importTable';
import type { Import } from './useImport';

/** Every row that is wrong, and why. */
export function RowFaults({ faults }: { faults: readonly RowFault[] }) {
  if (faults.length === 0) return null;
  return (
    <div>
      <h3 className="font-semibold text-beet">
        {faults.length === 1 ? 'One row cannot come in' : `${faults.length} rows cannot come in`}
      </h3>
      <ul
        className="mt-1 max-h-64 overflow-y-auto border-y border-line"
        tabIndex={0}
        aria-label="Rows that are wrong"
      >
        {faults.map(({ row, says }) => (
          <li key={row} className="flex gap-3 border-b border-line py-1.5 last:border-0">
            <b className="w-16 shrink-0">Row {row}</b>
            <span>{says}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** All of it, or the good rows alone. */
export function BringButtons({
  faults,
  good,
  all,
  busy,
  begin,
}: Pick<Import, 'busy' | 'begin'> & {
  faults: number;
  good: number;
  /** What the button says when every row is good. */
  all: string;
}) {
  return (
    <>
      {good > 0 && (
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={busy}
          onClick={() => begin(faults === 0 ? 'stop' : 'leave')}
        >
          {faults === 0 ? all : `Bring ${good} ${good === 1 ? 'row' : 'rows'} in, leave ${faults} out`}
        </button>
      )}
      {faults > 0 && <p className="text-slate">Or mend the rows in your table, and choose it again.</p>}
    </>
  );
}
