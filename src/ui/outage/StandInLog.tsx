'use client';

import { useState } from 'react';
import { type LoggerPlay, simulatedLog } from '@/devices/logger';
import type { ThermometerView } from '@/services/outage/thermometers';
import { useDoor } from '../door/useDoor';

const HOUR_MS = 3_600_000;
const EVERY_MS = 15 * 60_000;
const MOST_BACK_MS = 48 * HOUR_MS;
const FAST_S = 40;

type Play = 'quiet' | 'cut' | 'flat';
const PLAYS: readonly (readonly [Play, string])[] = [
  ['quiet', 'As it runs'],
  ['cut', 'The power went'],
  ['flat', 'Batteries went flat'],
];

/** Stand-ins for thermometers: what they would have logged since they were heard last, read in as a real one's is. */
export function StandInLog({ parts, now }: { parts: readonly ThermometerView[]; now: string }) {
  const { act, busy } = useDoor();
  const [hours, setHours] = useState(6);
  const run = (play: Play): void => {
    const to = Date.parse(now);
    const commands = parts.flatMap((part, nth) => {
      const heard = part.heard_at === null ? 0 : Date.parse(part.heard_at) + EVERY_MS;
      const from = Math.max(heard, to - MOST_BACK_MS);
      if (from > to) return [];
      const began = Math.max(from, to - hours * HOUR_MS);
      const its: LoggerPlay = {
        ...{ from, to, everyMs: EVERY_MS, fastSPerDay: FAST_S * (nth - 1) },
        cuts: play === 'cut' ? [{ from: began, until: to }] : [],
        emptyAt: play === 'flat' ? began : null,
      };
      const { kind, ...told } = {
        kind: part.forecast,
        litres: part.litres,
        fill: part.fill,
        setC: part.kept_c,
      };
      const log = simulatedLog({ ...told, kind }, its, Math.floor(Math.random() * 2 ** 31));
      const { readings, battery, itsClock } = log;
      return readings.length === 0
        ? []
        : [{ type: 'log.add', part: part.id, readings, battery, its_clock: itsClock }];
    });
    if (commands.length > 0) void act(...commands);
  };
  return (
    <details className="card p-4" open={parts.every(({ heard_at: heard }) => heard === null)}>
      <summary className="min-h-11 cursor-pointer py-2 text-lg">Play the stand-ins</summary>
      <p className="text-slate">
        A simulated thermometer in each: noise, readings that are missing, a clock that drifts. It hands over
        what it logged since it was heard last.
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label className="w-32">
          <span className="block text-slate">hours ago</span>
          <input
            className="field"
            type="number"
            min={1}
            max={48}
            value={hours}
            onChange={(event) => setHours(Math.min(48, Math.max(1, Number(event.target.value) || 1)))}
          />
        </label>
        {PLAYS.map(([play, words]) => (
          <button key={play} type="button" className="button" disabled={busy} onClick={() => run(play)}>
            {words}
          </button>
        ))}
      </div>
    </details>
  );
}
