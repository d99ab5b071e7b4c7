'use client';

import { useEffect, useState } from 'react';
import type { CounterItem } from '@/services/haul/counter';
import { sayMinutes } from './sayMinutes';
import { useDoor } from '../door/useDoor';

/** One thing out of the cold; its minutes run while the page is open. */
export function CounterChip({ item }: { item: CounterItem }) {
  const { showPackage } = useDoor();
  const [passed, setPassed] = useState(0);
  useEffect(() => {
    const begun = Date.now();
    const timer = setInterval(() => setPassed(Math.floor((Date.now() - begun) / 60_000)), 15_000);
    return () => clearInterval(timer);
  }, [item]);
  const left = item.minutes_left === null ? null : item.minutes_left - passed;
  return (
    <button
      type="button"
      onClick={() => showPackage(item.code)}
      className="flex min-h-11 items-center gap-2 rounded-part bg-strip-chip px-3 text-left text-[0.95rem] whitespace-nowrap"
    >
      <span>
        {item.food} {item.amount_words}
      </span>
      {left !== null && (
        <b className={`font-heading text-base ${left <= 20 ? 'text-[#ffb38a]' : 'text-[#f3d188]'}`}>
          {sayMinutes(left)}
          {left > 0 && <span className="font-text text-[0.95rem] font-normal text-[#fbfdfc]"> left</span>}
        </b>
      )}
      <span className="sr-only">. Open to put it away.</span>
    </button>
  );
}
