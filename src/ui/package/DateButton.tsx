'use client';

import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { DateTrail } from './DateTrail';

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
  return (
    <Popover className="relative shrink-0">
      <PopoverButton
        aria-label={`${full}. Why this date?`}
        title={full}
        className={`date-button min-h-11 min-w-11 text-left font-heading text-base font-semibold ${past ? 'text-beet' : ''}`}
      >
        {words}
      </PopoverButton>
      <PopoverPanel
        anchor={{ to: 'bottom start', gap: 4, padding: 12 }}
        className="card z-[70] w-[min(26rem,92vw)] p-4 shadow-xl"
      >
        <DateTrail code={code} full={full} />
      </PopoverPanel>
    </Popover>
  );
}
