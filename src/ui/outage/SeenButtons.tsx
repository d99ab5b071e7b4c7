'use client';

import { useState } from 'react';
import type { Seen } from '@/core/model/cut';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useUnits } from '../units/useWording';

const SIGNS = [
  ['slime', 'Slime'],
  ['offSmell', 'Off smell'],
  ['mould', 'Mould'],
  ['drippedOn', 'Raw juice on it'],
  ['sealBroken', 'Seal broken'],
  ['flooded', 'Flood water'],
] as const satisfies readonly (readonly [keyof Seen, string])[];

/** What eyes and a thermometer tell of one package; it beats the clock. Each press is kept at once. */
export function SeenButtons({
  frozen,
  seen,
  large = false,
  onSeen,
}: {
  frozen: boolean;
  seen: Seen;
  /** For one hand, on a walk. */
  large?: boolean;
  onSeen: (seen: Seen) => void;
}) {
  const [measured, setMeasured] = useState('');
  const units = useUnits();
  const celsius = readDegrees(measured, units);
  const sound = Number.isFinite(celsius) && Math.abs(celsius) <= 60;
  const toggle = (label: string, key: keyof Seen, value: boolean) => {
    const pressed = seen[key] === value;
    const { [key]: _before, ...others } = seen;
    return (
      <button
        type="button"
        key={label}
        className={large ? 'button min-h-14 min-w-[calc(50%-0.3rem)] text-lg' : 'button'}
        data-main={pressed}
        aria-pressed={pressed}
        onClick={() => onSeen(pressed ? others : { ...others, [key]: value })}
      >
        {label}
      </button>
    );
  };
  return (
    <fieldset>
      <legend className="text-slate">What did you see? Never taste.</legend>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {frozen && toggle('Ice crystals', 'iceCrystals', true)}
        {frozen && toggle('No ice', 'iceCrystals', false)}
        {SIGNS.map(([key, label]) => toggle(label, key, true))}
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!sound) return;
            onSeen({ ...seen, measuredC: celsius });
            setMeasured('');
          }}
        >
          <label className="flex items-center gap-2">
            <span>{typeof seen.measuredC === 'number' ? 'Measured again' : 'Its middle measured'}</span>
            <input
              className="field w-24!"
              inputMode="text"
              value={measured}
              placeholder={degreesOf(units)}
              onChange={(event) => setMeasured(event.target.value)}
            />
          </label>
          <button type="submit" className="button" disabled={!sound}>
            Keep
          </button>
          {typeof seen.measuredC === 'number' && (
            <button
              type="button"
              className="button"
              onClick={() => {
                const { measuredC: _gone, ...rest } = seen;
                onSeen(rest);
              }}
            >
              Not measured
            </button>
          )}
        </form>
      </div>
    </fieldset>
  );
}
