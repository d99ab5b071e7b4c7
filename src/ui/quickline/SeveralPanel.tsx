'use client';

import type { QuickReading } from '@/core/quickline/quickLine';
import { Said } from '../units/Said';
import type { TakenLine } from '../haul/haulIntake';

/** Puts several things onto the bench, one after the other; stops at the first that is not taken. */
export async function takeAll(
  take: (taken: TakenLine) => Promise<boolean>,
  things: readonly Omit<TakenLine, 'half'>[],
  half: boolean,
): Promise<boolean> {
  for (const thing of things) if (!(await take({ ...thing, half }))) return false;
  return true;
}

/** Several things told in one line, each as it was understood. */
export function SeveralPanel({
  things,
  busy,
  onStore,
}: {
  things: readonly QuickReading[];
  busy: boolean;
  onStore: () => void;
}) {
  return (
    <div className="space-y-2" aria-live="polite">
      <p>{things.length} things, one after the other:</p>
      <ul className="space-y-1">
        {things.map(({ text, parts }, at) => (
          <li key={`${at}-${text}`}>
            {parts.map(({ says, from, guessed }) => (
              <span key={from} className={`mr-3 ${guessed ? 'border-b-4 border-dashed border-honey' : ''}`}>
                <Said>{says}</Said>
                {guessed && '?'}
              </span>
            ))}
          </li>
        ))}
      </ul>
      <button type="button" className="button" data-main="true" disabled={busy} onClick={onStore}>
        Store all {things.length} <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
      </button>
    </div>
  );
}
