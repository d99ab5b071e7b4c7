'use client';

import Link from 'next/link';
import { useDoor } from '../door/useDoor';
import { changeShelf } from './fillShelf';

/** Labels for all that was read out, printed or by hand. */
export function FillLabels({ codes }: { codes: readonly string[] }) {
  const { showLabels } = useDoor();
  if (codes.length === 0) return null;
  return (
    <section aria-labelledby="fill-labels" className="card p-4">
      <h2 id="fill-labels" className="text-lg">
        {codes.length === 1 ? 'One package has no label yet' : `${codes.length} packages have no label yet`}
      </h2>
      <p className="text-slate">Print them all at the end, or write the four signs on each with a pen.</p>
      <p className="mt-2 font-heading text-lg leading-8 tracking-wide break-words">{codes.join('  ')}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" data-main="true" onClick={() => showLabels([...codes])}>
          Print labels for all
        </button>
        <button type="button" className="button" onClick={() => changeShelf(() => ({ codes: [] }))}>
          They are labelled
        </button>
        <Link href="/" className="button">
          To Today
        </Link>
      </div>
    </section>
  );
}
