'use client';

import { useEffect, useState } from 'react';

/** Corners of the line, from the row to its zone, in pixels of the window. */
type Corners = { x: number; y: number }[];

const GAP = 6;

/**
 * Where the line runs: from the row into the gap beside the list, over the top of the drawing, down the gap beside the
 * zone's appliance and into the zone, so that it crosses nobody's words. `null` while row or zone is out of sight.
 */
function measure(row: HTMLElement, zone: HTMLElement): Corners | null {
  const a = row.getBoundingClientRect();
  const b = zone.getBoundingClientRect();
  const list = row.closest('.overflow-y-auto')?.getBoundingClientRect();
  const appliance = zone.closest('article')?.getBoundingClientRect();
  const y = a.top + 26;
  if (!appliance || (list && (y < list.top || y > list.bottom))) return null;
  if (a.width === 0 || b.width === 0 || a.left < b.right) return null;
  const beside = a.left - GAP;
  const over = Math.max(appliance.top - GAP, 60);
  // A zone behind the door's column is entered from the other side.
  const behindDoor = appliance.right - b.right > 2 * GAP;
  const down = behindDoor ? appliance.left - GAP : appliance.right + GAP;
  const end = { x: behindDoor ? b.left : b.right, y: b.top + 12 };
  if (Math.abs(beside - down) < 2 * GAP)
    return [{ x: a.left, y }, { x: down, y }, { x: down, y: end.y }, end];
  return [
    { x: a.left, y },
    { x: beside, y },
    { x: beside, y: over },
    { x: down, y: over },
    { x: down, y: end.y },
    end,
  ];
}

/**
 * Lights the zone of the chosen package on the drawing and draws a line to it, on screens wide enough to show both. The
 * row tells its place in words too, so nothing depends on it.
 */
export function LeaderLine({ rowId }: { rowId: string | null }) {
  const [line, setLine] = useState<Corners | null>(null);
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
  const end = line?.at(-1);
  if (!line || !end) return null;
  return (
    <svg
      aria-hidden
      className="pointer-events-none fixed inset-0 z-30 h-full w-full max-lg:hidden"
      data-leader
    >
      <polyline
        points={line.map(({ x, y }) => `${x},${y}`).join(' ')}
        fill="none"
        stroke="var(--deep)"
        strokeWidth="2.5"
        strokeLinejoin="round"
      />
      <circle cx={end.x} cy={end.y} r="5" fill="var(--deep)" />
    </svg>
  );
}
