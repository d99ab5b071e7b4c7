'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { ResetThing, ResetView } from '@/services/rounds/reset';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { DueWords } from './DueWords';
import { useSay } from '../units/useSay';

/** Things that stand out longer than this by far begin to spoil while one wipes. */
const MANY = 25;

/** Everything out of a zone, wiped, and back where it belongs; each thing with its clock on the counter. */
export function ResetBench({ view }: { view: ResetView }) {
  return view.reset ? <Resetting view={view} reset={view.reset} /> : <BeginReset view={view} />;
}

function BeginReset({ view }: { view: ResetView }) {
  const { act, busy } = useDoor();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const zones = view.zones.filter(({ id }) => chosen.has(id));
  const things = zones.reduce((sum, { packages }) => sum + packages, 0);
  const appliances = [...new Set(view.zones.map(({ appliance }) => appliance))];
  const turn = (...ids: string[]): void => {
    const next = new Set(chosen);
    const all = ids.every((id) => next.has(id));
    for (const id of ids)
      if (all) next.delete(id);
      else next.add(id);
    setChosen(next);
  };
  return (
    <section aria-labelledby="reset" className="card max-w-3xl space-y-4 p-5">
      <h1 id="reset" className="text-[1.6rem]">
        Reset
      </h1>
      <p>
        Everything out of a zone, wipe it, and back where it belongs: each thing confirmed, corrected, binned
        or labelled anew. What is out stands on the counter with its clock, also if you are called away.
      </p>
      {view.zones.length === 0 && <p className="text-slate">Nothing lies in a zone yet.</p>}
      {appliances.map((appliance) => {
        const its = view.zones.filter((zone) => zone.appliance === appliance);
        return (
          <fieldset key={appliance}>
            <legend className="text-slate">{appliance}</legend>
            <div className="grid gap-x-5 sm:grid-cols-2">
              {its.map((zone) => (
                <Tick key={zone.id} checked={chosen.has(zone.id)} onChange={() => turn(zone.id)}>
                  {zone.name} <span className="text-slate">{zone.packages}</span>
                </Tick>
              ))}
              {its.length > 1 && (
                <button
                  type="button"
                  className="button justify-self-start"
                  onClick={() => turn(...its.map(({ id }) => id))}
                >
                  All of {appliance}
                </button>
              )}
            </div>
          </fieldset>
        );
      })}
      {things > MANY && (
        <p className="border-l-4 border-honey pl-3">
          {things} things at once stand out long. One zone after another keeps them cold.
        </p>
      )}
      <button
        type="button"
        className="button min-h-14 w-full text-lg"
        data-main="true"
        disabled={busy || zones.length === 0}
        onClick={() => void act({ type: 'reset.begin', reset: newUuid(), zones: zones.map(({ id }) => id) })}
      >
        {zones.length === 0
          ? 'Choose a zone'
          : `Everything out: ${things} ${things === 1 ? 'thing' : 'things'}`}
      </button>
      {view.past.length > 0 && (
        <ul className="text-[0.9375rem] text-slate" aria-label="Earlier resets">
          {view.past.map(({ id, on, words }) => (
            <li key={id}>
              {on}: {words}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Resetting({ view, reset }: { view: ResetView; reset: NonNullable<ResetView['reset']> }) {
  const { act, busy } = useDoor();
  const say = useSay();
  const out = view.things.filter(({ where }) => where === 'out');
  const { outcome } = view;
  const backAll = (): void =>
    void act(
      ...out.flatMap(({ view: one, from }) =>
        from ? [{ type: 'package.move', package: one.id, version: one.version, zone: from.id }] : [],
      ),
    );
  return (
    <section aria-labelledby="resetting" className="space-y-4">
      <div className="flex flex-wrap items-center gap-2">
        <h1 id="resetting" className="mr-auto text-[1.6rem]">
          Reset: {reset.called}
        </h1>
        {!reset.wiped && (
          <button
            type="button"
            className="button min-h-14"
            data-main={out.length > 0}
            disabled={busy}
            onClick={() => void act({ type: 'reset.step', reset: reset.id, step: 'wiped' })}
          >
            It is wiped
          </button>
        )}
        {out.length > 1 && (
          <button type="button" className="button min-h-14" disabled={busy} onClick={backAll}>
            All {out.length} back where they were
          </button>
        )}
        <button
          type="button"
          className="button min-h-14"
          data-main={out.length === 0}
          disabled={busy}
          onClick={() => void act({ type: 'reset.step', reset: reset.id, step: 'ended' })}
        >
          The reset is over
        </button>
      </div>
      {outcome && (
        <p role="status">
          {outcome.back} of {outcome.things} back, {out.length} still out, {outcome.gone} gone.{' '}
          {outcome.corrected > 0 && `${outcome.corrected} not as the books had it. `}
          {outcome.moved > 0 && `${outcome.moved} in a better place. `}
          {outcome.found > 0 && `${outcome.found} found that was not in these zones by the books. `}
          {outcome.litres > 0 && say(`${outcome.litres} l gained.`)}
          <span className="text-slate"> {reset.minutes} min so far.</span>
        </p>
      )}
      <ul className="grid gap-3 lg:grid-cols-2">
        {out.map((thing) => (
          <li key={thing.view.id}>
            <OutCard thing={thing} />
          </li>
        ))}
      </ul>
      {out.length === 0 && <p className="text-slate">Everything is back, or gone.</p>}
      <p className="text-[0.9375rem] text-slate">
        Something new came to light? Type it into the line below: it is stored like anything else.
      </p>
    </section>
  );
}

function OutCard({ thing: { view, from, better } }: { thing: ResetThing }) {
  const { act, busy, showPackage, showLabels } = useDoor();
  const say = useSay();
  const name = `${view.food.name} ${view.code}`;
  const back = (zone: string): void =>
    void act({ type: 'package.move', package: view.id, version: view.version, zone });
  const pressing = view.minutes_left !== null && view.minutes_left < 30;
  return (
    <article
      aria-label={name}
      className={`card space-y-2 border-l-8 p-4 ${pressing ? 'border-ember' : 'border-line'}`}
    >
      <div className="flex flex-wrap items-baseline gap-2">
        <h2 className="mr-auto text-xl">
          {view.food.name} {say(view.amount_words)} <span className="text-slate">{view.code}</span>
        </h2>
        <p className={pressing ? 'font-semibold text-beet' : 'text-slate'}>
          {view.minutes_left === null ? 'may stand out' : `${view.minutes_left} min left`}
        </p>
      </div>
      <p>
        <DueWords view={view} />
        {view.opened ? ' · open' : ''}
      </p>
      <div className="flex flex-wrap gap-2">
        {from && (
          <button
            type="button"
            className="button min-h-14"
            data-main={better === null}
            disabled={busy}
            aria-label={`${name} back to ${from.name}`}
            onClick={() => back(from.id)}
          >
            Right, back to {from.name}
          </button>
        )}
        {better && (
          <button
            type="button"
            className="button min-h-14"
            data-main="true"
            disabled={busy}
            aria-label={`${name} better to ${better.name}`}
            onClick={() => back(better.id)}
          >
            Better: {better.name}
          </button>
        )}
        <button type="button" className="button min-h-14" onClick={() => showPackage(view.code)}>
          Correct, relabel …
        </button>
        <button type="button" className="button min-h-14" onClick={() => showLabels([view.code])}>
          Label
        </button>
        <button
          type="button"
          className="button min-h-14"
          data-danger="true"
          disabled={busy}
          aria-label={`Bin ${name}`}
          onClick={() =>
            void act({
              ...{ type: 'package.discard', package: view.id, version: view.version },
              ...{ amount: null, reason: view.band === 'past' ? 'past-date' : 'spoiled' },
            })
          }
        >
          Bin it
        </button>
      </div>
    </article>
  );
}
