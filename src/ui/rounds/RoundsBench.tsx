'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { RoundsView, RoundZone } from '@/services/rounds/rounds';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { useSay } from '../units/useSay';
import { RhythmForm } from './RhythmForm';
import { RoundWalk } from './RoundWalk';
import { useWalked } from './useWalked';
import { IfMay } from '../door/IfMay';

/** "5 things, 3 of them now", "2 things, next Thu". */
function sayDue({ packages, due, due_words }: RoundZone): string {
  const things = packages === 1 ? '1 thing' : `${packages} things`;
  if (due === 0) return `${things}, ${due_words}`;
  return due === packages ? `${things} now` : `${things}, ${due} now`;
}

/** What needs eyes today: zones by when they were last looked through, the round that is open, and the week's use-up list. */
export function RoundsBench({ view: given }: { view: RoundsView }) {
  const view = useWalked(given);
  const { act, busy, showPackage } = useDoor();
  const say = useSay();
  const [walking, setWalking] = useState(false);
  const due = view.zones.filter((zone) => zone.due > 0);
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const picked = chosen ?? new Set((due.length > 0 ? due : view.zones).map(({ id }) => id));
  const zones = view.zones.filter(({ id }) => picked.has(id));
  const things = zones.reduce((sum, zone) => sum + zone.packages, 0);
  const appliances = [...new Set(view.zones.map(({ appliance }) => appliance))];
  if (view.round && walking)
    return <RoundWalk view={view} round={view.round} onStop={() => setWalking(false)} />;
  const begin = (): void =>
    void act({ type: 'round.begin', round: newUuid(), zones: zones.map(({ id }) => id) }).then(
      (answers) => answers && setWalking(true),
    );
  const turn = (id: string): void => {
    const next = new Set(picked);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <div className="space-y-5">
      <h1 className="text-[1.6rem]">Rounds</h1>
      <div className="grid gap-5 lg:grid-cols-2">
        <section aria-labelledby="round" className="card space-y-3 p-4">
          <h2 id="round" className="text-xl">
            {view.round ? 'A round is being walked' : 'Walk along the zones'}
          </h2>
          {view.round ? (
            <>
              <p>
                {view.zones.filter(({ step }) => step === 'walked').length} of{' '}
                {view.zones.filter(({ step }) => step !== null).length} zones looked through. What was told is
                kept, also when two walk it.
              </p>
              <div className="flex flex-wrap gap-2">
                <button
                  type="button"
                  className="button min-h-14 text-lg"
                  data-main="true"
                  onClick={() => setWalking(true)}
                >
                  Go on
                </button>
                <button
                  type="button"
                  className="button min-h-14"
                  disabled={busy}
                  onClick={() => void act({ type: 'round.end', round: view.round?.id })}
                >
                  Leave the rest
                </button>
              </div>
            </>
          ) : view.zones.length === 0 ? (
            <p className="text-slate">
              Nothing lies in a zone yet. What you put away stands here by zone, with when it wants a look.
            </p>
          ) : (
            <>
              <p className="text-slate">
                Eyes and nose correct the dates: look, touch, smell, never taste. What you find only brings a
                date forward.
              </p>
              {appliances.map((appliance) => (
                <fieldset key={appliance}>
                  <legend className="text-slate">{appliance}</legend>
                  <div className="grid gap-x-5 sm:grid-cols-2">
                    {view.zones
                      .filter((zone) => zone.appliance === appliance)
                      .map((zone) => (
                        <Tick key={zone.id} checked={picked.has(zone.id)} onChange={() => turn(zone.id)}>
                          {zone.name} <span className="text-slate">{sayDue(zone)}</span>
                        </Tick>
                      ))}
                  </div>
                </fieldset>
              ))}
              <button
                type="button"
                className="button min-h-14 w-full text-lg"
                data-main="true"
                disabled={busy || zones.length === 0}
                onClick={begin}
              >
                Begin: {zones.length} {zones.length === 1 ? 'zone' : 'zones'}, {things}{' '}
                {things === 1 ? 'thing' : 'things'}
              </button>
            </>
          )}
          {view.past.length > 0 && (
            <ul className="text-[0.9375rem] text-slate" aria-label="Earlier rounds">
              {view.past.map(({ id, words }) => (
                <li key={id}>{words}</li>
              ))}
            </ul>
          )}
          <IfMay type="round.rhythm">
            <RhythmForm rhythm={view.rhythm} />
          </IfMay>
        </section>
        <div className="space-y-5">
          {view.missing.length > 0 && (
            <section aria-labelledby="missing" className="card space-y-2 border-l-8 border-honey p-4">
              <h2 id="missing" className="text-xl">
                Not there last time
              </h2>
              <ul>
                {view.missing.map((one) => (
                  <li key={one.code}>
                    <button
                      type="button"
                      className="min-h-11 text-left hover:underline"
                      onClick={() => showPackage(one.code)}
                    >
                      <b className="font-heading">{say(one.words)}</b>{' '}
                      <span className="text-slate">
                        {one.code} · should lie in {one.place} · missed {one.since}
                      </span>
                    </button>
                  </li>
                ))}
              </ul>
              <p className="text-[0.9375rem] text-slate">The next round asks again. Not there then: lost.</p>
            </section>
          )}
          <section aria-labelledby="use-up" className="card space-y-2 p-4">
            <h2 id="use-up" className="text-xl">
              To be used up this week
            </h2>
            {view.use_up.length === 0 ? (
              <p className="text-slate">
                Nothing passes its date within seven days, and nothing was found turning.
              </p>
            ) : (
              <ol className="divide-y divide-line">
                {view.use_up.map((one) => (
                  <li key={one.code}>
                    <button
                      type="button"
                      className="flex min-h-11 w-full flex-wrap items-baseline gap-x-2 py-1 text-left hover:underline"
                      onClick={() => showPackage(one.code)}
                    >
                      <b className="font-heading">{say(one.words)}</b>
                      <span className="text-slate">
                        {one.code} · {one.place}
                      </span>
                      <span className="ml-auto">
                        {one.found && <span className="text-beet">found turning · </span>}
                        {one.due_words}
                      </span>
                    </button>
                  </li>
                ))}
              </ol>
            )}
          </section>
        </div>
      </div>
    </div>
  );
}
