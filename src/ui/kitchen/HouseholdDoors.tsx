'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { HouseholdView } from '@/services/household/householdView';
import { postJson } from '../door/fetchJson';
import { useMay } from '../door/IfMay';
import { choosePlay, usePlays } from '../door/useHouse';
import { switchHousehold } from '../start/switchHousehold';

/** Going over to another household, putting the demo back, deleting one's own. */
export function HouseholdDoors({ view }: { view: HouseholdView }) {
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const plays = usePlays();
  const mayChange = useMay()('household.set');
  const run = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setFault('');
    try {
      await work();
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
      setBusy(false);
    }
  };
  const remove = async (): Promise<void> => {
    await postJson('/api/v1/households/remove', { id: view.id, name: typed });
    window.location.assign('/start');
  };
  return (
    <section className="card p-5" aria-labelledby="doors">
      <h2 id="doors" className="text-lg">
        Other households
      </h2>
      <div className="mt-3 flex flex-wrap gap-2">
        <Link href="/start" className="button">
          The two doors
        </Link>
        {view.demo && mayChange && (
          <button
            type="button"
            className="button"
            disabled={busy}
            onClick={() => void run(() => switchHousehold('demo'))}
          >
            {busy ? 'Putting it back …' : `Put ${view.name} back as it was`}
          </button>
        )}
      </div>
      {!view.demo && (
        <label className="mt-3 flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={plays}
            onChange={(event) => choosePlay(event.target.checked)}
          />
          Play with stand-ins for scale, scanner and thermometer on this device
        </label>
      )}
      {!view.demo && mayChange && (
        <form
          className="mt-4"
          onSubmit={(event) => {
            event.preventDefault();
            void run(remove);
          }}
        >
          <label className="block">
            <span className="block text-slate">
              Delete this household, its packages and its ledger for good: write its name, {view.name}.
            </span>
            <input
              className="field mt-1 max-w-sm"
              value={typed}
              aria-describedby="delete-fault"
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <button
            type="submit"
            className="button mt-2"
            data-danger="true"
            disabled={busy || typed.trim() === ''}
          >
            Delete {view.name}
          </button>
        </form>
      )}
      <p id="delete-fault" role="alert" className="mt-2 text-beet">
        {fault}
      </p>
    </section>
  );
}
