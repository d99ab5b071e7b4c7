'use client';

import { useEffect, useState } from 'react';

interface Line {
  from: { x: number; y: number };
  to: { x: number; y: number };
}

/** Where the line runs from a row to its zone; `null` while one of them is out of sight. */
function measure(row: HTMLElement, zone: HTMLElement): Line | null {
  const a = row.getBoundingClientRect();
  const b = zone.getBoundingClientRect();
  const list = row.closest('.overflow-y-auto')?.getBoundingClientRect();
  const y = a.top + 26;
  if (list && (y < list.top || y > list.bottom)) return null;
  if (a.width === 0 || b.width === 0 || a.left < b.right) return null;
  return { from: { x: a.left, y }, to: { x: b.right - 6, y: b.top + Math.min(b.height / 2, 28) } };
}

/**
 * Lights the zone of the chosen package on the drawing and draws a line to it, on screens wide enough to show both. The
 * row tells its place in words too, so nothing depends on it.
 */
export function LeaderLine({ rowId }: { rowId: string | null }) {
  const [line, setLine] = useState<Line | null>(null);
  useEffect(() => {
    const row = rowId === null ? null : document.querySelector<HTMLElement>(`[data-row="${rowId}"]`);
    const zoneId = row?.dataset.zone;
    const zone = zoneId ? document.querySelector<HTMLElement>(`[data-zone-drawn="${zoneId}"]`) : null;
    if (!row || !zone) return;
    zone.dataset.lit = 'true';
    const draw = (): void => setLine(measure(row, zone));
    draw();
    window.addEventListener('scroll', draw, true);
    window.addEventListener('resize', draw);
    return () => {
      delete zone.dataset.lit;
      window.removeEventListener('scroll', draw, true);
      window.removeEventListener('resize', draw);
      setLine(null);
    };
  }, [rowId]);
  if (!line) return null;
  const { from, to } = line;
  const bend = from.x - 10;
  return (
    <svg
      aria-hidden
      className="pointer-events-none fixed inset-0 z-30 h-full w-full max-lg:hidden"
      data-leader
    >
      <path
        d={`M ${from.x} ${from.y} H ${bend} L ${to.x + 14} ${to.y} H ${to.x}`}
        fill="none"
        stroke="var(--deep)"
        strokeWidth="2.5"
        strokeDasharray="1 6"
        strokeLinecap="round"
      />
      <circle cx={to.x} cy={to.y} r="6" fill="var(--deep)" />
    </svg>
  );
}
