'use client';

import Link from 'next/link';
import { useState, useSyncExternalStore } from 'react';
import { v4 as newUuid } from 'uuid';
import type { DeskView } from '@/services/outage/cutDesk';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { useClock, useNow } from '../haul/useNow';
import { localInput } from './cutWords';

const HOURS_AGO = [1, 2, 4, 8, 24] as const;
const HOUR_MS = 3_600_000;

/** Nothing is off, as far as anybody told: one press begins a cut, since now or since about when. */
export function BeginCut({ view }: { view: DeskView }) {
  const { act, busy } = useDoor();
  const now = useNow(view.now);
  const secure = useSyncExternalStore(
    () => () => undefined,
    () => window.isSecureContext,
    () => true,
  );
  const clock = useClock(view.now);
  const [off, setOff] = useState<ReadonlySet<string>>(new Set(view.parts.map(({ id }) => id)));
  const [since, setSince] = useState('');
  const chosen = view.parts.filter(({ id }) => off.has(id));
  const future = since !== '' && Date.parse(since) > Date.parse(now);
  const begin = (from: string): void =>
    void act({
      type: 'cut.begin',
      cut: newUuid(),
      from,
      parts: chosen.map(({ id, fill }) => ({ id, fill: Math.round(fill * 100) / 100, doors: 'shut' })),
    });
  const ago = (hours: number): string => new Date(Date.parse(clock()) - hours * HOUR_MS).toISOString();
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <section aria-labelledby="begin-cut" className="card space-y-4 p-5">
        <h1 id="begin-cut" className="text-[1.6rem]">
          Is the power off?
        </h1>
        <p>Leave the doors shut. Say since when; it can be put right later.</p>
        <button
          type="button"
          className="button min-h-14 text-xl"
          data-main="true"
          disabled={busy || chosen.length === 0}
          onClick={() => begin(clock())}
        >
          It just went off
        </button>
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-slate">or since about</span>
          {HOURS_AGO.map((hours) => (
            <button
              key={hours}
              type="button"
              className="button"
              disabled={busy || chosen.length === 0}
              onClick={() => begin(ago(hours))}
            >
              {hours} h ago
            </button>
          ))}
        </div>
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (since !== '' && !future) begin(new Date(since).toISOString());
          }}
        >
          <label>
            <span className="block text-slate">or since</span>
            <input
              className="field"
              type="datetime-local"
              max={localInput(Date.parse(now))}
              value={since}
              aria-describedby="since-fault"
              onChange={(event) => setSince(event.target.value)}
            />
          </label>
          <button
            type="submit"
            className="button"
            disabled={busy || since === '' || future || chosen.length === 0}
          >
            Since then
          </button>
          <p id="since-fault" role="alert" className="w-full text-beet">
            {future ? 'The power cannot have gone off after now.' : ''}
          </p>
        </form>
        <fieldset>
          <legend className="text-slate">What is without power?</legend>
          <div className="flex flex-wrap gap-x-5">
            {view.parts.map(({ id, called }) => (
              <Tick
                key={id}
                checked={off.has(id)}
                onChange={(checked) => {
                  const next = new Set(off);
                  if (checked) next.add(id);
                  else next.delete(id);
                  setOff(next);
                }}
              >
                {called}
              </Tick>
            ))}
          </div>
          {chosen.length === 0 && <p className="text-beet">Choose at least one.</p>}
        </fieldset>
      </section>
      <section aria-labelledby="before-cut" className="space-y-4">
        <div className="card space-y-3 p-5">
          <h2 id="before-cut" className="text-xl">
            A storm is coming?
          </h2>
          <p>
            What to freeze, what to fill with water, how much ice, and a card on paper that needs no power.
          </p>
          <div className="flex flex-wrap gap-2">
            <Link className="button" data-main="true" href="/outage/prepare">
              Prepare
            </Link>
            <a className="button" href="/api/v1/outage/card" target="_blank" rel="noreferrer">
              The paper card
            </a>
          </div>
        </div>
        {!secure && (
          <p className="card border-l-8 border-honey p-4">
            This address is not a secure one, so this device keeps nothing for a house without network. On the
            kitchen’s machine, <code>npm start -- --home</code> gives a secure one, as a code to scan.
          </p>
        )}
        <div className="card p-5">
          <h2 className="text-xl">What counts</h2>
          <ul className="mt-2 list-disc space-y-1 pl-5">
            <li>
              What you see or measure of a food beats a thermometer in the air, and that beats the clock.
            </li>
            <li>
              A fridge with its door shut keeps food safe for 4 hours; a full freezer 48, a half full one 24.
            </li>
            <li>You cannot tell by smell or taste. When in doubt, throw it out.</li>
            <li>
              Babies, pregnant, old or ill people need more caution. Follow your local food-safety advice.
            </li>
          </ul>
        </div>
      </section>
    </div>
  );
}
