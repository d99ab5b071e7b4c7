'use client';

import type { FoodDetail } from '@/services/household/foodDetail';
import { useDoor } from '../door/useDoor';
import { DateButton } from '../package/DateButton';
import { sayPackage } from '../package/sayPackage';
import { Tape } from '../tape/Tape';

/** What is in the store of a food, first out. */
export function FoodPackages({ detail: { packages, food } }: { detail: FoodDetail }) {
  const { showPackage } = useDoor();
  return (
    <section className="card p-5" aria-labelledby="in-store">
      <h2 id="in-store" className="text-lg">
        In the store
      </h2>
      {packages.length === 0 && <p className="mt-1 text-slate">There is no {food.name.toLowerCase()} now.</p>}
      <ul className="divide-y divide-line">
        {packages.map((view) => (
          <li key={view.id} className="flex items-center gap-3 py-1">
            <button
              type="button"
              className="min-h-11 min-w-0 flex-1 cursor-pointer text-left"
              aria-label={sayPackage(view)}
              onClick={() => showPackage(view.code)}
            >
              <Tape food={view.food.name} detail={view.amount_words} band={view.band} state={view.state} />
              <span className="block text-[0.9375rem] text-slate">{view.story}</span>
            </button>
            <DateButton view={view} />
          </li>
        ))}
      </ul>
    </section>
  );
}
