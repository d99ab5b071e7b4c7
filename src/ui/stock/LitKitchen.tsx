'use client';

import { useState } from 'react';
import { type MiniAppliance, MiniKitchen } from '../map/MiniKitchen';

/** The drawn kitchen beside the list: how many of what is shown lie in each zone. */
export function LitKitchen({
  appliances,
  lit,
  asked,
}: {
  appliances: readonly MiniAppliance[];
  lit: Readonly<Record<string, number>>;
  /** Something was asked for: its zones light up. */
  asked: boolean;
}) {
  const [all, setAll] = useState(false);
  const marks = new Map(Object.entries(lit));
  const holding = appliances.filter(({ zones }) => zones.some(({ id }) => marks.has(id)));
  const shown = all ? appliances : holding;
  return (
    <aside aria-label="Where it lies" className="space-y-4">
      {shown.map((appliance) => (
        <figure key={appliance.id}>
          <figcaption className="mb-1 font-heading font-semibold">{appliance.name}</figcaption>
          <MiniKitchen appliance={appliance} marks={marks} lit={new Set(asked ? marks.keys() : [])} />
        </figure>
      ))}
      {holding.length < appliances.length && (
        <button type="button" className="button" aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? 'Only where it lies' : 'The whole kitchen'}
        </button>
      )}
    </aside>
  );
}
