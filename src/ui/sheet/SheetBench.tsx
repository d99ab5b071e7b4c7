'use client';

import { Printer } from 'lucide-react';
import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { SheetsView, SheetView } from '@/services/sheet/sheets';
import { useDoor } from '../door/useDoor';
import { CatchUp } from './CatchUp';

const WEEK_DAYS = 7;

/** Sheets on the doors: printed, caught up, taken down. */
export function SheetBench({ view, begin }: { view: SheetsView; begin: string | null }) {
  const { act, busy } = useDoor();
  const [open, setOpen] = useState(begin);
  const printed = (code: string): string => `/api/v1/sheets/print?sheet=${code}`;
  const shown = view.sheets.find(({ code }) => code === open) ?? null;
  const asksFor = open !== null && shown === null;
  const lineOf = ({ code, called, printed_words, packs, left, came }: SheetView) => (
    <li key={code} className="flex flex-wrap items-center gap-2 py-2">
      <p className="min-w-0 flex-1 basis-64">
        <b className="font-heading font-semibold">
          {called}, sheet {code}
        </b>
        <span className="block text-[0.9375rem] text-slate">
          put down {printed_words}, {packs} packs; {left} left since as far as is known here
          {came > 0 && `, ${came} came in that are not on it`}
        </span>
      </p>
      <button
        type="button"
        className="button"
        data-main={code !== open}
        aria-pressed={code === open}
        onClick={() => setOpen(code === open ? null : code)}
      >
        Catch up
      </button>
      <a
        className="button"
        href={printed(code)}
        target="_blank"
        rel="noreferrer"
        aria-label={`Print sheet ${code}`}
      >
        <Printer aria-hidden size={18} /> Print
      </a>
      <button
        type="button"
        className="button"
        disabled={busy}
        aria-label={`Take sheet ${code} down`}
        onClick={() => void act({ type: 'sheet.drop', code })}
      >
        Take down
      </button>
    </li>
  );
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <div className="space-y-4">
        <section aria-labelledby="new-sheet" className="card p-4">
          <h2 id="new-sheet" className="text-lg">
            A new sheet
          </h2>
          <div className="mt-2 flex flex-wrap gap-2">
            {view.appliances.map(({ id, name }) => (
              <button
                key={id}
                type="button"
                className="button"
                disabled={busy}
                onClick={() => void act({ type: 'sheet.print', appliance: id })}
              >
                {name}
              </button>
            ))}
          </div>
          <p className="mt-2 text-slate">It is put down as it is now, and can be printed below.</p>
          <button
            type="button"
            className="button mt-2"
            disabled={busy}
            onClick={() =>
              void act({
                type: 'job.set',
                job: {
                  id: newUuid(),
                  kind: 'round',
                  name: 'Catch up the door sheet, print a new one',
                  everyDays: WEEK_DAYS,
                },
              })
            }
          >
            We live by paper: remind us every week
          </button>
        </section>
        <section aria-labelledby="sheets" className="card p-4">
          <h2 id="sheets" className="text-lg">
            On the doors
          </h2>
          {asksFor && (
            <p role="alert" className="mt-1 text-beet">
              There is no sheet {open} on a door any more. Choose another, or print a new one.
            </p>
          )}
          {view.sheets.length === 0 ? (
            <p className="mt-1 text-slate">None yet. Choose an appliance above.</p>
          ) : (
            <ul className="divide-y divide-line">{view.sheets.map(lineOf)}</ul>
          )}
        </section>
      </div>
      {shown && <CatchUp key={shown.code} sheet={shown} onDone={() => setOpen(null)} />}
    </div>
  );
}
