'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition } from 'react';
import type { FoodList } from '@/services/household/foods';
import { Choice } from '../forms/Choice';
import { HOME_WORDS, sayGroup } from './foodWords';

const AT_FIRST = 60;

/** All foods; search forgives spelling. */
export function FoodBrowser({ list, q, group }: { list: FoodList; q: string; group: string }) {
  const router = useRouter();
  const [filters, setFilters] = useState({ q, group });
  const [all, setAll] = useState(false);
  const [searching, startSearch] = useTransition();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const filter = (change: Partial<typeof filters>, waitMs = 0): void => {
    const wanted = { ...filters, ...change };
    setFilters(wanted);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const told = Object.entries(wanted).filter(([, value]) => value.trim() !== '');
      startSearch(() =>
        router.replace(`/kitchen/foods?${new URLSearchParams(told).toString()}`, { scroll: false }),
      );
    }, waitMs);
  };
  const rows = all ? list.rows : list.rows.slice(0, AT_FIRST);
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        <label className="min-w-56 flex-1">
          <span className="block text-slate">Search foods</span>
          <input
            type="search"
            className="field"
            value={filters.q}
            placeholder="smoked haddock"
            onChange={(event) => filter({ q: event.target.value }, 200)}
          />
        </label>
        <Choice
          label="Family"
          value={filters.group}
          choices={[
            ['', 'All families'],
            ['own', 'Our own foods'],
            ['wished', 'With a wish of ours'],
            ...list.groups.map((name) => [name, sayGroup(name)] as const),
          ]}
          onChoose={(name) => filter({ group: name })}
        />
      </div>
      <p role="status" className="text-slate">
        {searching
          ? 'Searching …'
          : list.guessed && list.rows.length > 0
            ? `Nothing is called “${q}”; these are the nearest names.`
            : `${list.rows.length} of ${list.total} foods`}
      </p>
      {list.rows.length === 0 ? (
        <div className="card p-8">
          <h2 className="text-xl">Nothing found</h2>
          <p className="mt-2">
            No food answers to that. Find a near one, open it, and copy it under the name you use.
          </p>
          <button
            type="button"
            className="button mt-4"
            data-main="true"
            onClick={() => filter({ q: '', group: '' })}
          >
            Show all foods
          </button>
        </div>
      ) : (
        <ul className="card divide-y divide-line">
          {rows.map((food) => (
            <li key={food.id}>
              <Link
                href={`/kitchen/foods/${food.id}`}
                className="grid min-h-13 grid-cols-2 items-center gap-x-4 px-4 py-1.5 hover:bg-rime sm:grid-cols-[minmax(0,2fr)_1fr_1fr_1fr]"
              >
                <span className="col-span-2 sm:col-span-1">
                  <b className="font-heading font-semibold">{food.name}</b>
                  <span className="ml-2 text-[0.9375rem] text-slate">
                    {[food.own ? 'our own' : '', food.wished ? 'with our wish' : '']
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </span>
                <span className="text-[0.95rem]">
                  <span className="text-slate">fridge </span>
                  {food.fridge_words}
                </span>
                <span className="text-[0.95rem]">
                  <span className="text-slate">freezer </span>
                  {food.freezer_words}
                </span>
                <span className="text-[0.95rem] text-slate max-sm:col-span-2">
                  {HOME_WORDS[food.home] ?? food.home}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {rows.length < list.rows.length && (
        <button type="button" className="button" onClick={() => setAll(true)}>
          Show all {list.rows.length}
        </button>
      )}
    </div>
  );
}
