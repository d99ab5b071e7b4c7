'use client';

import Link from 'next/link';
import { Said } from '../../units/Said';
import { newAppliance, SHAPE_MODELS } from '@/core/kitchen/newAppliance';
import { countedIds } from './countedIds';
import { SmallDrawing } from './SmallDrawing';

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
            <SmallDrawing small drawing={newAppliance(id, '', '', countedIds(id))} />
            <span>
              <b className="block font-heading text-[1.05rem] font-semibold">{title}</b>
              <span className="block text-slate-deep">
                <Said>
                  {compartments
                    .map(
                      ({ name, mm }) => `${name === '' ? '' : `${name} `}${mm[2]} × ${mm[3]} × ${mm[4]} mm`,
                    )
                    .join('; ')}
                </Said>{' '}
                inside
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
