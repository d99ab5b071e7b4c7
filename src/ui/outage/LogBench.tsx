'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { ThermometersView } from '@/services/outage/thermometers';
import { usePlays } from '../door/useHouse';
import { useNow } from '../haul/useNow';
import { AlarmForm } from './AlarmForm';
import { LogCard } from './LogCard';
import { LogIn } from './LogIn';
import { StandInLog } from './StandInLog';
import { IfMay } from '../door/IfMay';

const LogChart = dynamic(() => import('./LogChart').then((module) => module.LogChart), { ssr: false });

const SPANS = [
  [2, '2 days'],
  [7, 'a week'],
  [31, 'a month'],
] as const;

/** Thermometers that stay in the appliances: how cold it is, when they call, their logs in and out. */
export function LogBench({ view }: { view: ThermometersView }) {
  const plays = usePlays();
  const now = useNow(view.now);
  const [shownId, setShown] = useState<string | null>(null);
  const warm = view.parts.filter(({ warm_since: since }) => since !== null);
  const shown = view.parts.find(({ id }) => id === shownId) ?? warm[0] ?? view.parts[0];
  if (!shown)
    return (
      <div className="card space-y-3 p-6">
        <h1 className="text-[1.6rem]">Thermometers</h1>
        <p>Draw a fridge or a freezer first; a thermometer can stay in each of its cold rooms.</p>
        <Link className="button" data-main="true" href="/kitchen">
          To the kitchen
        </Link>
      </div>
    );
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="mr-auto text-[1.6rem]">Thermometers</h1>
        <p className="text-slate">In the middle of a shelf or basket, not in the door, not at the fan.</p>
      </div>
      <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.5fr)]">
        <ul className="space-y-3">
          {view.parts.map((part) => (
            <li key={part.id}>
              <LogCard part={part} now={now} shown={part.id === shown.id} onShow={() => setShown(part.id)} />
            </li>
          ))}
        </ul>
        <div className="space-y-4">
          <nav aria-label="How far back" className="flex flex-wrap items-center gap-2">
            {SPANS.map(([days, words]) => (
              <Link
                key={days}
                href={`/outage/log?days=${days}`}
                className="button"
                aria-current={view.days === days ? 'page' : undefined}
                data-main={view.days === days}
              >
                {words}
              </Link>
            ))}
            <a className="button ml-auto" href={`/api/v1/outage/log/csv?days=${Math.max(31, view.days)}`}>
              Save as CSV
            </a>
          </nav>
          {plays && (
            <IfMay type="log.add">
              <StandInLog parts={view.parts} now={now} />
            </IfMay>
          )}
          <LogChart part={shown} view={view} />
          <IfMay type="log.alarm">
            <AlarmForm key={`${shown.id} ${JSON.stringify(shown.alarm)}`} part={shown} />
          </IfMay>
          <IfMay type="log.add">
            <LogIn parts={view.parts} />
          </IfMay>
        </div>
      </div>
    </div>
  );
}
