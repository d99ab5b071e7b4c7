'use client';

import { useState } from 'react';
import type { DrillRecord } from '@/core/model/cut';
import type { Drill } from '@/core/drill/drill';
import { DRILLS, makeDrill } from '@/core/drill/makeDrill';
import type { DrillsView } from '@/services/outage/drills';
import { DrillPlay } from './DrillPlay';

const SEEDS = 1_000_000;

const sayRecord = (record: DrillRecord | undefined): string => {
  if (!record) return 'not tried yet';
  const tries = `${record.plays} ${record.plays === 1 ? 'try' : 'tries'}`;
  if (!record.safe) return `not safe yet · ${tries}`;
  return `safe, ${Math.round(record.wasted * 100)} % wasted, ${record.minutes} min · ${tries}`;
};

/** Cuts for practice: find out what happened, judge, and see what was right. Nothing in the stock is touched. */
export function DrillBench({ view }: { view: DrillsView }) {
  const [playing, setPlaying] = useState<Drill | null>(null);
  const records = new Map(view.records.map((record) => [record.drill, record]));
  const safe = DRILLS.filter(({ id }) => records.get(id)?.safe).length;
  if (playing)
    return <DrillPlay key={playing.id} drill={playing} view={view} onLeave={() => setPlaying(null)} />;
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[1.6rem]">Practise a power cut</h1>
        <p className="text-slate">
          {safe} of {DRILLS.length} judged safely
        </p>
        <button
          type="button"
          className="button"
          onClick={() => setPlaying(makeDrill(1 + Math.floor(Math.random() * SEEDS)))}
        >
          One drawn by chance
        </button>
      </div>
      <p>
        The truth is hidden. Every look costs minutes, and cold where the power is still off. What must go may
        not be eaten; what is thrown out for nothing is counted too.
      </p>
      <ul className="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {DRILLS.map((drill) => {
          const record = records.get(drill.id);
          return (
            <li
              key={drill.id}
              className={`card flex flex-col gap-2 border-l-8 p-4 ${record?.safe ? 'border-ice' : record ? 'border-beet' : 'border-line'}`}
            >
              <h2 className="text-lg">{drill.title}</h2>
              <p className="flex-1">{drill.story}</p>
              <p className="text-[0.9375rem] text-slate">{sayRecord(record)}</p>
              <button
                type="button"
                className="button self-start"
                data-main={!record?.safe}
                aria-label={`${record ? 'Try again' : 'Try'}: ${drill.title}`}
                onClick={() => setPlaying(drill)}
              >
                {record ? 'Try again' : 'Try'}
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
