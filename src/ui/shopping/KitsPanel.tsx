'use client';

import { useMemo, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { KitView } from '@/services/shopping/shopping';
import { sayAmount } from '@/core/units/sayAmount';
import { useDoor } from '../door/useDoor';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';
import { readWanted } from './readWanted';

/** Kits that are filled every week: what each holds, what can be filled from here, and what is missing onto the list. */
export function KitsPanel({
  kits,
  vocabulary,
}: {
  kits: readonly KitView[];
  vocabulary: KnownVocabulary | null;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const [name, setName] = useState('');
  const [sets, setSets] = useState('4');
  const [text, setText] = useState('');
  const parts = useMemo(
    () =>
      vocabulary
        ? text
            .split(/[,;\n]/)
            .filter((line) => line.trim() !== '')
            .map((line) => ({ typed: line.trim(), ...readWanted(line, vocabulary) }))
        : [],
    [text, vocabulary],
  );
  const strange = parts.filter(({ food, size }) => food === null || size === null);
  const count = Number(sets);
  const sound = name.trim() !== '' && parts.length > 0 && strange.length === 0 && count >= 1 && count <= 60;
  const keep = async (): Promise<void> => {
    const kit = {
      id: newUuid(),
      name: name.trim(),
      sets: count,
      parts: parts.map(({ food, called, packs, size }) => ({
        food,
        called,
        amount: (size?.amount ?? 1) * packs,
        unit: size?.unit ?? 'pc',
      })),
    };
    if (!(await act({ type: 'kit.set', kit }))) return;
    setName('');
    setText('');
  };
  return (
    <section aria-labelledby="kits" className="card p-4">
      <h2 id="kits" className="text-lg">
        Kits, filled every week
      </h2>
      <ul className="divide-y divide-line">
        {kits.map(({ kit, says, missing }) => (
          <li key={kit.id} className="flex flex-wrap items-center gap-2 py-2">
            <p className="min-w-0 flex-1">
              <b className="font-heading font-semibold">{kit.name}</b>{' '}
              {kit.parts.map((part) => `${part.called} ${say(sayAmount(part.amount, part.unit))}`).join(', ')}
              <span className="block text-[0.9375rem] text-slate">{says}</span>
            </p>
            {missing.length > 0 && (
              <button
                type="button"
                className="button"
                disabled={busy}
                aria-label={`What ${kit.name} lacks onto the list`}
                onClick={() =>
                  void act(
                    ...missing.map(({ food, called, amount, unit }) => ({
                      type: 'shopping.write',
                      line: { id: newUuid(), food, called, packs: 1, size: { amount, unit }, ticked: false },
                    })),
                  )
                }
              >
                Refill
              </button>
            )}
            <button
              type="button"
              className="button border-transparent px-3"
              disabled={busy}
              aria-label={`No kit any more: ${kit.name}`}
              onClick={() => void act({ type: 'kit.set', kit, keep: false })}
            >
              ✕
            </button>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 grid items-end gap-2 sm:grid-cols-[minmax(0,1fr)_5rem]"
        onSubmit={(event) => {
          event.preventDefault();
          if (sound) void keep();
        }}
      >
        <label>
          <span className="block text-slate">A kit</span>
          <input
            className="field"
            value={name}
            maxLength={60}
            placeholder="Smoothie bags"
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label>
          <span className="block text-slate">Sets</span>
          <input
            className="field"
            inputMode="numeric"
            value={sets}
            onChange={(event) => setSets(event.target.value.replace(/\D/g, '').slice(0, 2))}
          />
        </label>
        <label className="sm:col-span-2">
          <span className="block text-slate">What goes into one, with commas</span>
          <input
            className="field"
            value={text}
            maxLength={300}
            placeholder={say('raspberries 100 g, kale 50 g')}
            aria-describedby="kit-wanted"
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <p id="kit-wanted" className="min-h-6 text-[0.9375rem] text-slate sm:col-span-2" aria-live="polite">
          {strange.length > 0 && (
            <span className="text-beet">
              Say food and amount: {strange.map(({ typed }) => `“${typed}”`).join(', ')}.
            </span>
          )}
        </p>
        <button type="submit" className="button justify-self-start" disabled={!sound}>
          Set it up
        </button>
      </form>
    </section>
  );
}
