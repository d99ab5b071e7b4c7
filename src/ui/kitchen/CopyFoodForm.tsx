'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FoodDetail } from '@/services/household/foodDetail';
import { useDoor } from '../door/useDoor';

/** A food of the household's own, made from a near one. What it is made of comes along; wishes can be added after. */
export function CopyFoodForm({ detail: { food } }: { detail: FoodDetail }) {
  const { act, busy } = useDoor();
  const router = useRouter();
  const [name, setName] = useState('');
  const [aliases, setAliases] = useState('');
  const [note, setNote] = useState('');
  const add = async (): Promise<void> => {
    const done = await act({
      type: 'food.add',
      copy: food.id,
      name: name.trim(),
      aliases: aliases
        .split(',')
        .map((alias) => alias.trim())
        .filter((alias) => alias !== ''),
      note: note.trim(),
    });
    if (done) router.push(`/kitchen/foods?q=${encodeURIComponent(name.trim())}`);
  };
  return (
    <section className="card p-5" aria-labelledby="copy">
      <h2 id="copy" className="text-lg">
        A food like this one
      </h2>
      <p className="mt-1 text-slate">
        Copies its figures under a name of your own, for the quick line and labels.
      </p>
      <form
        className="mt-3 space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <label className="block">
          <span className="block text-slate">Name</span>
          <input
            className="field"
            value={name}
            required
            minLength={2}
            maxLength={60}
            placeholder={`${food.name.split(',')[0]} from the glen`}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label className="block">
          <span className="block text-slate">Other words for it, with commas between</span>
          <input className="field" value={aliases} onChange={(event) => setAliases(event.target.value)} />
        </label>
        <label className="block">
          <span className="block text-slate">Note</span>
          <input
            className="field"
            value={note}
            maxLength={200}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="button" data-main="true" disabled={busy || name.trim().length < 2}>
            Add this food
          </button>
          {food.own && !food.retired && (
            <button
              type="button"
              className="button"
              data-danger="true"
              disabled={busy}
              onClick={() => void act({ type: 'food.retire', food: food.id })}
            >
              Take {food.name} off the list
            </button>
          )}
        </div>
      </form>
    </section>
  );
}
