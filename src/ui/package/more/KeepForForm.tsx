'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useRead } from '../../door/useRead';
import type { Run } from './run';
import { DayField } from '../../forms/DayField';
import { Tick } from '../../forms/Tick';

/** Whose it is, or for whom and which day it is kept; hands off asks before anybody takes it. */
export function KeepForForm({ detail, run }: { detail: PackageDetail; run: Run }) {
  const people = useRead<{ people: string[] }>('/api/v1/households').body?.people ?? [];
  const [whose, setWhose] = useState(detail.kept_for?.whose ?? '');
  const [on, setOn] = useState(detail.kept_for?.on ?? '');
  const [handsOff, setHandsOff] = useState(detail.kept_for ? detail.kept_for.hands_off : true);
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        run('package.keep-for', { whose: whose.trim(), on: on === '' ? null : on, handsOff });
      }}
    >
      <label>
        <span className="block text-slate">For whom, or what</span>
        <input
          className="field"
          list="kept-for"
          maxLength={60}
          value={whose}
          onChange={(event) => setWhose(event.target.value)}
        />
        <datalist id="kept-for">
          {people.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </label>
      <DayField
        label="For which day"
        value={on}
        from={detail.today}
        to={detail.use_by ?? undefined}
        onChange={setOn}
      />
      <Tick checked={handsOff} onChange={setHandsOff}>
        hands off: ask before it is taken
      </Tick>
      <button
        type="submit"
        className="button"
        data-main="true"
        disabled={whose.trim() === '' && on === '' && !handsOff}
      >
        Keep it
      </button>
      {detail.kept_for && (
        <button
          type="button"
          className="button"
          onClick={() => run('package.keep-for', { whose: '', on: null, handsOff: false })}
        >
          Everybody’s again
        </button>
      )}
    </form>
  );
}
