'use client';

import { useState } from 'react';
import type { HouseholdView } from '@/services/household/householdView';
import { useDoor } from '../door/useDoor';
import { NumberField } from '../forms/NumberField';

/** When and how far ahead the household is told. */
export function HeadsUpForm({ settings }: { settings: HouseholdView['settings'] }) {
  const { act, busy } = useDoor();
  const [wanted, setWanted] = useState(settings);
  const change = (changes: Partial<HouseholdView['settings']>): void => setWanted({ ...wanted, ...changes });
  const faulty =
    !inRange(wanted.leadChilled, 60) || !inRange(wanted.leadFrozen, 365) || wanted.notifyAt === '';
  return (
    <section className="card p-5" aria-labelledby="heads-ups">
      <h2 id="heads-ups" className="text-lg">
        Heads-ups
      </h2>
      <p className="mt-1 text-slate">
        A package asks so many days before its date, once; on Saturdays each freezer is gone through for what
        comes near. A food may have lead days of its own.
      </p>
      <form
        className="mt-3 grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!faulty) void act({ type: 'household.set', changes: headsUps(wanted) });
        }}
      >
        <label>
          <span className="block text-slate">Time of day</span>
          <input
            type="time"
            className="field"
            required
            value={wanted.notifyAt}
            onChange={(event) => change({ notifyAt: event.target.value })}
          />
        </label>
        <NumberField
          label="Days ahead, chilled"
          value={wanted.leadChilled}
          most={60}
          onChange={(days) => change({ leadChilled: days ?? 0 })}
        />
        <NumberField
          label="Days ahead, frozen"
          value={wanted.leadFrozen}
          most={365}
          onChange={(days) => change({ leadFrozen: days ?? 0 })}
        />
        <button type="submit" className="button" data-main="true" disabled={busy || faulty}>
          Save
        </button>
      </form>
    </section>
  );
}

/** Only what stands in this form: the rest may have been changed meanwhile. */
const headsUps = ({ notifyAt, leadChilled, leadFrozen }: HouseholdView['settings']) => ({
  notifyAt,
  leadChilled,
  leadFrozen,
});

function inRange(days: number, most: number): boolean {
  return Number.isInteger(days) && days >= 1 && days <= most;
}
