'use client';

import Link from 'next/link';
import type { SeenToday } from '@/services/today/seenToday';
import { useDoor } from '../door/useDoor';

/** Once a week, a line for each freezer: what comes near its date in it, looked through at once. */
export function FreezerLines({ rows }: { rows: SeenToday['freezers'] }) {
  const { act, busy } = useDoor();
  return (
    <section aria-labelledby="freezers" className="border-t border-line px-2 py-2">
      <h3 id="freezers" className="text-base">
        The freezers, this week
      </h3>
      <ul className="divide-y divide-line">
        {rows.map(({ appliance, name, says, packages, zone }) => (
          <li key={appliance} className="flex flex-wrap items-center gap-x-3 py-1.5">
            <p className="min-w-48 flex-1">
              <b className="block font-heading font-semibold">{name}</b>
              <span className="text-slate">{says}</span>
            </p>
            <button
              type="button"
              className="button"
              disabled={busy}
              aria-label={`Looked through ${name}, all fine`}
              onClick={() =>
                void act(
                  ...packages.map(({ id, version }) => ({
                    type: 'package.answer',
                    package: id,
                    version,
                    answer: 'looked-fine',
                  })),
                )
              }
            >
              Looked, all fine
            </button>
            <Link href={`/stock?zone=${zone}`} className="button">
              See them
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
