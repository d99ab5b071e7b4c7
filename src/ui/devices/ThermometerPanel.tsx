'use client';

import { useEffect, useState } from 'react';
import type { ThermometerReading } from '@/devices/thermometer';
import { thermometer } from './standIns';

const READ_MS = 400;

/** The thermometer that stands in the zone: what it shows now, read into the field once it has settled. */
export function ThermometerPanel({ around, onRead }: { around: number; onRead: (celsius: number) => void }) {
  const [reading, setReading] = useState<ThermometerReading>({ celsius: null, settled: false });
  const [asked, setAsked] = useState(String(around));
  useEffect(() => {
    thermometer.place(around);
    const timer = setInterval(() => setReading(thermometer.read()), READ_MS);
    return () => clearInterval(timer);
  }, [around]);
  const { celsius, settled } = reading;
  return (
    <div className="mt-2 space-y-2">
      <p role="status" className="text-slate">
        {celsius === null ? (
          'The thermometer does not answer; type what it shows.'
        ) : (
          <>
            stands there, shows <b className="font-heading text-ink">{String(celsius).replace('-', '−')}°</b>
            {settled ? '' : ', settling …'}
          </>
        )}
      </p>
      <button
        type="button"
        className="button"
        disabled={celsius === null || !settled}
        onClick={() => celsius !== null && onRead(celsius)}
      >
        Take this reading
      </button>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
          Play the stand-in
        </summary>
        <div className="flex items-end gap-2">
          <label className="min-w-0 flex-1">
            <span className="block text-[0.9375rem] text-slate">it is there, °C</span>
            <input
              className="field"
              value={asked}
              onChange={(event) => {
                setAsked(event.target.value);
                const told = Number(event.target.value.replace(',', '.').replace('−', '-'));
                if (event.target.value.trim() !== '' && Number.isFinite(told)) thermometer.place(told);
              }}
            />
          </label>
          <button
            type="button"
            className="button"
            onClick={() => (celsius === null ? thermometer.plug() : thermometer.unplug())}
          >
            {celsius === null ? 'Plug in' : 'Unplug'}
          </button>
        </div>
      </details>
    </div>
  );
}
