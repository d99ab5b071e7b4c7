import type { ApplianceDrawing } from '@/core/model/drawing';
import { panelsOf, paperOf, zonesOnPaper } from './panels';

/** An appliance drawn small and true to scale, as one stands before it. */
export function SmallDrawing({ drawing, small = false }: { drawing: ApplianceDrawing; small?: boolean }) {
  const panels = panelsOf(drawing, 'front').filter(({ side }) => side === 'body');
  const paper = paperOf(panels, 0);
  return (
    <svg
      aria-hidden
      viewBox={`${paper.x} ${paper.y} ${paper.width} ${paper.height}`}
      className={small ? 'h-28 w-24 shrink-0' : 'h-64 w-52 shrink-0'}
      preserveAspectRatio="xMidYMax meet"
    >
      {panels.map(({ key, x, y, width, height, cold }) => (
        <rect
          key={key}
          {...{ x, y, width, height }}
          fill={cold === 'freezer' ? 'var(--ice)' : 'var(--ice-top)'}
          stroke="var(--ink)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {zonesOnPaper(drawing, panels, 'front').map(({ id, rect }) => (
        <rect
          key={id}
          {...rect}
          fill="none"
          stroke="var(--slate)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
