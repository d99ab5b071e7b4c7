'use client';

import { Said } from '../units/Said';
import Link from 'next/link';
import { useState } from 'react';
import type { AppliancePlan, ZonePlan } from '@/services/kitchen/kitchenPlan';
import { sayAmount } from '@/core/units/sayAmount';
import { useDoor } from '../door/useDoor';
import { RehomeSheet } from './draw/RehomeSheet';
import { ThermometerForm } from './ThermometerForm';
import { IfMay } from '../door/IfMay';

const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** One appliance closely: its compartments, its zones, what can be done with it. */
export function ApplianceCard({ plan, others }: { plan: AppliancePlan; others: AppliancePlan[] }) {
  const { drawing, compartments, zones, packages } = plan;
  const { act, busy } = useDoor();
  const [leaving, setLeaving] = useState(false);
  const remove = (rehome: { zone: string; to: string | null }[]): void => {
    setLeaving(false);
    void act({ type: 'appliance.remove', appliance: drawing.id, rehome });
  };
  return (
    <section aria-label={drawing.name} className="card mt-3 p-4">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1 basis-72">
          <h2 className="text-xl">
            {drawing.name}, {drawing.room}
          </h2>
          {compartments.map((inside) => (
            <p key={inside.id} className={inside.tight ? 'font-semibold text-beet' : 'text-slate'}>
              {compartments.length > 1 && `${inside.called}: `}
              <Said>{inside.litres} litres</Said>, {percent(inside.fill)} full; {inside.says}.
            </p>
          ))}
        </div>
        <div className="flex flex-wrap gap-2">
          <Link href={`/kitchen/draw/${drawing.id}`} className="button" data-main="true">
            Change the drawing
          </Link>
          <Link href={`/kitchen/draw?like=${drawing.id}`} className="button">
            Another like it
          </Link>
          <a
            className="button"
            href={`/api/v1/zone-labels?appliance=${drawing.id}`}
            target="_blank"
            rel="noreferrer"
          >
            Zone labels
          </a>
          {drawing.shape === 'chest' && (
            <Link href={`/kitchen/chest/${drawing.id}`} className="button">
              Chest plan
            </Link>
          )}
          <button
            type="button"
            className="button"
            data-danger="true"
            disabled={busy}
            onClick={() => (packages > 0 ? setLeaving(true) : remove([]))}
          >
            Take it out
          </button>
        </div>
      </div>
      <ul className="mt-3 grid gap-2 md:grid-cols-2 xl:grid-cols-3">
        {zones.map((zone) => (
          <ZoneCard key={zone.id} zone={zone} />
        ))}
      </ul>
      {leaving && (
        <RehomeSheet
          emptied={zones
            .filter((zone) => zone.packages > 0)
            .map((zone) => ({ zone: zone.id, name: zone.name, cold: zone.cold, packages: zone.packages }))}
          targets={others.flatMap((other) =>
            other.zones.map(({ id, name, cold }) => ({ id, name: `${name}, ${other.drawing.name}`, cold })),
          )}
          onClose={() => setLeaving(false)}
          onDecide={remove}
        />
      )}
    </section>
  );
}

function ZoneCard({ zone }: { zone: ZonePlan }) {
  const { showZone } = useDoor();
  return (
    <li className="relative flex flex-col overflow-hidden rounded-part border border-line px-3 py-2">
      <span
        aria-hidden
        className="ice absolute inset-x-0 bottom-0"
        style={{ height: percent(Math.min(1, zone.fill)) }}
      />
      <div className="relative flex flex-1 flex-col gap-0.5">
        <div className="flex items-start justify-between gap-2">
          <button
            type="button"
            className="min-h-11 min-w-0 cursor-pointer text-left leading-tight"
            aria-label={`${zone.name}: ${zone.packages} packages. Open.`}
            onClick={() => showZone(zone.id, zone.name)}
          >
            <b className="font-heading font-semibold">{zone.name}</b>
            {zone.purpose !== '' && <span className="text-slate-deep"> · {zone.purpose}</span>}
            <span className="block text-[0.9375rem] text-slate-deep">
              {zone.packages} {zone.packages === 1 ? 'package' : 'packages'}
              <Said>
                {zone.grams > 0 && `, ${sayAmount(zone.grams, 'g')}`} · {zone.free_litres} l of {zone.litres}{' '}
                l free
              </Said>
            </span>
          </button>
          <IfMay type="zone.measure">
            <ThermometerForm zone={zone} />
          </IfMay>
        </div>
        <p className="text-[0.9375rem] text-slate-deep">
          {zone.measures}
          {zone.told.length > 0 && ` · ${zone.told.join(' · ')}`}
        </p>
        {zone.full && (
          <p className="font-semibold text-ember-deep">It holds all it shall: eat it down first.</p>
        )}
      </div>
    </li>
  );
}
