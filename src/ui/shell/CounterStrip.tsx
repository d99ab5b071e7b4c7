import type { CounterItem } from '@/services/haul/counter';
import Link from 'next/link';
import { CounterChip } from './CounterChip';
import { sayMinutes } from './sayMinutes';
import { QuickLine } from '../quickline/QuickLine';

/** Always in sight at the bottom: what is out of the cold with its minutes, and the quick line. */
export function CounterStrip({
  items,
  bench,
}: {
  items: CounterItem[];
  bench: { lines: number; minutes_left: number | null } | null;
}) {
  return (
    <aside
      aria-label="Counter"
      className="fixed inset-x-0 bottom-0 z-40 flex flex-col gap-2 bg-strip px-3 py-2 text-[#fbfdfc] sm:flex-row sm:items-center sm:gap-4 sm:px-6"
    >
      <div className="flex min-w-0 flex-1 items-center gap-3">
        <h2 className="shrink-0 text-base">
          <span className="hidden sm:inline">On the counter</span>
          <span className="sm:hidden">Counter</span>
        </h2>
        {items.length === 0 && bench === null ? (
          <p className="text-[0.95rem] text-[#c6d6d4]">clear; nothing stands out of the cold</p>
        ) : (
          <ul className="flex min-w-0 gap-2 overflow-x-auto p-1">
            {bench && (
              <li>
                <Link
                  href="/haul"
                  className="flex min-h-11 items-center gap-2 rounded-part bg-strip-chip px-3 text-[0.95rem] whitespace-nowrap"
                >
                  {bench.lines} on the bench
                  {bench.minutes_left !== null && (
                    <b className="font-heading text-base text-[#f3d188]">{sayMinutes(bench.minutes_left)}</b>
                  )}
                </Link>
              </li>
            )}
            {items.map((item) => (
              <li key={item.id}>
                <CounterChip item={item} />
              </li>
            ))}
          </ul>
        )}
      </div>
      <QuickLine />
    </aside>
  );
}
