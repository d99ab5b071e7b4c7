'use client';

import Link from 'next/link';
import type { DeskView } from '@/services/outage/cutDesk';
import { sayLeft } from './cutWords';

const HOUR_MS = 3_600_000;

/** Power cuts of the past, each to be opened again. */
export function PastCuts({ view }: { view: DeskView }) {
  const day = (at: string): string =>
    new Date(at).toLocaleString('en-GB', {
      ...{
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        hour: '2-digit',
        minute: '2-digit',
      },
      timeZone: view.time_zone,
    });
  return (
    <div className="space-y-4">
      <h1 className="text-[1.6rem]">Past power cuts</h1>
      {view.cuts.length === 0 ? (
        <div className="card space-y-3 p-6">
          <h2 className="text-xl">None so far</h2>
          <p>
            Every cut that is begun at the desk is kept here, with its readings, verdicts and what was lost.
          </p>
          <Link className="button" data-main="true" href="/outage">
            To the desk
          </Link>
        </div>
      ) : (
        <ul className="space-y-3">
          {view.cuts.map((cut) => {
            const hours = (Date.parse(cut.until ?? view.now) - Date.parse(cut.from)) / HOUR_MS;
            return (
              <li key={cut.id} className="card flex flex-wrap items-center gap-3 p-4">
                <p className="mr-auto">
                  <b className="font-heading text-lg">{day(cut.from)}</b>, {sayLeft(hours)}
                  {cut.until === null ? ', still off' : ''}
                  <span className="block text-[0.9375rem] text-slate">
                    {cut.parts.map(({ called }) => called).join(', ')}
                    {cut.closedAt === null && cut.until !== null ? ' · the desk is still open' : ''}
                  </span>
                </p>
                <Link className="button" href={`/outage?cut=${cut.id}`}>
                  Open
                </Link>
                <a
                  className="button"
                  href={`/api/v1/outage/losses?cut=${cut.id}`}
                  target="_blank"
                  rel="noreferrer"
                >
                  Loss list
                </a>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
