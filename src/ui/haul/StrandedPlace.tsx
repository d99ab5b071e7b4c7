'use client';

import { useState } from 'react';
import type { ApplianceView } from '@/services/kitchen/drawing';
import type { PlaceView } from '@/services/haul/haulPlaces';
import { zoneChoices } from './zoneChoices';

/** What has no place: the cook may put it somewhere all the same; the warning then stays on the package. */
export function StrandedPlace({
  place,
  appliances,
  busy,
  onPut,
  onPropose,
}: {
  place: PlaceView;
  appliances: readonly ApplianceView[];
  busy: boolean;
  onPut: (zone: string) => void;
  /** Gives up the cook's own choice; `null`: there is none. */
  onPropose: (() => void) | null;
}) {
  const choices = zoneChoices(place, appliances);
  const [zone, setZone] = useState(choices[0]?.id ?? '');
  return (
    <div className="flex flex-wrap items-end gap-2">
      {choices.length > 0 && (
        <>
          <label>
            <span className="block text-[0.9375rem] text-slate">all the same into</span>
            <select className="field w-auto" value={zone} onChange={(event) => setZone(event.target.value)}>
              {choices.map(({ id, words }) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <button type="button" className="button" disabled={busy || zone === ''} onClick={() => onPut(zone)}>
            It is in there
          </button>
        </>
      )}
      {onPropose && (
        <button type="button" className="button" onClick={onPropose}>
          Propose another place
        </button>
      )}
    </div>
  );
}
