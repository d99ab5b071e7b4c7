import type { CounterItem } from '@/services/haul/counter';
import Link from 'next/link';
import { CounterChip } from './CounterChip';
import { MinutesLeft } from './MinutesLeft';
import { QuickLine } from '../quickline/QuickLine';
import { IfMay } from '../door/IfMay';

/** Always in sight at the bottom: what is out of the cold with its minutes, and the quick line. */
export function CounterStrip({
  items,
  bench,
}: {
  items: CounterItem[];
  bench: { lines: number; minutes_left: number | null } | null;
}) {
  const minutes = [bench?.minutes_left ?? null, ...items.map((item) => item.minutes_left)].filter(
    (left): left is number => left !== null,
  );
  const least = minutes.length === 0 ? null : Math.min(...minutes);
  const clear = items.length === 0 && bench === null;
  return (
    <aside
      aria-label="Counter"
      className="fixed inset-x-0 bottom-0 z-40 flex items-center gap-2 bg-strip px-3 py-2 text-[#fbfdfc] sm:gap-4 sm:px-6"
    >
      <h2 className="hidden shrink-0 text-base lg:block">On the counter</h2>
      {clear ? (
        <p className="hidden flex-1 text-[0.95rem] text-[#c6d6d4] lg:block">
          clear; nothing stands out of the cold
        </p>
      ) : (
        // On a phone, or enlarged, one chip tells how many stand out and how long the first may; it unfolds the rest.
        <details className="group min-w-0 shrink-0 lg:hidden">
          <summary className="flex min-h-11 cursor-pointer list-none items-center gap-2 rounded-part bg-strip-chip px-3 text-[0.95rem] whitespace-nowrap">
            {sayOut(items.length, bench?.lines ?? 0)}
            {least !== null && <MinutesLeft minutes={least} />}
          </summary>
          <div className="absolute inset-x-0 bottom-full max-h-[60dvh] overflow-y-auto bg-strip px-3 py-2">
            <Chips items={items} bench={bench} />
          </div>
        </details>
      )}
      {!clear && (
        <div className="hidden min-w-0 flex-1 overflow-x-auto lg:block">
          <Chips items={items} bench={bench} />
        </div>
      )}
      <IfMay type="haul.store">
        <QuickLine />
      </IfMay>
    </aside>
  );
}

/** "2 out", "3 on the bench". */
function sayOut(out: number, onBench: number): string {
  if (out === 0) return `${onBench} on the bench`;
  return onBench === 0 ? `${out} out` : `${out} out, ${onBench} on the bench`;
}

function Chips({ items, bench }: Pick<Parameters<typeof CounterStrip>[0], 'items' | 'bench'>) {
  return (
    <ul className="flex min-w-0 flex-wrap gap-2 p-1 sm:flex-nowrap">
      {bench && (
        <li>
          <Link
            href="/haul"
            className="flex min-h-11 items-center gap-2 rounded-part bg-strip-chip px-3 text-[0.95rem] whitespace-nowrap"
          >
            {bench.lines} on the bench
            {bench.minutes_left !== null && <MinutesLeft minutes={bench.minutes_left} />}
          </Link>
        </li>
      )}
      {items.map((item) => (
        <li key={item.id}>
          <CounterChip item={item} />
        </li>
      ))}
    </ul>
  );
}
