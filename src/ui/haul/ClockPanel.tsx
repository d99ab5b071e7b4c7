'use client';

import { Said } from '../units/Said';
import type { CounterClock } from '@/core/haul/counterClock';
import type { HaulLine } from '@/core/model/haul';
import { sayClock } from './benchWords';

const SINCE = [15, 30, 45];

/** The minutes of one line, what stops them, and at two hours the question. */
export function ClockPanel({
  line,
  clock,
  now,
  onLine,
  onDiscard,
}: {
  line: HaulLine;
  clock: CounterClock;
  now: string;
  onLine: (changes: Partial<HaulLine>) => void;
  onDiscard: () => void;
}) {
  if (clock.level === 'no-hurry') return null;
  const outFor = (minutes: number): void =>
    onLine({ stoodMinutes: 0, outSince: new Date(Date.parse(now) - minutes * 60_000).toISOString() });
  if (clock.level === 'over') {
    return (
      <div
        role="alertdialog"
        aria-label="Time is up"
        className="space-y-2 rounded-card border-2 border-beet p-3"
      >
        <p className="font-semibold text-beet">
          {line.called} has stood {clock.stood} minutes out of the cold. After two hours, one above{' '}
          <Said>32 °C</Said>, it is thrown out (K10).
        </p>
        <p className="text-slate">
          After FoodSafety.gov. When in doubt, throw it out. If it left the cold later than told, say when:
        </p>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button" data-danger="true" onClick={onDiscard}>
            Throw it out
          </button>
          {SINCE.map((minutes) => (
            <button key={minutes} type="button" className="button" onClick={() => outFor(minutes)}>
              out for {minutes} min
            </button>
          ))}
        </div>
      </div>
    );
  }
  const cold = clock.level === 'cold';
  const pressing = clock.level === 'warn' || clock.level === 'hurry';
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <p role="status" className={pressing ? 'font-semibold text-ember-deep' : 'text-slate'}>
        {cold
          ? `Back in the cold; ${sayClock(clock).replace('cold · ', '')} are left of its two hours.`
          : clock.level === 'hurry'
            ? `Put it away now: ${sayClock(clock)} left.`
            : `Out for ${clock.stood} min, ${sayClock(clock)} left.`}
      </p>
      <button
        type="button"
        className="date-button min-h-11 text-deep"
        onClick={() => onLine(cold ? { outSince: now } : { outSince: null, stoodMinutes: clock.stood })}
      >
        {cold ? 'Out again' : 'Back in the cold until its turn'}
      </button>
    </div>
  );
}
