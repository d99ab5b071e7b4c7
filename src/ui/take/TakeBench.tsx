'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { TakeView, TileView } from '@/services/take/take';
import { postJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { sayPackage } from '../package/sayPackage';
import { LunchBox } from './LunchBox';
import { IfMay } from '../door/IfMay';

/** For whoever opens the door, on a tablet or a phone: who it is, large things to take, what is not theirs, lunches. */
export function TakeBench({ view }: { view: TakeView }) {
  const router = useRouter();
  const { act, busy, tell, showPackage } = useDoor();
  const [packing, setPacking] = useState(false);
  const choose = async (name: string): Promise<void> => {
    try {
      await postJson('/api/v1/households/person', { name });
      router.refresh();
    } catch (error) {
      tell(error instanceof Error ? error.message : 'That did not work.', 'error');
    }
  };
  const tile = ({ key, first, packs }: TileView) => (
    <li key={key}>
      <button
        type="button"
        className="flex min-h-28 w-full flex-col items-start justify-between gap-2 rounded-card border-2 border-line bg-snow p-3 text-left hover:border-ink disabled:opacity-60"
        disabled={busy}
        aria-label={`Take ${sayPackage(first)}${packs > 1 ? `, one of ${packs}` : ''}`}
        onClick={() => void act({ type: 'package.take', package: first.id, version: first.version })}
      >
        <b className="font-heading text-xl leading-tight font-semibold">{first.food.name}</b>
        {first.not_for !== '' && <b className="text-[0.9375rem] text-beet">{first.not_for}</b>}
        <span className="flex w-full flex-wrap items-baseline gap-x-2 text-slate">
          <span>
            {packs > 1 && <b className="text-ink">{packs} × </b>}
            {first.amount_words}
          </span>
          <span className={`ml-auto ${first.band === 'settled' ? '' : 'font-semibold text-ink'}`}>
            {first.due_words}
          </span>
        </span>
      </button>
    </li>
  );
  const grid = 'grid grid-cols-2 gap-3 md:grid-cols-3 xl:grid-cols-4';
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[1.6rem]">Help yourself</h1>
        <button
          type="button"
          className="button"
          aria-pressed={packing}
          data-main={packing}
          onClick={() => setPacking(!packing)}
        >
          Pack lunches
        </button>
      </div>
      {view.people.length > 0 && (
        <div role="group" aria-label="Who is it?" className="mb-3 flex flex-wrap items-center gap-2">
          <span className="text-slate">Who is it?</span>
          {view.people.map((name) => (
            <button
              key={name}
              type="button"
              className="button text-lg"
              aria-pressed={name === view.person}
              data-main={name === view.person}
              onClick={() => void choose(name === view.person ? '' : name)}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      {packing && (
        <IfMay type="package.take">
          <LunchBox view={view} onPacked={() => setPacking(false)} />
        </IfMay>
      )}
      {view.mine.length > 0 && (
        <section aria-labelledby="mine" className="mb-4">
          <h2 id="mine" className="mb-2 text-lg">
            {view.person}’s own
          </h2>
          <ul className={grid}>{view.mine.map(tile)}</ul>
        </section>
      )}
      <section aria-labelledby="ready">
        <h2 id="ready" className="mb-2 text-lg">
          For anybody: one tap, and it is taken
        </h2>
        {view.ready.length === 0 ? (
          <p className="card p-6">Nothing stands ready. Cook something, or look through all of it.</p>
        ) : (
          <ul className={grid}>{view.ready.map(tile)}</ul>
        )}
      </section>
      {view.handsOff.length > 0 && (
        <section aria-labelledby="hands-off" className="mt-5">
          <h2 id="hands-off" className="mb-2 text-lg">
            Hands off
          </h2>
          <ul className="flex flex-wrap gap-2">
            {view.handsOff.map(({ code, words }) => (
              <li key={code}>
                <button type="button" className="button border-beet" onClick={() => showPackage(code)}>
                  {words}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
