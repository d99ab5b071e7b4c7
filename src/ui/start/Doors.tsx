'use client';

import Link from 'next/link';
import { type ReactNode, useState } from 'react';
import type { HouseholdChoice } from '@/services/household/households';
import { switchHousehold } from './switchHousehold';

/** A fridge door, shut or ajar, drawn. */
function DrawnDoor({ ajar }: { ajar: boolean }) {
  return (
    <svg aria-hidden viewBox="0 0 120 150" className="h-40 w-32 shrink-0 sm:h-64 sm:w-48">
      <rect
        x="8"
        y="6"
        width="104"
        height="138"
        rx="8"
        fill="var(--snow)"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      {ajar ? (
        <>
          <path d="M20 46h80M20 84h80M20 118h80" stroke="var(--line)" strokeWidth="3" />
          <rect x="26" y="28" width="26" height="18" fill="var(--tape)" stroke="var(--tape-edge)" />
          <rect x="58" y="22" width="16" height="24" fill="var(--ice-top)" stroke="var(--ice)" />
          <rect x="26" y="62" width="40" height="22" fill="var(--tape)" stroke="var(--tape-edge)" />
          <rect x="72" y="98" width="22" height="20" fill="var(--ice-top)" stroke="var(--ice)" />
          <path
            d="M8 12 L-8 24 V128 L8 140 Z"
            fill="var(--ice-foot)"
            stroke="var(--ink)"
            strokeWidth="3"
            transform="translate(12)"
          />
        </>
      ) : (
        <>
          <path d="M8 52h104" stroke="var(--ink)" strokeWidth="3" />
          <path d="M98 24v16M98 66v30" stroke="var(--ink)" strokeWidth="5" strokeLinecap="round" />
        </>
      )}
    </svg>
  );
}

function Door({ title, ajar, children }: { title: string; ajar: boolean; children: ReactNode }) {
  return (
    <section className="card flex flex-col items-center gap-5 p-5 sm:flex-row sm:p-7" aria-label={title}>
      <DrawnDoor ajar={ajar} />
      <div className="flex flex-1 flex-col items-start gap-3">
        <h2 className="text-xl">{title}</h2>
        {children}
      </div>
    </section>
  );
}

const sayPackages = (count: number): string =>
  count === 0 ? 'nothing in it yet' : count === 1 ? 'one package' : `${count} packages`;

/** First start, and whenever one changes over: the demo and what is one's own. */
export function Doors({ choice }: { choice: HouseholdChoice }) {
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState('');
  const go = (name: string, to: Parameters<typeof switchHousehold>[0]): void => {
    setBusy(name);
    setFault('');
    switchHousehold(to).catch((error: unknown) => {
      setBusy('');
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
    });
  };
  const demo = choice.households.find((one) => one.demo);
  const others = choice.households.filter((one) => !one.demo);
  return (
    <>
      <h1 className="text-[2rem] leading-tight">Orderly Frost</h1>
      <p className="mt-1 mb-6 max-w-2xl text-lg">
        Your fridge and freezer, drawn; every package with a date that explains itself; and an honest answer
        after a power cut. Which door first? You can go through the other one any time.
      </p>
      {fault !== '' && (
        <p role="alert" className="mb-4 rounded-part bg-beet-tint px-3 py-2 text-beet">
          {fault}
        </p>
      )}
      <div className="grid gap-4 lg:min-h-[26rem] lg:grid-cols-2">
        <Door title={demo ? `Look around at ${demo.name}` : 'Look around'} ajar>
          <p>
            A household with a full larder fridge and a chest in the boat shed. Play with it: nothing of yours
            is there, and one press puts it back as it was.
          </p>
          <div className="flex flex-wrap gap-2">
            {demo && (
              <button
                type="button"
                className="button"
                disabled={busy !== ''}
                onClick={() => go('demo', { choose: demo.id })}
              >
                {busy === 'demo' ? 'Opening …' : 'Look around'}
              </button>
            )}
            <button
              type="button"
              className="button"
              disabled={busy !== ''}
              onClick={() => go('back', 'demo')}
            >
              {busy === 'back' ? 'Putting it back …' : 'Put it back as it was'}
            </button>
          </div>
        </Door>
        <Door title="Our own kitchen" ajar={false}>
          {others.length > 0 ? (
            <ul className="w-full space-y-2">
              {others.map(({ id, name, packages }) => (
                <li key={id} className="flex flex-wrap items-center gap-3">
                  <button
                    type="button"
                    className="button"
                    data-main="true"
                    disabled={busy !== ''}
                    onClick={() => go(name, { choose: id })}
                  >
                    {busy === name ? 'Opening …' : name}
                  </button>
                  <span className="text-slate">{sayPackages(packages)}</span>
                </li>
              ))}
            </ul>
          ) : (
            <p>
              Name it, pick the shapes of your fridge and freezer, then read out what is in there, one line a
              thing. Half an hour for a full house, and you can stop half way.
            </p>
          )}
          <Link href="/start/own" className="button" data-main={others.length === 0}>
            {others.length > 0 ? 'One more household' : 'Move in'}
          </Link>
        </Door>
      </div>
    </>
  );
}
