'use client';

import type { AppliancePlan } from '@/services/kitchen/kitchenPlan';

/** The zones in the order of their doors, each with how much was read out of it. */
export function FillZones({
  appliances,
  chosen,
  counts,
  onChoose,
}: {
  appliances: AppliancePlan[];
  chosen: string;
  counts: ReadonlyMap<string, number>;
  onChoose: (zone: string) => void;
}) {
  return (
    <nav aria-label="Zones" className="space-y-3">
      {appliances.map(({ drawing, zones }) => (
        <section key={drawing.id}>
          <h2 className="mb-1 text-base">{drawing.name}</h2>
          <ul className="flex flex-wrap gap-1.5 lg:flex-col">
            {zones.map(({ id, name }) => (
              <li key={id}>
                <button
                  type="button"
                  aria-current={id === chosen ? 'step' : undefined}
                  className="flex min-h-11 w-full cursor-pointer items-center justify-between gap-3 rounded-part border border-line bg-snow px-3 text-left aria-[current=step]:border-ink aria-[current=step]:bg-ink aria-[current=step]:text-snow"
                  onClick={() => onChoose(id)}
                >
                  {name}
                  {(counts.get(id) ?? 0) > 0 && <b className="font-heading">{counts.get(id)}</b>}
                </button>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </nav>
  );
}
