'use client';

import { useState } from 'react';
import { localInput, sayLeft } from './cutWords';

const HOUR_MS = 3_600_000;

/** How long until the storm. */
export function Countdown({
  expected,
  now,
  busy,
  onTell,
}: {
  expected: string | null;
  now: string;
  busy: boolean;
  onTell: (at: string | null) => void;
}) {
  const [typed, setTyped] = useState(expected === null ? '' : localInput(Date.parse(expected)));
  const left = expected === null ? null : (Date.parse(expected) - Date.parse(now)) / HOUR_MS;
  return (
    <form
      aria-label="When it comes"
      className="card flex flex-wrap items-end gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed !== '') onTell(new Date(typed).toISOString());
      }}
    >
      {left !== null && (
        <p className="mr-auto font-heading text-3xl font-bold" role="timer">
          {left > 0 ? `${sayLeft(left)} left` : 'It may go any moment'}
        </p>
      )}
      <label>
        <span className="block text-slate">The storm is expected</span>
        <input
          className="field"
          type="datetime-local"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="submit" className="button" disabled={busy || typed === ''}>
        Count down
      </button>
      {expected !== null && (
        <button
          type="button"
          className="button"
          disabled={busy}
          onClick={() => {
            setTyped('');
            onTell(null);
          }}
        >
          It passed
        </button>
      )}
    </form>
  );
}
