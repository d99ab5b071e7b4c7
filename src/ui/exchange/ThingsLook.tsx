import type { FileLook } from '@/services/exchange/lookAtFile';
import { BringButtons, RowFaults } from './RowFaults';
import type { Import } from './useImport';

/** One of our own tables before it comes in: what each row would tell, what is here already, what is wrong. */
export function ThingsLook({
  look: { table, rows, came, same, shown, faults },
  bringing: { busy, begin },
}: {
  look: Extract<FileLook, { kind: 'things' }>;
  bringing: Import;
}) {
  const rest = came - shown.length;
  return (
    <div className="space-y-4">
      <div>
        <h3 className="font-semibold">
          {came === 0 && same === rows
            ? `All ${rows} rows stand here as they are.`
            : `${came} of ${rows} rows of ${table}.csv would come in`}
        </h3>
        {shown.length > 0 && (
          <ul className="mt-1">
            {shown.map((says, at) => (
              <li key={at}>{says}</li>
            ))}
            {rest > 0 && <li className="text-slate">and {rest} more</li>}
          </ul>
        )}
        {came > 0 && same > 0 && <p className="text-slate">{same} stand here as they are.</p>}
      </div>
      <RowFaults faults={faults} />
      <BringButtons
        faults={faults.length}
        good={came}
        busy={busy}
        begin={begin}
        all={came === 1 ? 'Bring 1 row in' : `Bring ${came} rows in`}
      />
    </div>
  );
}
