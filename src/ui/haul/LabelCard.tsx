'use client';

import { create } from 'qrcode';
import { useMemo } from 'react';
import { jam, loadRoll, type Printer, retry, runOut, type Strip, toggle } from '@/devices/labelPrinter';
import type { HaulPack } from '@/services/haul/haul';
import type { PrinterDesk } from '../devices/usePrinter';

/** The code of a package as a square for a camera. */
function Qr({ code }: { code: string }) {
  const { size, path } = useMemo(() => {
    const { modules } = create(`${location.origin}/p/${code}`, { errorCorrectionLevel: 'M' });
    let drawn = '';
    for (let row = 0; row < modules.size; row++) {
      for (let column = 0; column < modules.size; column++) {
        if (modules.get(row, column)) drawn += `M${column} ${row}h1v1h-1z`;
      }
    }
    return { size: modules.size, path: drawn };
  }, [code]);
  return (
    <svg
      role="img"
      aria-label={`Code of ${code}`}
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      width="84"
      height="84"
      className="rounded bg-white"
    >
      <path d={path} fill="#000" />
    </svg>
  );
}

/** A printed strip as it comes out. */
function PrintedStrip({ strip }: { strip: Strip }) {
  return (
    <div className="flex gap-3 rounded-part border border-tape-edge bg-tape p-3 text-tape-ink">
      <div className="min-w-0 flex-1">
        <p className="font-heading text-lg leading-tight font-semibold">{strip.name}</p>
        <p>{strip.amount}</p>
        <p>{strip.happened}</p>
        <p className="font-heading font-semibold">{strip.due}</p>
        {strip.notFor !== '' && <p className="font-semibold text-beet">{strip.notFor}</p>}
        <p className="text-[0.9375rem]">{strip.thenDo}</p>
      </div>
      <div className="flex-none text-center">
        <Qr code={strip.code} />
        <p className="font-heading font-semibold">{strip.code}</p>
      </div>
    </div>
  );
}

const STATE_WORDS: Record<Printer['state'], string> = {
  ready: '',
  'paper-out': 'The paper has run out. Put in a new roll; what waits is printed then.',
  jam: 'The paper jams. Clear it; the strip on its way is printed again.',
  off: 'The printer is off. The labels wait, or write them on tape.',
};

function sayPrinter({ state, queue, paper }: Printer): string {
  if (state !== 'ready') return STATE_WORDS[state];
  const waiting = queue.length === 0 ? 'nothing waits' : `${queue.length} printing`;
  return `${waiting} · paper for ${paper}`;
}

/** Labels as they are printed, or the words to write on tape; the printer's troubles and what mends them. */
export function LabelCard({
  desk: { printer, turn, byHand, writeByHand },
  packs,
}: {
  desk: PrinterDesk;
  packs: readonly HaulPack[];
}) {
  const strip = printer.printed[0];
  const written = packs.filter(({ gone, waiting }) => !gone && waiting);
  const freezing = written.filter((pack) => pack.to_freeze).map(({ code }) => code);
  const sheet = `/api/v1/labels?codes=${written.map(({ code }) => code).join(',')}${freezing.length > 0 ? `&freezing=${freezing.join(',')}` : ''}`;
  return (
    <section aria-label="Labels" className="card space-y-2 p-3">
      <div className="flex items-center gap-2">
        <h2 className="mr-auto text-lg">Labels</h2>
        <button type="button" className="button" aria-pressed={byHand} onClick={() => writeByHand(!byHand)}>
          {byHand ? 'Print them' : 'Write by hand'}
        </button>
      </div>
      {byHand ? (
        <>
          <p className="text-slate">On tape, the largest first:</p>
          {written.length === 0 && <p className="text-slate">Label a line, then its words stand here.</p>}
          <ol className="max-h-80 space-y-2 overflow-y-auto" tabIndex={0} aria-label="Words to write">
            {written.map((pack) => (
              <li
                key={pack.id}
                className="rounded-part border border-tape-edge bg-tape px-3 py-2 text-tape-ink"
              >
                {pack.tape.map((words, at) => (
                  <span
                    key={at}
                    className="mr-3 inline-block font-heading font-semibold"
                    style={{ fontSize: `${1.6 - at * 0.16}rem` }}
                  >
                    {words}
                  </span>
                ))}
              </li>
            ))}
          </ol>
        </>
      ) : (
        <>
          {strip ? (
            <PrintedStrip strip={strip} />
          ) : (
            <p className="text-slate">Each line’s labels are printed when it is done.</p>
          )}
          <div role="status" className={printer.state === 'ready' ? 'text-slate' : 'font-semibold text-beet'}>
            {sayPrinter(printer)}
            {printer.state !== 'ready' && printer.queue.length > 0 && ` ${printer.queue.length} waiting.`}
          </div>
          <div className="flex flex-wrap gap-2">
            {printer.state === 'paper-out' && (
              <button type="button" className="button" data-main="true" onClick={() => turn(loadRoll)}>
                New roll is in
              </button>
            )}
            {printer.state === 'jam' && (
              <button type="button" className="button" data-main="true" onClick={() => turn(retry)}>
                Cleared, print again
              </button>
            )}
            {printer.state === 'off' && (
              <button type="button" className="button" data-main="true" onClick={() => turn(toggle)}>
                Switch it on
              </button>
            )}
          </div>
          {printer.printed.length > 1 && (
            <details>
              <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
                {printer.printed.length} strips so far
              </summary>
              <ol className="max-h-80 space-y-2 overflow-y-auto" tabIndex={0} aria-label="Printed strips">
                {printer.printed.slice(1).map((one) => (
                  <li key={one.id}>
                    <PrintedStrip strip={one} />
                  </li>
                ))}
              </ol>
            </details>
          )}
        </>
      )}
      {written.length > 0 && (
        <a
          className="date-button inline-flex min-h-11 items-center text-deep"
          href={sheet}
          target="_blank"
          rel="noreferrer"
        >
          {written.length === 1 ? 'One label' : `${written.length} labels`} as a sheet, PDF
        </a>
      )}
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
          Play the stand-in
        </summary>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button" onClick={() => turn(jam)}>
            Jam it
          </button>
          <button type="button" className="button" onClick={() => turn(runOut)}>
            End the roll
          </button>
          <button type="button" className="button" onClick={() => turn(toggle)}>
            {printer.state === 'off' ? 'Switch it on' : 'Switch it off'}
          </button>
        </div>
      </details>
    </section>
  );
}
