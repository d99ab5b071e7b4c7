'use client';

import { Choice } from '../forms/Choice';
import { degreesOf } from '../units/readDegrees';
import { useUnits } from '../units/useWording';
import type { CutForm } from './cutForm';

const TELLTALE_CHOICES: readonly (readonly [CutForm['telltale'], string])[] = [
  ['none', 'none, or not looked at'],
  ['loose', 'cubes loose and sharp'],
  ['rounded', 'rounded or wet, still separate'],
  ['one-block', 'one block, or the coin sank'],
  ['water', 'water'],
];

const DOOR_CHOICES: readonly (readonly [CutForm['doors'], string])[] = [
  ['shut', 'kept shut'],
  ['opened', 'opened often'],
  ['unknown', 'nobody knows'],
];

/** What happened to one appliance: doors, fill, telltale, readings. */
export function ApplianceForm({ form, onChange }: { form: CutForm; onChange: (form: CutForm) => void }) {
  const units = useUnits();
  const set = (change: Partial<CutForm>): void => onChange({ ...form, ...change });
  const setReading = (at: number, change: Partial<CutForm['readings'][number]>): void =>
    set({
      readings: form.readings.map((reading, nth) => (nth === at ? { ...reading, ...change } : reading)),
    });
  return (
    <fieldset className={`card p-4 ${form.told ? '' : 'bg-transparent'}`}>
      <legend className="sr-only">{form.name}</legend>
      <label className="flex min-h-11 cursor-pointer items-center gap-3 font-heading text-lg font-semibold">
        <input
          type="checkbox"
          className="size-5 accent-[var(--ink)]"
          checked={form.told}
          onChange={(event) => set({ told: event.target.checked })}
        />
        {form.name}
        {!form.told && <span className="font-text text-base font-normal text-slate">had power</span>}
      </label>
      {form.told && (
        <div className="mt-2 grid gap-3 sm:grid-cols-2">
          <Choice
            label="Door"
            value={form.doors}
            choices={DOOR_CHOICES}
            onChoose={(doors) => set({ doors })}
          />
          {form.kind === 'freezer' && (
            <>
              <label>
                <span className="block text-slate">How full, in %</span>
                <input
                  className="field"
                  type="number"
                  min={0}
                  max={100}
                  value={form.fillPercent}
                  onChange={(event) =>
                    set({ fillPercent: Math.min(100, Math.max(0, Number(event.target.value))) })
                  }
                />
              </label>
              <Choice
                className="sm:col-span-2"
                label="Telltale (bag of ice cubes, or frozen cup with a coin)"
                value={form.telltale}
                choices={TELLTALE_CHOICES}
                onChoose={(telltale) => set({ telltale })}
              />
            </>
          )}
          <div
            className={
              form.readings.length > 0 || form.kind === 'freezer' ? 'space-y-2 sm:col-span-2' : 'self-end'
            }
          >
            {form.readings.map((reading, at) => (
              <div key={at} className="flex items-end gap-2">
                <label className="flex-1">
                  <span className="block text-slate">Read at</span>
                  <input
                    className="field"
                    type="datetime-local"
                    value={reading.at}
                    onChange={(event) => setReading(at, { at: event.target.value })}
                  />
                </label>
                <label className="w-24">
                  <span className="block text-slate">{degreesOf(units)}</span>
                  <input
                    className="field"
                    inputMode="decimal"
                    value={reading.c}
                    onChange={(event) => setReading(at, { c: event.target.value })}
                  />
                </label>
                <button
                  type="button"
                  className="button"
                  aria-label={`Take reading ${at + 1} of ${form.name} away`}
                  onClick={() => set({ readings: form.readings.filter((_, nth) => nth !== at) })}
                >
                  ×
                </button>
              </div>
            ))}
            <button
              type="button"
              className="button"
              onClick={() => set({ readings: [...form.readings, { at: '', c: '' }] })}
            >
              Add a thermometer reading
            </button>
            {form.readings.length > 0 && (
              <p className="text-[0.95rem] text-slate">
                Middle of a shelf, not the door. One early and one late in the cut prove most.
              </p>
            )}
          </div>
        </div>
      )}
    </fieldset>
  );
}
