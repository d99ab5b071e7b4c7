'use client';

import { useMemo, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { Level } from '@/core/model/kept';
import { sayLevel } from '@/core/ledger/shopping/setLevel';
import type { LevelView } from '@/services/shopping/shopping';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';
import { readWanted } from './readWanted';

const KINDS = [
  ['at-least', 'Keep at least'],
  ['never-out', 'Never run out, keep'],
  ['on-offer', 'Only when on offer, up to'],
] as const satisfies readonly (readonly [Level['kind'], string])[];

/** What runs low, and the levels that are kept. */
export function LevelsPanel({
  levels,
  vocabulary,
}: {
  levels: readonly LevelView[];
  vocabulary: KnownVocabulary | null;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const [kind, setKind] = useState<Level['kind']>('at-least');
  const [text, setText] = useState('');
  const wanted = useMemo(
    () => (vocabulary && text.trim() !== '' ? readWanted(text, vocabulary) : null),
    [text, vocabulary],
  );
  const low = levels.filter(({ need, listed }) => need > listed);
  const lineOf = ({ food, name, need, listed, size }: LevelView) => ({
    type: 'shopping.write',
    line: { id: newUuid(), food, called: name, packs: need - listed, size, ticked: false },
  });
  const keep = async (): Promise<void> => {
    if (!wanted?.food) return;
    const level: Level = { kind, packs: wanted.packs, size: wanted.size };
    setText('');
    if (!(await act({ type: 'level.set', food: wanted.food, level })))
      setText((now) => (now === '' ? text : now));
  };
  return (
    <section aria-labelledby="levels" className="card p-4">
      <div className="flex flex-wrap items-center gap-2">
        <h2 id="levels" className="mr-auto text-lg">
          Runs low
        </h2>
        {low.length > 1 && (
          <button
            type="button"
            className="button"
            disabled={busy}
            onClick={() => void act(...low.map(lineOf))}
          >
            All {low.length} onto the list
          </button>
        )}
      </div>
      {low.length === 0 && (
        <p className="mt-1 text-slate">
          {levels.length === 0
            ? 'Say below what you keep, and how much: what thaws, what is promised and what is eaten is counted in.'
            : 'Every level is kept, or on the list.'}
        </p>
      )}
      <ul className="divide-y divide-line">
        {low.map((one) => (
          <li key={one.food} className="flex items-center gap-3 py-2">
            <p className="min-w-0 flex-1">
              <b className="font-heading font-semibold">
                {one.need - one.listed} × {one.name} {one.size_words}
              </b>
              <span className="block text-[0.9375rem] text-slate">
                {one.level_words}. {one.says}
              </span>
            </p>
            <button
              type="button"
              className="button"
              data-main="true"
              disabled={busy}
              aria-label={`Onto the list: ${one.name}`}
              onClick={() => void act(lineOf(one))}
            >
              Onto the list
            </button>
          </li>
        ))}
      </ul>
      <h3 className="mt-4 text-base">Levels</h3>
      <ul className="divide-y divide-line">
        {levels.map(({ food, name, level_words, says, listed }) => (
          <li key={food} className="flex items-center gap-3 py-1">
            <p className="min-w-0 flex-1">
              <b className="font-heading font-semibold">{name}</b>: {level_words}
              <span className="block text-[0.9375rem] text-slate">
                {says}
                {listed > 0 && ` ${listed} on the list.`}
              </span>
            </p>
            <button
              type="button"
              className="button border-transparent px-3"
              disabled={busy}
              aria-label={`No level any more: ${name}`}
              onClick={() => void act({ type: 'level.set', food, level: null })}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 grid items-end gap-2 sm:grid-cols-[auto_minmax(0,1fr)_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <Choice label="How" value={kind} choices={KINDS} onChoose={setKind} />
        <label className="min-w-0">
          <span className="block text-slate">How many packs of what</span>
          <input
            className="field"
            value={text}
            maxLength={120}
            autoComplete="off"
            placeholder={say('4 x 500 g mince')}
            aria-describedby="level-wanted"
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="button" disabled={!wanted?.food}>
          Keep
        </button>
      </form>
      <p id="level-wanted" className="min-h-6 text-[0.9375rem] text-slate" aria-live="polite">
        {wanted &&
          (wanted.food === null
            ? 'Which food is that? A level is kept of foods of the cold store.'
            : `${wanted.called}: ${say(sayLevel({ kind, packs: wanted.packs, size: wanted.size }))}`)}
      </p>
    </section>
  );
}
