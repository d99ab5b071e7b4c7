'use client';

import type { PackageView } from '@/services/stock/packageView';
import { useDoor } from '../door/useDoor';

/** A package's date, which explains itself: opens the trail of rules that made it. */
export function DateButton({
  view,
}: {
  view: Pick<PackageView, 'code' | 'due_words' | 'due_full' | 'band'>;
}) {
  const { showTrail } = useDoor();
  return (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-label={`${view.due_words}: ${view.due_full}. Why this date?`}
      title={view.due_full}
      onClick={() => showTrail(view.code, view.due_full)}
      className={`date-button min-h-11 min-w-11 shrink-0 text-left font-heading text-base font-semibold ${view.band === 'past' ? 'text-beet' : ''}`}
    >
      {view.due_words}
    </button>
  );
}
