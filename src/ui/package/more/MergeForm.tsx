'use client';

import { useState } from 'react';
import type { FoodDetail } from '@/services/household/foodDetail';
import type { PackageDetail } from '@/services/stock/package';
import { useRead } from '../../door/useRead';
import { AmountField } from '../../forms/AmountField';
import type { Run } from './run';

/** What is like it and goes into it: all of it, or as much as fills it up from a backup. */
export function MergeForm({ detail, run }: { detail: PackageDetail; run: Run }) {
  const { body, fault } = useRead<FoodDetail>(`/api/v1/foods/${encodeURIComponent(detail.food.id)}`);
  const [chosen, setChosen] = useState<string | null>(null);
  const [amount, setAmount] = useState<number | null>(null);
  if (fault !== '') return <p className="text-beet">{fault}</p>;
  if (!body) return <p className="text-slate">Looking what is like it …</p>;
  const like = body.packages.filter(
    ({ id, unit, state }) => id !== detail.id && unit === detail.unit && state === detail.state,
  );
  const from = like.find(({ id }) => id === chosen);
  if (like.length === 0) return <p>Nothing of its kind is kept alike: there is nothing to put together.</p>;
  return (
    <fieldset className="space-y-2">
      <legend>What goes into {detail.code}?</legend>
      <ul className="flex flex-wrap gap-2">
        {like.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              className="button"
              aria-pressed={one.id === chosen}
              data-main={one.id === chosen}
              onClick={() => setChosen(one.id === chosen ? null : one.id)}
            >
              {one.code}, {one.amount_words}, {one.due_words}
            </button>
          </li>
        ))}
      </ul>
      {from && (
        <div className="flex flex-wrap items-end gap-2">
          <AmountField
            key={from.id}
            label="How much of it? Empty: all"
            value={null}
            unit={from.unit}
            most={from.amount}
            optional
            onChange={setAmount}
          />
          <button
            type="button"
            className="button"
            data-main="true"
            onClick={() =>
              run('package.merge', { with: [{ package: from.id, version: from.version, amount }] })
            }
          >
            Put together
          </button>
        </div>
      )}
      <p className="text-[0.9375rem] text-slate">The older date of both holds for all of it.</p>
    </fieldset>
  );
}
