'use client';

import type { KitchenView } from '@/services/kitchen';
import { useDoor } from '../door/DoorProvider';

/** What comes round, and when it is due next. */
export function RoundsAndUpkeep({ jobs }: { jobs: KitchenView['jobs'] }) {
  const { act, busy } = useDoor();
  return (
    <section className="card p-5" aria-labelledby="upkeep">
      <h2 id="upkeep" className="text-lg">
        Rounds and upkeep
      </h2>
      {jobs.length === 0 && <p className="mt-1 text-slate">Nothing comes round in this kitchen yet.</p>}
      <ul className="mt-1 divide-y divide-line">
        {jobs.map((job) => (
          <li key={job.id} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 flex-1">
              <b className="font-heading font-semibold">{job.name}</b>
              <span className="block text-[0.9375rem] text-slate">
                every {job.everyDays} days, next {job.due_words}
              </span>
            </span>
            <button
              type="button"
              className="button"
              disabled={busy}
              aria-label={`Done: ${job.name}`}
              onClick={() => void act({ type: 'job.done', job: job.id })}
            >
              Done
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
