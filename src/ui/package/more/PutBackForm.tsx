'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { NumberField } from '../../forms/NumberField';
import { ZoneChoice } from '../ZoneChoice';
import type { Run } from './run';
import { Tick } from '../../forms/Tick';

const MOST_MINUTES = 1440;

/** Back into the cold, with the minutes it stood out: they add up over its whole life. */
export function PutBackForm({ detail, run }: { detail: PackageDetail; run: Run }) {
  const [minutes, setMinutes] = useState<number | null>(detail.gone?.how === 'lost' ? 0 : 10);
  const [hot, setHot] = useState(false);
  const sound = minutes !== null && Number.isInteger(minutes) && minutes >= 0 && minutes <= MOST_MINUTES;
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-48">
          <NumberField
            label="Minutes it stood out"
            hint={detail.minutes_out > 0 ? `${detail.minutes_out} before this` : 'about is good enough'}
            value={minutes}
            least={0}
            most={MOST_MINUTES}
            onChange={setMinutes}
          />
        </div>
        <Tick checked={hot} onChange={setHot}>
          on a hot day
        </Tick>
      </div>
      {sound && (
        <>
          {detail.zone && (
            <button
              type="button"
              className="button"
              data-main="true"
              onClick={() => run('package.put-back', { minutes, hot, zone: null })}
            >
              Back in {detail.zone.name}
            </button>
          )}
          <ZoneChoice
            title={detail.zone ? 'or elsewhere' : 'Back to where?'}
            code={detail.code}
            state={detail.hard_frozen ? 'frozen' : 'chilled'}
            onChoose={(zone, anyway) => run('package.put-back', { minutes, hot, zone, anyway })}
          />
        </>
      )}
    </div>
  );
}
