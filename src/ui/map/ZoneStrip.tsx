'use client';

import type { Band } from '@/core/keeping/judgeKeeping';
import type { SeenAppliance, SeenZone } from '@/services/today/seenToday';
import { useDoor } from '../door/useDoor';

const PRESSING: Band[] = ['past', 'today', 'soon', 'settled'];
const MARKS: Record<Band, string> = {
  past: 'h-2.5 w-full bg-beet [mask:repeating-linear-gradient(-45deg,#000_0_5px,#0005_5px_8px)]',
  today:
    'h-2.5 w-full bg-ember [clip-path:polygon(0_0,calc(100%-8px)_0,100%_50%,calc(100%-8px)_100%,0_100%)]',
  soon: 'h-2.5 w-1/2 ml-auto bg-honey',
  settled: 'h-2.5 w-full bg-transparent',
};
const WORDS: Record<Band, string> = {
  past: 'something past its date',
  today: 'something on its last day',
  soon: 'something soon',
  settled: 'all settled',
};

function mostPressing(zone: SeenZone): Band {
  return PRESSING.find((band) => zone.strips.some((strip) => strip.band === band)) ?? 'settled';
}

/** The drawn kitchen on a phone: a strip of zones to swipe along, each with its fill and what presses most in it. */
export function ZoneStrip({ appliances }: { appliances: SeenAppliance[] }) {
  const { showZone } = useDoor();
  return (
    <nav aria-label="Zones" className="-mx-3 overflow-x-auto px-3">
      <ul className="flex gap-2 pb-1">
        {appliances.flatMap((appliance) =>
          appliance.zones.map((zone) => {
            const band = mostPressing(zone);
            const count = zone.packages;
            return (
              <li key={zone.id}>
                <button
                  type="button"
                  onClick={() => showZone(zone.id, zone.name)}
                  aria-label={`${zone.name}, ${appliance.name}: ${count} ${count === 1 ? 'package' : 'packages'}, ${WORDS[band]}. Open.`}
                  className="relative flex h-24 w-28 flex-col justify-between overflow-hidden rounded-part border-2 border-ink bg-snow px-2 py-1 text-left"
                >
                  <span
                    aria-hidden
                    className="ice absolute inset-x-0 bottom-0"
                    style={{ height: `${Math.round(zone.fill * 100)}%` }}
                  />
                  <span className="relative leading-tight">
                    <b className="font-heading font-semibold">{zone.name}</b>
                    <span className="block truncate text-[0.9375rem] text-slate-deep">{appliance.name}</span>
                  </span>
                  <span className="relative flex items-center gap-2 text-[0.9375rem] text-slate-deep">
                    {count}
                    <span aria-hidden className="w-10">
                      <span className={`block ${MARKS[band]}`} />
                    </span>
                  </span>
                </button>
              </li>
            );
          }),
        )}
      </ul>
    </nav>
  );
}
