'use client';

import { beginLine } from '../quickline/beginLine';
import { withDecimals } from '@/core/units/wording';
import { useWording } from '../units/useWording';

/** When nothing asks: what will, and how food is put in. */
export function NothingAsks() {
  const { units, decimals } = useWording();
  return (
    <div className="space-y-3 px-2 py-4 text-lg">
      <p>
        Nothing asks for an answer today. What is due tomorrow, today or past stands here, with what to do.
      </p>
      <p>To put food in, type a line at the bottom: what it is, how much, how many packs, where.</p>
      <button
        type="button"
        className="button"
        data-main="true"
        onClick={() =>
          beginLine(
            withDecimals(units === 'us' ? 'trout 3.5 lb / 4 flat > ' : 'trout 1.6 kg / 4 flat > ', decimals),
          )
        }
      >
        Begin with an example
      </button>
    </div>
  );
}
