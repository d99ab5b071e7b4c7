'use client';

import type { ChestView } from '@/services/kitchen/chestPlan';
import { useDoor } from '../door/useDoor';
import { ChestLook } from './ChestLook';

/** A chest: how many lifts each zone costs, and the plan that keeps them lowest. */
export function ChestBench({ chest }: { chest: ChestView }) {
  const { drawing, zones, lifts_now: now, lifts_planned: planned, moves } = chest;
  const { act, busy } = useDoor();
  return (
    <>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <section aria-label="Drawn to scale" className="card grid gap-3 p-4">
          <ChestLook drawing={drawing} look="front" zones={zones} />
          <ChestLook drawing={drawing} look="above" zones={zones} />
        </section>
        <div className="space-y-4">
          <section className="card p-4" aria-labelledby="plan">
            <h2 id="plan" className="text-lg">
              {moves.length === 0
                ? 'It lies as it should'
                : `${now - planned > 0 ? `${Math.round((now - planned) * 10) / 10} lifts a week fewer` : 'A better order'}`}
            </h2>
            <p className="text-slate">
              {now} lifts a week by what was taken in the last 13 weeks
              {moves.length === 0 ? '; no order needs fewer.' : `; ${planned} with these moves.`}
            </p>
            <ul className="mt-1 divide-y divide-line">
              {moves.map((move) => (
                <li key={move.packages[0]?.id} className="flex items-center gap-3 py-2">
                  <span className="min-w-0 flex-1">
                    <b className="font-heading font-semibold">
                      {move.called}
                      {move.packages.length > 1 && ` ×${move.packages.length}`}
                    </b>{' '}
                    from {move.from} to {move.to}
                    <span className="block text-[0.9375rem] text-slate">{move.says}</span>
                  </span>
                </li>
              ))}
            </ul>
            {moves.length > 0 && (
              <button
                type="button"
                className="button mt-2"
                data-main="true"
                disabled={busy}
                onClick={() =>
                  void act(
                    ...moves.flatMap((move) =>
                      move.packages.map(({ id, version }) => ({
                        type: 'package.move',
                        package: id,
                        version,
                        zone: move.to_zone,
                      })),
                    ),
                  )
                }
              >
                All moved
              </button>
            )}
          </section>
          <section className="card overflow-x-auto p-4" aria-labelledby="layers">
            <h2 id="layers" className="text-lg">
              What lies how deep
            </h2>
            <table className="w-full text-left">
              <thead>
                <tr className="text-slate">
                  {['Zone', 'To lift', 'Taken a week', 'In it'].map((title) => (
                    <th key={title} scope="col" className="py-1 pr-3 font-normal">
                      {title}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody className="divide-y divide-line">
                {zones.map((zone) => (
                  <tr key={zone.id} className="align-top">
                    <th scope="row" className="py-2 pr-3 font-heading font-semibold">
                      {zone.name}
                    </th>
                    <td className="py-2 pr-3">{zone.lifts}</td>
                    <td className="py-2 pr-3">{zone.takes_per_week}</td>
                    <td className="py-2">
                      {zone.foods
                        .map(({ called, packages }) => `${called}${packages > 1 ? ` ×${packages}` : ''}`)
                        .join(', ') || 'nothing'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </div>
      </div>
    </>
  );
}
