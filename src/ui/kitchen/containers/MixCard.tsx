'use client';

import { useMemo } from 'react';
import { bestMix } from '@/core/packaging/bestMix';
import type { Container } from '@/core/model/container';
import { Said } from '../../units/Said';
import type { FitZone } from '@/core/packaging/fit';

/** The mix of containers that leaves the least of a zone unused, column by column. */
export function MixCard({ zone, containers }: { zone: FitZone; containers: Container[] }) {
  const mix = useMemo(() => bestMix(zone, containers), [zone, containers]);
  if (mix.columns.length === 0) return null;
  return (
    <section className="card p-4" aria-labelledby="mix">
      <h2 id="mix" className="text-lg">
        <Said>
          The fullest mix: {Math.round(mix.litres * 10) / 10} litres, {Math.round(mix.share * 100)} % of the
          zone
        </Said>
      </h2>
      <ol className="mt-2 flex flex-wrap gap-2">
        {mix.columns.map(({ container, arrangement, columns, total }) => (
          <li key={container.id} className="rounded-part border border-line px-3 py-2">
            <b className="font-heading font-semibold">
              {total} × {container.name}
            </b>
            <span className="block text-[0.9375rem] text-slate">
              <Said>
                {columns} {columns === 1 ? 'column' : 'columns'} of {arrangement.acrossMm} mm,{' '}
                {arrangement.deep} deep, {arrangement.high} high
              </Said>
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
