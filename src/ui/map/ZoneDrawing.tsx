'use client';

import type { SeenZone } from '@/services/today/seenToday';
import { useDoor } from '../door/useDoor';
import { Tape } from '../tape/Tape';

/** How much room a zone is drawn in. */
export type ZoneRoom = 'wide' | 'narrow' | 'tight' | 'door';

/** One zone: its name, the ice that tells its fill, the strips that lie in it. Opens the list of what is inside. */
export function ZoneDrawing({ zone, room }: { zone: SeenZone; room: ZoneRoom }) {
  const { showZone } = useDoor();
  const { degrees } = zone;
  const count = zone.packages;
  const fill = Math.round(zone.fill * 100);
  const warm = zone.temperature_c > 4;
  return (
    <button
      type="button"
      onClick={() => showZone(zone.id, zone.name)}
      aria-label={`${zone.name}${zone.purpose ? `, ${zone.purpose}` : ''}: ${count} ${count === 1 ? 'package' : 'packages'}, ${fill}% full, ${degrees} degrees. Open.`}
      data-zone-drawn={zone.id}
      className={`zone relative flex min-h-14 w-full flex-1 cursor-pointer flex-col items-stretch justify-between gap-0.5 pt-0.5 pb-1.5 text-left hover:bg-rime ${room === 'door' ? 'px-1.5' : 'px-2.5'}`}
    >
      <span aria-hidden className="ice absolute inset-x-0 bottom-0" style={{ height: `${fill}%` }} />
      <span className="relative flex flex-wrap justify-between gap-x-2 text-[0.9375rem] leading-tight text-slate-deep">
        <span className="min-w-0">
          {zone.name}
          {room === 'wide' && zone.purpose !== '' && <span> · {zone.purpose}</span>}
          {room === 'narrow' && <span className="block leading-tight">{zone.purpose}</span>}
        </span>
        <span className="shrink-0">
          {warm && <span className="text-beet">{degrees}° </span>}
          {zone.kept_empty && count === 0 ? 'kept free' : room !== 'door' && `${fill}%`}
        </span>
      </span>
      <span className="relative flex flex-wrap gap-1.5 gap-y-1">
        {zone.strips.map((strip) => (
          <Tape
            key={strip.id}
            food={strip.food}
            detail={strip.count > 1 ? `×${strip.count}` : ''}
            band={strip.band}
            state={strip.state}
            small
          />
        ))}
        {zone.more > 0 && (
          <span className="self-center text-[0.9375rem] text-slate-deep">and {zone.more} more</span>
        )}
      </span>
    </button>
  );
}
