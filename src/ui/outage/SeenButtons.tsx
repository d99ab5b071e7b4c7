'use client';

import { useState } from 'react';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useUnits } from '../units/useWording';
import type { SeenForm } from './cutForm';

const SIGNS = [
  ['slime', 'Slime or off smell'],
  ['mould', 'Mould'],
  ['dripped_on', 'Raw juice dripped on it'],
  ['seal_broken', 'Seal broken'],
] as const;

/** What eyes and a thermometer tell of one package; it beats the clock. */
export function SeenButtons({
  frozen,
  seen,
  onSeen,
}: {
  frozen: boolean;
  seen: SeenForm | null;
  onSeen: (seen: SeenForm | null) => void;
}) {
  const [measured, setMeasured] = useState('');
  const units = useUnits();
  const toggle = (label: string, pressed: boolean, told: SeenForm) => (
    <button
      type="button"
      key={label}
      className="button"
      data-main={pressed}
      aria-pressed={pressed}
      onClick={() => onSeen(pressed ? null : told)}
    >
      {label}
    </button>
  );
  return (
    <fieldset>
      <legend className="text-slate">What did you see? Never taste.</legend>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        {frozen && toggle('Ice crystals', seen?.ice_crystals === true, { ...seen, ice_crystals: true })}
        {frozen && toggle('No ice', seen?.ice_crystals === false, { ...seen, ice_crystals: false })}
        {SIGNS.map(([key, label]) => toggle(label, seen?.[key] === true, { ...seen, [key]: true }))}
        <label className="flex items-center gap-2">
          <span>Measured</span>
          <input
            className="field w-24!"
            inputMode="decimal"
            value={measured}
            placeholder={degreesOf(units)}
            onChange={(event) => {
              setMeasured(event.target.value);
              const value = readDegrees(event.target.value, units);
              if (event.target.value.trim() === '') {
                const { measured_c: _gone, ...rest } = seen ?? {};
                onSeen(rest);
              } else if (Number.isFinite(value) && Math.abs(value) <= 60)
                onSeen({ ...seen, measured_c: value });
            }}
          />
        </label>
      </div>
    </fieldset>
  );
}
