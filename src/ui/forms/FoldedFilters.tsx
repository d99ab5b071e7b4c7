'use client';

import { useState } from 'react';

/** What narrows a list: in a row where there is room, behind one button on a phone. @param narrowed how many of them narrow it now */
export function FoldedFilters({ narrowed, children }: { narrowed: number; children: React.ReactNode }) {
  const [unfolded, setUnfolded] = useState(false);
  return (
    <>
      <button
        type="button"
        className="button sm:hidden"
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        Filters{narrowed > 0 ? ` (${narrowed})` : ''}
      </button>
      <div className={`flex-wrap items-end gap-3 sm:flex ${unfolded ? 'flex' : 'hidden'}`}>{children}</div>
    </>
  );
}
