'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import type { SheetLine, SheetView } from '@/services/sheet/sheets';
import { useDoor } from '../door/useDoor';

/**
 * What is crossed out on the paper, tapped in: boxes that are known to be gone are crossed out already, so only what differs is
 * left to tell. All of it is one thing, with one undo.
 */
export function CatchUp({ sheet, onDone }: { sheet: SheetView; onDone: () => void }) {
  const { act, busy } = useDoor();
  /** More boxes that are crossed out on the paper, by line. */
  const [crossed, setCrossed] = useState<Readonly<Record<string, number>>>({});
  const moreOf = ({ words, here }: SheetLine): number => Math.min(here.length, crossed[words] ?? 0);
  const gone = sheet.lines.flatMap((line) => line.here.slice(0, moreOf(line)));
  const catchUp = (): void =>
    void act(
      ...gone.map(({ id, version, fit }) =>
        fit
          ? { type: 'package.take', package: id, version, promised: true }
          : { type: 'package.discard', package: id, version, reason: 'unknown' },
      ),
    ).then((answers) => {
      if (!answers) return;
      setCrossed({});
      onDone();
    });
  const boxOf = (line: SheetLine, at: number) => {
    const known = line.printed - line.here.length;
    const isCrossed = at < known + moreOf(line);
    const name = `${line.words}, box ${at + 1} of ${line.printed}`;
    if (at < known)
      return (
        <span
          key={at}
          role="img"
          aria-label={`${name}: known to be gone`}
          className="flex size-11 items-center justify-center rounded-part border-2 border-line text-slate"
        >
          <X aria-hidden size={26} />
        </span>
      );
    return (
      <button
        key={at}
        type="button"
        aria-label={name}
        aria-pressed={isCrossed}
        className="flex size-11 items-center justify-center rounded-part border-2 border-ink bg-snow aria-pressed:bg-tape"
        // The last crossed one is taken back, any other one is crossed out with all before it.
        onClick={() =>
          setCrossed({
            ...crossed,
            [line.words]: at - known + 1 === moreOf(line) ? at - known : at - known + 1,
          })
        }
      >
        {isCrossed && <X aria-hidden size={28} />}
      </button>
    );
  };
  return (
    <section aria-labelledby="catch-up" className="card p-4">
      <h2 id="catch-up" className="text-lg">
        Catch up {sheet.called}, sheet {sheet.code}
      </h2>
      <p className="text-slate">
        Tap a box for every one that is crossed out on the paper. Which of a kind it was does not matter: the
        one that goes first is taken.
      </p>
      <ul className="mt-2 divide-y divide-line">
        {sheet.lines.map((line) => (
          <li key={line.words} className="py-2 sm:flex sm:items-center sm:gap-3">
            <b className="block min-w-0 flex-1 font-heading text-lg font-semibold">{line.words}</b>
            <span className="flex flex-wrap gap-1.5">
              {Array.from({ length: line.printed }, (_, at) => boxOf(line, at))}
            </span>
          </li>
        ))}
      </ul>
      <div className="sticky bottom-20 mt-3 bg-snow py-2">
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={busy || gone.length === 0}
          onClick={catchUp}
        >
          {gone.length === 0 ? 'Nothing differs yet' : `Caught up: ${gone.length} taken`}
        </button>
      </div>
    </section>
  );
}
