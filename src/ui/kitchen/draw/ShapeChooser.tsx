'use client';

import Link from 'next/link';
import { type ApplianceShape } from '@/core/model/drawing';
import { newAppliance, SHAPE_MODELS } from '@/core/kitchen/newAppliance';
import { panelsOf, paperOf, zonesOnPaper } from './panels';

/** The shapes to begin with, each drawn small and true to scale. */
export function ShapeChooser() {
  return (
    <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {SHAPE_MODELS.map(({ id, title, compartments }) => (
        <li key={id}>
          <Link
            href={`/kitchen/draw?shape=${id}`}
            className="card flex h-full items-center gap-3 p-3 hover:border-ink hover:bg-ice/20"
          >
            <SmallDrawing shape={id} />
            <span>
              <b className="block font-heading text-[1.05rem] font-semibold">{title}</b>
              <span className="block text-slate-deep">
                {compartments
                  .map(({ name, mm }) => `${name === '' ? '' : `${name} `}${mm[2]} × ${mm[3]} × ${mm[4]}`)
                  .join('; ')}{' '}
                mm inside
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function SmallDrawing({ shape }: { shape: ApplianceShape }) {
  let count = 0;
  const drawing = newAppliance(shape, '', '', () => `${shape}${count++}`);
  const panels = panelsOf(drawing, 'front').filter(({ side }) => side === 'body');
  const paper = paperOf(panels, 0);
  return (
    <svg
      aria-hidden
      viewBox={`${paper.x} ${paper.y} ${paper.width} ${paper.height}`}
      className="h-32 w-24 shrink-0"
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
