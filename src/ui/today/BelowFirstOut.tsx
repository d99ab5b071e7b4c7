'use client';

import type { ReactNode } from 'react';
import type { SeenRow, SeenToday } from '@/services/today/seenToday';
import { FreezerLines } from './FreezerLines';
import { ToEat } from './ToEat';
import { IfMay } from '../door/IfMay';

/** What does not ask by itself: what is to be eaten, the freezers once a week, what comes in the next days. */
export function BelowFirstOut({ view, item }: { view: SeenToday; item: (row: SeenRow) => ReactNode }) {
  return (
    <>
      {view.to_eat.length > 0 && <ToEat rows={view.to_eat} />}
      {view.freezers.length > 0 && (
        <IfMay type="package.answer">
          <FreezerLines rows={view.freezers} />
        </IfMay>
      )}
      {view.coming.length > 0 && (
        <section aria-labelledby="coming" className="border-t border-line pt-2">
          <h3 id="coming" className="px-2 text-base">
            In the next days
          </h3>
          <ol aria-label="In the next days" className="divide-y divide-line">
            {view.coming.map(item)}
          </ol>
        </section>
      )}
    </>
  );
}
