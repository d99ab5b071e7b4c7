'use client';

import { switchHousehold } from '../start/switchHousehold';
import { TableLook } from './TableLook';
import { ThingsLook } from './ThingsLook';
import { type Import, useImport } from './useImport';

/** How far it is, and the ways out of it. */
function RunPart({
  run,
  busy,
  stop,
  undo,
  anew,
}: Pick<Import, 'busy' | 'stop' | 'undo' | 'anew'> & { run: NonNullable<Import['run']> }) {
  if (run.state === 'running')
    return (
      <div className="space-y-3">
        <label className="block">
          <span className="block">
            {run.done} of {run.total} rows of {run.what}
          </span>
          <progress className="h-4 w-full accent-[var(--deep)]" max={run.total} value={run.done} />
        </label>
        <button type="button" className="button" disabled={busy} onClick={stop}>
          Stop
        </button>
        <p className="text-slate">All of it comes in, or nothing. You may leave this page.</p>
      </div>
    );
  return (
    <div className="space-y-3" role="status">
      <p
        className={`rounded-part px-3 py-2 text-lg ${run.state === 'failed' ? 'bg-beet-tint text-beet' : 'bg-rime'}`}
      >
        {run.says}
      </p>
      <div className="flex flex-wrap gap-2">
        {run.household && run.state === 'done' && (
          <button
            type="button"
            className="button"
            data-main="true"
            onClick={() => void switchHousehold({ choose: run.household?.id ?? 0 })}
          >
            Go to {run.household.name}
          </button>
        )}
        {run.state === 'done' && (
          <button type="button" className="button" disabled={busy} onClick={undo}>
            Take all of it back
          </button>
        )}
        <button type="button" className="button" onClick={anew}>
          Another file
        </button>
      </div>
    </div>
  );
}

/** A file comes in: chosen, looked at, then all of it or nothing. */
export function BringIn() {
  const bringing = useImport();
  const { file, look, run, fault, busy, choose, begin, anew } = bringing;
  return (
    <section
      className="card space-y-4 p-5"
      aria-labelledby="bring-in"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [dropped] = event.dataTransfer.files;
        if (dropped) choose(dropped);
      }}
    >
      <h2 id="bring-in" className="text-lg">
        Bring in
      </h2>
      {!file && (
        <>
          <label className="block">
            <span className="block">
              A list from a spreadsheet (CSV or XLSX), a table that was taken out here, or a whole household
              (JSON). Choose it, or drop it here.
            </span>
            <input
              type="file"
              className="field mt-2 h-auto py-2 file:mr-3 file:min-h-11 file:rounded-part file:border-0 file:bg-ink file:px-4 file:font-semibold file:text-snow"
              accept=".csv,.tsv,.txt,.xlsx,.json,text/csv,application/json"
              onChange={(event) => {
                const [chosen] = event.target.files ?? [];
                if (chosen) choose(chosen);
              }}
            />
          </label>
          <p className="text-slate">
            One row a thing; the first row names the columns, in whatever words: item, how much, where, frozen
            on, use by, notes. Nothing is stored before you have seen what would come.
          </p>
        </>
      )}
      {file && !run && (
        <p className="flex flex-wrap items-center gap-3">
          <b>{file.name}</b>
          <button type="button" className="button" onClick={anew}>
            Another file
          </button>
          {busy && <span role="status">Reading …</span>}
        </p>
      )}
      <p role="alert" className={fault === '' ? 'sr-only' : 'rounded-part bg-beet-tint px-3 py-2 text-beet'}>
        {fault}
      </p>
      {look?.kind === 'household' && !run && (
        <div className="space-y-3">
          <p className="text-lg">
            {look.name}: {look.packages} packages, with all that was ever told of them. It comes in as a
            household of its own, beside this one.
          </p>
          <button
            type="button"
            className="button"
            data-main="true"
            disabled={busy}
            onClick={() => begin('stop')}
          >
            Bring {look.name} in
          </button>
        </div>
      )}
      {look?.kind === 'things' && !run && <ThingsLook look={look} bringing={bringing} />}
      {look?.kind === 'table' && !run && <TableLook look={look} bringing={bringing} />}
      {run && <RunPart {...bringing} run={run} />}
    </section>
  );
}
