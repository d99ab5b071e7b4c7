'use client';

import { useState } from 'react';
import type { Finding } from '@/core/model/round';
import type { RoundThing } from '@/services/rounds/rounds';
import { useDoor } from '../door/useDoor';
import { DueWords } from './DueWords';
import { useSay } from '../units/useSay';

const FOUND_WORDS: Readonly<Record<Finding, string>> = {
  fine: 'fine',
  turning: 'use next',
  bad: 'binned',
  missing: 'not there',
};

/** One thing of a zone: its name large, what to look for, and the answers under the thumb. */
export function ThingCard({ thing, onLook }: { thing: RoundThing; onLook: (finding: Finding) => void }) {
  const { act, showPackage } = useDoor();
  const say = useSay();
  const [more, setMore] = useState(false);
  const [again, setAgain] = useState(false);
  const { view, signs, finding } = thing;
  const out = view.verdict === 'discard';
  const name = `${view.food.name} ${view.code}`;
  const leave = (type: 'package.give' | 'package.compost'): void =>
    void act({ type, package: view.id, version: view.version, amount: null });
  if (finding !== null && !again)
    return (
      <article aria-label={name} className="card flex flex-wrap items-center gap-2 p-3">
        <p className="mr-auto">
          <b className="font-heading">
            {view.food.name} {say(view.amount_words)}
          </b>{' '}
          <span className="text-slate">{view.code}</span>: {FOUND_WORDS[finding]}
        </p>
        <button type="button" className="button" onClick={() => setAgain(true)}>
          Look again
        </button>
      </article>
    );
  const answer = (what: Finding): void => {
    setAgain(false);
    onLook(what);
  };
  return (
    <article
      aria-label={name}
      className={`card space-y-2 border-l-8 p-4 ${out ? 'border-beet' : thing.due || thing.missing ? 'border-honey' : 'border-line'}`}
    >
      <h2 className="text-2xl">
        {view.food.name} {say(view.amount_words)}
        <span className="ml-2 text-lg text-slate">{view.code}</span>
      </h2>
      <p>
        <DueWords view={view} /> · {thing.age_words}
        {view.opened ? ' · open' : ''}
        {thing.missing && <b className="text-beet"> · not there last time</b>}
        {signs.overYear && <b className="text-beet"> · frozen for over a year: it is dry by now</b>}
      </p>
      <p className="text-[0.9375rem] text-slate">
        {out ? 'Not for eating any more: out, however it looks.' : `Look for: ${signs.look}. `}
        {!out && say(signs.mould)}
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <button
          type="button"
          className="button min-h-14 text-lg"
          data-main={!out}
          disabled={out}
          aria-label={`${name} is fine`}
          onClick={() => answer('fine')}
        >
          Fine
        </button>
        <button
          type="button"
          className="button min-h-14 text-lg"
          disabled={out}
          aria-label={`Use ${name} next`}
          onClick={() => answer('turning')}
        >
          Use next
        </button>
        <button
          type="button"
          className="button min-h-14 text-lg"
          data-danger="true"
          aria-label={`Bin ${name}`}
          onClick={() => answer('bad')}
        >
          Bin it
        </button>
        <button
          type="button"
          className="button min-h-14 text-lg"
          aria-expanded={more}
          aria-label={`More of ${name}`}
          onClick={() => setMore(!more)}
        >
          More
        </button>
      </div>
      {more && (
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            aria-label={`${name} is not there`}
            onClick={() => answer('missing')}
          >
            {thing.missing ? 'Not there again: lost' : 'Not there'}
          </button>
          {!out && (
            <button type="button" className="button" onClick={() => leave('package.give')}>
              Give it away
            </button>
          )}
          {thing.composts && (
            <button type="button" className="button" onClick={() => leave('package.compost')}>
              Compost it
            </button>
          )}
          <button type="button" className="button" onClick={() => showPackage(view.code)}>
            Freeze, cook, correct …
          </button>
        </div>
      )}
    </article>
  );
}
