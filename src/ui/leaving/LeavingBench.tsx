'use client';

import { Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { sayMoney } from '@/core/units/sayAmount';
import type { LeavingThing, LeavingView } from '@/services/leaving/leaving';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';
import { RoomCard } from './RoomCard';
import { IfMay } from '../door/IfMay';

/** What should leave the house in time, what turns and what for, and how much a shop may bring. */
export function LeavingBench({ view }: { view: LeavingView }) {
  const say = useSay();
  const worth = view.give.reduce((sum, { price_minor }) => sum + (price_minor ?? 0), 0);
  return (
    <div className="space-y-5">
      <h1 className="text-[1.6rem]">Surplus and room</h1>
      <div className="grid gap-5 lg:grid-cols-2">
        <section aria-labelledby="turning" className="card space-y-2 p-4">
          <h2 id="turning" className="text-xl">
            What turns
          </h2>
          {view.turning.length === 0 ? (
            <p className="text-slate">
              Nothing turns today. What a round finds, or is due in two days, stands here.
            </p>
          ) : (
            <ul className="divide-y divide-line">
              {view.turning.map((one) => (
                <Line key={one.package} thing={one}>
                  <p className="text-[0.9375rem] text-slate">
                    {one.found ? 'Found turning. ' : ''}
                    {one.routes.length > 0 && `For: ${one.routes.join(', ').toLowerCase()}. `}
                    {one.freeze_until === ''
                      ? 'Not for the freezer.'
                      : `Freezing still makes sense until ${one.freeze_until}.`}
                  </p>
                </Line>
              ))}
            </ul>
          )}
        </section>
        <div className="space-y-5">
          <section aria-labelledby="give" className="card space-y-2 p-4">
            <div className="flex flex-wrap items-center gap-2">
              <h2 id="give" className="mr-auto text-xl">
                Give away in time
              </h2>
              {view.give.length > 0 && (
                <a className="button flex items-center gap-2" href="/api/v1/rounds/slip" target="_blank">
                  <Printer aria-hidden size={18} /> Slip
                </a>
              )}
            </div>
            {view.give.length === 0 ? (
              <p className="text-slate">
                Nothing that is closed and sound comes near its date. Open and homemade things go to no
                pantry.
              </p>
            ) : (
              <>
                <p className="text-slate">
                  Closed and sound, near its date{worth > 0 && `, worth ${sayMoney(worth, view.currency)}`}.
                  Ask the pantry what it takes.
                </p>
                <ul className="divide-y divide-line">
                  {view.give.map((one) => (
                    <Line
                      key={one.package}
                      thing={one}
                      alike={one.alike}
                      deed="package.give"
                      deedName={one.alike > 1 ? 'One given away' : 'Given away'}
                    >
                      <p className="text-[0.9375rem] text-slate">
                        {one.pantry ? 'Neighbours, or a food pantry' : `Neighbours only: ${one.why}`}
                      </p>
                    </Line>
                  ))}
                </ul>
              </>
            )}
          </section>
          <section aria-labelledby="compost" className="card space-y-2 p-4">
            <h2 id="compost" className="text-xl">
              For the compost
            </h2>
            {view.compost.length === 0 ? (
              <p className="text-slate">
                Nothing. Plants past their best stand here; cooked food, meat, fish and dairy never.
              </p>
            ) : (
              <ul className="divide-y divide-line">
                {view.compost.map((one) => (
                  <Line key={one.package} thing={one} deed="package.compost" deedName="Composted" />
                ))}
              </ul>
            )}
          </section>
        </div>
      </div>
      <IfMay type="package.move">
        <RoomCard view={view} say={say} />
      </IfMay>
    </div>
  );
}

function Line({
  thing,
  alike = 1,
  deed,
  deedName = '',
  children,
}: {
  thing: LeavingThing;
  alike?: number;
  deed?: string;
  deedName?: string;
  children?: ReactNode;
}) {
  const { act, busy, showPackage } = useDoor();
  const say = useSay();
  return (
    <li className="flex flex-wrap items-center gap-2 py-2">
      <div className="mr-auto">
        <button
          type="button"
          className="min-h-11 text-left hover:underline"
          onClick={() => showPackage(thing.code)}
        >
          <b className="font-heading">
            {thing.called} {alike > 1 ? `${alike} × ` : ''}
            {say(thing.amount_words)}
          </b>{' '}
          <span className="text-slate">
            {thing.code} · {thing.place} · {thing.due_words}
          </span>
        </button>
        {children}
      </div>
      {deed && (
        <button
          type="button"
          className="button"
          disabled={busy}
          aria-label={`${deedName}: ${thing.called} ${thing.code}`}
          onClick={() =>
            void act({ type: deed, package: thing.package, version: thing.version, amount: null })
          }
        >
          {deedName}
        </button>
      )}
    </li>
  );
}
