'use client';

import Link from 'next/link';
import { sayCelsius } from '@/core/powercut/sayCut';
import type { ThermometerView } from '@/services/outage/thermometers';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';
import { sayLeft, sayTime } from './cutWords';

const HOUR_MS = 3_600_000;

/** One thermometer: what it read last and how long ago, whether it calls, is silent, or its battery is low. */
export function LogCard({
  part,
  now,
  shown,
  onShow,
}: {
  part: ThermometerView;
  now: string;
  shown: boolean;
  onShow: () => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const { called, heard_at: heard, last_c: last, warm_since: since, day, alarm, warmer } = part;
  const ago = heard === null ? 0 : (Date.parse(now) - Date.parse(heard)) / HOUR_MS;
  return (
    <section
      aria-label={called}
      className={`card space-y-2 p-4 ${since === null ? '' : 'border-2 border-beet'} ${shown ? 'outline-2 outline-deep' : ''}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="mr-auto text-lg">{called}</h2>
        <b className={`font-heading text-3xl ${since === null ? '' : 'text-beet'}`}>
          {last === null ? 'not heard yet' : say(sayCelsius(last))}
        </b>
      </div>
      {since !== null && (
        <p role="alert" className="font-semibold text-beet">
          Over {say(sayCelsius(alarm.above_c))} since {sayTime(since)}. Is the door shut, is it running?{' '}
          <Link className="inline-flex min-h-11 items-center underline" href="/outage">
            To the desk
          </Link>
        </p>
      )}
      {heard !== null && (
        <p className="text-[0.9375rem] text-slate">
          {ago < 0.05 ? 'just now' : `${sayLeft(ago)} ago`}
          {day
            ? say(
                ` · its last day ${sayCelsius(day.least_c)} to ${sayCelsius(day.most_c)}, on average ${sayCelsius(day.mean_c)}`,
              )
            : ''}
          {part.battery === null ? '' : ` · battery ${Math.round(part.battery * 100)}\u00a0%`}
        </p>
      )}
      {part.silent && (
        <p className="border-l-4 border-honey pl-3">
          Silent for {sayLeft(ago)}: nobody watches this one. A flat battery, or out of reach?
        </p>
      )}
      {part.battery_low && !part.silent && (
        <p className="border-l-4 border-honey pl-3">Change its battery soon.</p>
      )}
      {warmer.length > 0 && day && since === null && (
        <div className="space-y-2 border-l-4 border-honey pl-3">
          <p>
            {say(
              `Dates count on ${sayCelsius(part.kept_c)} here, but on average it was ${sayCelsius(day.mean_c)}.`,
            )}
          </p>
          <button
            type="button"
            className="button"
            disabled={busy}
            onClick={() => void act(...warmer.map((one) => ({ type: 'zone.measure', ...one })))}
          >
            Date the food by it
          </button>
        </div>
      )}
      {!shown && (
        <button type="button" className="button" aria-label={`Show the log of ${called}`} onClick={onShow}>
          Show its log
        </button>
      )}
    </section>
  );
}
