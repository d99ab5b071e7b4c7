'use client';

import { Printer } from 'lucide-react';
import { useState } from 'react';
import type { Container } from '@/core/model/container';
import { fitContainer } from '@/core/packaging/fit';
import type { ContainersView } from '@/services/kitchen/containers';
import { Choice } from '../../forms/Choice';
import { Said } from '../../units/Said';
import { ContainerForm } from './ContainerForm';
import { FitDrawing } from './FitDrawing';
import { FitTable } from './FitTable';
import { MixCard } from './MixCard';
import { IfMay } from '../../door/IfMay';

/** Containers on the left, the zone they are to go into and how they fit on the right. */
export function ContainerBench({ view: { containers, zones } }: { view: ContainersView }) {
  const [zoneId, setZoneId] = useState(zones[0]?.id ?? '');
  const [edited, setEdited] = useState<Container | 'new' | null>(null);
  const [shown, setShown] = useState<string | null>(null);
  const zone = zones.find(({ id }) => id === zoneId) ?? zones[0];
  const fits = zone ? containers.filter((container) => fitContainer(zone, container).length > 0) : [];
  const drawn = fits.find(({ id }) => id === shown) ?? fits[0] ?? null;
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)] print:block">
      <section className="card p-4 print:hidden" aria-labelledby="owned">
        <h2 id="owned" className="text-lg">
          Yours
        </h2>
        {containers.length === 0 && (
          <p className="mt-1 text-slate">
            None yet. Measure one tub: outside for where it fits, inside for what it holds.
          </p>
        )}
        <ul className="mt-1 divide-y divide-line">
          {containers.map((container) => (
            <li key={container.id}>
              <button
                type="button"
                className="flex min-h-11 w-full cursor-pointer flex-col py-1.5 text-left"
                aria-label={`Change ${container.name}`}
                onClick={() => setEdited(container)}
              >
                <b className="font-heading font-semibold">
                  {container.count} × {container.name}
                </b>
                <span className="text-[0.9375rem] text-slate">
                  <Said>
                    {container.outerMm.join(' × ')} mm · {container.litres} l{container.rigid ? '' : ' · bag'}
                    {container.lid ? '' : ' · no lid'}
                  </Said>
                </span>
              </button>
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="button mt-2 w-full"
          data-main="true"
          onClick={() => setEdited('new')}
        >
          Add a container
        </button>
      </section>
      {zone === undefined ? (
        <p className="card p-5">Draw an appliance first; then its zones tell what goes in.</p>
      ) : (
        <div className="space-y-4">
          <section className="card p-4" aria-labelledby="fit">
            <div className="flex flex-wrap items-end gap-3">
              <h2 id="fit" className="text-lg">
                {zone.name},{' '}
                <Said>
                  {zone.widthMm} × {zone.heightMm} × {zone.depthMm} mm
                </Said>
              </h2>
              <Choice
                label="Zone"
                className="ml-auto w-64 print:hidden"
                value={zone.id}
                choices={zones.map(({ id, name, appliance }): [string, string] => [
                  id,
                  `${name}, ${appliance}`,
                ])}
                onChoose={setZoneId}
              />
              <button type="button" className="button print:hidden" onClick={() => window.print()}>
                <Printer aria-hidden size={18} /> Print
              </button>
            </div>
            <FitTable zone={zone} containers={containers} shown={drawn?.id ?? null} onShow={setShown} />
          </section>
          <FitDrawing zone={zone} container={drawn} containers={containers} />
          <MixCard zone={zone} containers={containers} />
        </div>
      )}
      {edited !== null && (
        <IfMay type="container.set">
          <ContainerForm container={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />
        </IfMay>
      )}
    </div>
  );
}
