'use client';

import { type AsideLine, changeShelf } from './fillShelf';

/** Lines that could not be read: told one by one, none lost. */
export function AsideLines({
  lines,
  onMend,
}: {
  lines: readonly AsideLine[];
  onMend: (line: AsideLine) => void;
}) {
  if (lines.length === 0) return null;
  const drop = (gone: AsideLine): void =>
    changeShelf(({ aside }) => ({ aside: aside.filter(({ id }) => id !== gone.id) }));
  return (
    <section aria-labelledby="aside" className="card p-4">
      <h2 id="aside" className="text-lg">
        Kept aside: {lines.length === 1 ? 'one line' : `${lines.length} lines`}
      </h2>
      <p className="text-slate">They wait on this device until you mend or drop them.</p>
      <ul className="mt-2 divide-y divide-line">
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
            <span className="min-w-48 flex-1">
              <b className="block font-heading font-semibold break-words">{line.text}</b>
              <span className="text-beet">{line.says}</span>
            </span>
            <button
              type="button"
              className="button"
              aria-label={`Mend: ${line.text}`}
              onClick={() => onMend(line)}
            >
              Mend
            </button>
            <button
              type="button"
              className="button"
              aria-label={`Drop: ${line.text}`}
              onClick={() => drop(line)}
            >
              Drop
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
