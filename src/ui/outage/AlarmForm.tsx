'use client';

import { useState } from 'react';
import type { ThermometerView } from '@/services/outage/thermometers';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useUnits } from '../units/useWording';

const MOST_MINUTES = 1440;

/** When a thermometer calls, and whether it begins a cut by itself. */
export function AlarmForm({ part }: { part: ThermometerView }) {
  const { act, busy } = useDoor();
  const units = useUnits();
  const shown = units === 'us' ? Math.round((part.alarm.above_c * 9) / 5 + 32) : part.alarm.above_c;
  const [above, setAbove] = useState(String(shown).replace('-', '−'));
  const [minutes, setMinutes] = useState(String(part.alarm.minutes));
  const [begins, setBegins] = useState(part.alarm.begins);
  const celsius = Math.round(readDegrees(above, units) * 10) / 10;
  const waits = Number(minutes);
  const sound =
    celsius >= -40 && celsius <= 20 && Number.isInteger(waits) && waits >= 1 && waits <= MOST_MINUTES;
  return (
    <form
      aria-label={`When ${part.called} calls`}
      className="card space-y-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (sound)
          void act({ type: 'log.alarm', part: part.id, alarm: { above_c: celsius, minutes: waits, begins } });
      }}
    >
      <h2 className="text-lg">When {part.called} calls</h2>
      <div className="flex flex-wrap items-end gap-3">
        <label className="w-28">
          <span className="block text-slate">over, {degreesOf(units)}</span>
          <input className="field" value={above} onChange={(event) => setAbove(event.target.value)} />
        </label>
        <label className="w-28">
          <span className="block text-slate">for, minutes</span>
          <input
            className="field"
            inputMode="numeric"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
        </label>
        <Tick checked={begins} onChange={setBegins}>
          begins a power cut by itself
        </Tick>
        <button type="submit" className="button" disabled={busy || !sound}>
          Set
        </button>
        <button
          type="button"
          className="button border-transparent"
          disabled={busy}
          onClick={() => void act({ type: 'log.alarm', part: part.id, alarm: null })}
        >
          As usual
        </button>
      </div>
      <p role="alert" className="text-beet">
        {sound
          ? ''
          : `From ${units === 'us' ? '−40 to 68 °F' : '−40 to 20 °C'}, for 1 to ${MOST_MINUTES} minutes.`}
      </p>
    </form>
  );
}
