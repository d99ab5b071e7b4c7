'use client';

import type { ThawStep } from '@/services/meals/thawSteps';
import { useDoor } from '../door/useDoor';
import { useNow } from '../haul/useNow';
import { type ColdBath, setBath } from './coldBaths';

const CHANGE_MIN = 30;
const MINUTE_MS = 60_000;
const clock = (ms: number): string =>
  new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The bath of what thaws in cold water: when the water is changed next, and when it is soft at the latest. */
export function BathClock({ step, bath, now: told }: { step: ThawStep; bath: ColdBath; now: string }) {
  const { act, busy } = useDoor();
  const now = useNow(told);
  const due = Date.parse(bath.changed) + CHANGE_MIN * MINUTE_MS;
  const left = Math.ceil((due - Date.parse(now)) / MINUTE_MS);
  const hours = step.ways.find(({ way }) => way === 'cold-water')?.hours ?? 0;
  const end = Date.parse(bath.begun) + hours * 60 * MINUTE_MS;
  return (
    <div className="flex flex-wrap items-center gap-2 border-l-4 border-ice pl-3">
      <p className="mr-auto" role="timer">
        <b className="text-lg">{left > 0 ? `Change the water in ${left} min` : 'Change the water now'}</b>{' '}
        <span className="text-slate">
          ({clock(due)}) · soft by {clock(end)} at the latest; feel the middle
        </span>
      </p>
      <button
        type="button"
        className="button"
        data-main={left <= 0}
        onClick={() => setBath(step.package, { begun: bath.begun, changed: now })}
      >
        Water changed
      </button>
      <button
        type="button"
        className="button"
        disabled={busy}
        onClick={() =>
          void act({
            ...{ type: 'package.thaw', package: step.package, version: step.version },
            ...{ method: 'cold-water', zone: null },
          }).then((answers) => answers && setBath(step.package, null))
        }
      >
        Soft: cook it now
      </button>
      <button type="button" className="button" onClick={() => setBath(step.package, null)}>
        Not in water
      </button>
    </div>
  );
}
