'use client';

import { useDoor } from '../door/DoorProvider';

/** A date that explains itself: opens the trail of rules that made it. */
export function DateButton({
  code,
  words,
  full,
  past,
}: {
  code: string;
  words: string;
  full: string;
  past: boolean;
}) {
  const { showTrail } = useDoor();
  return (
    <button
      type="button"
      aria-haspopup="dialog"
      aria-label={`${words}: ${full}. Why this date?`}
      title={full}
      onClick={() => showTrail(code, full)}
      className={`date-button min-h-11 min-w-11 shrink-0 text-left font-heading text-base font-semibold ${past ? 'text-beet' : ''}`}
    >
      {words}
    </button>
  );
}
