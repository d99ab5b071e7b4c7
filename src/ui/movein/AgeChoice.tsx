'use client';

import { UNSAID_AGES, type UnsaidAge } from '@/core/quickline/unsaidAge';

const WORDS: Record<UnsaidAge, readonly [says: string, counts: string]> = {
  fresh: ['Fresh this week', 'counts as 7 days old'],
  older: ['Older', 'counts as half a year old'],
  'no-idea': ['No idea', 'counts as a year old'],
};

/** How old things are whose line says no age; asked once for what lies in a zone, since none of it was bought today. */
export function AgeChoice({
  age,
  waiting,
  onChoose,
}: {
  age: UnsaidAge | null;
  /** Pasted lines wait for the answer. */
  waiting: number;
  onChoose: (age: UnsaidAge) => void;
}) {
  return (
    <fieldset className="mb-3">
      <legend className="font-semibold">How old is most of it?</legend>
      <p className="text-slate">
        {waiting > 0
          ? `${waiting} lines wait for this. An age in a line counts before it.`
          : 'For lines that say no age. What counts is the earliest day it can be.'}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {UNSAID_AGES.map((one, nth) => (
          <button
            key={one}
            type="button"
            className="button"
            data-main={one === age}
            aria-pressed={one === age}
            onClick={() => onChoose(one)}
          >
            <span>
              {WORDS[one][0]} {age === null && <kbd className="key">Alt {nth + 1}</kbd>}
              <span className="block text-[0.9375rem] font-normal">{WORDS[one][1]}</span>
            </span>
          </button>
        ))}
      </div>
    </fieldset>
  );
}
