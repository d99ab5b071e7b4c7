'use client';

import type { CounterItem } from '@/services/haul/counter';
import { MinutesLeft } from './MinutesLeft';
import { useDoor } from '../door/useDoor';

/** One thing out of the cold; its minutes run while the page is open. */
export function CounterChip({ item }: { item: CounterItem }) {
  const { showPackage } = useDoor();
  return (
    <button
      type="button"
      onClick={() => showPackage(item.code)}
      className="flex min-h-11 items-center gap-2 rounded-part bg-strip-chip px-3 text-left text-[0.95rem] whitespace-nowrap"
    >
      <span>
        {item.food} {item.amount_words}
      </span>
      {item.minutes_left !== null && <MinutesLeft minutes={item.minutes_left} words />}
      <span className="sr-only">. Open to put it away.</span>
    </button>
  );
}
