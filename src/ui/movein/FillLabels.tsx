'use client';

import Link from 'next/link';
import { useDoor } from '../door/useDoor';
import { changeShelf } from './fillShelf';

/** Labels for what was read out, printed or by hand: first for what no maker labelled. */
export function FillLabels({
  codes,
  wanting,
}: {
  codes: readonly string[];
  /** Those of them that are frozen, or packed at home. */
  wanting: readonly string[];
}) {
  const { showLabels } = useDoor();
  if (codes.length === 0) return null;
  const some = wanting.length > 0 && wanting.length < codes.length;
  return (
    <section aria-labelledby="fill-labels" className="card p-4">
      <h2 id="fill-labels" className="text-lg">
        {codes.length === 1 ? 'One package has no label yet' : `${codes.length} packages have no label yet`}
      </h2>
      <p className="text-slate">Print them all at the end, or write the four signs on each with a pen.</p>
      <p className="mt-2 font-heading text-lg leading-8 tracking-wide break-words">{codes.join('  ')}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {some && (
          <button type="button" className="button" data-main="true" onClick={() => showLabels([...wanting])}>
            Print {wanting.length === 1 ? 'a label' : `${wanting.length} labels`}: frozen and packed at home
          </button>
        )}
        <button type="button" className="button" data-main={!some} onClick={() => showLabels([...codes])}>
          Print labels for all
        </button>
        <button
          type="button"
          className="button"
          onClick={() => changeShelf(() => ({ codes: [], wanting: [] }))}
        >
          They are labelled
        </button>
        <Link href="/" className="button">
          To Today
        </Link>
      </div>
    </section>
  );
}
