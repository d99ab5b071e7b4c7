'use client';

import { useState } from 'react';
import { NO_WISH, type Wish, WISHES, type WishKey } from '@/core/model/wish';
import { WISH_WORDS } from '@/core/foods/wish';
import type { FoodDetail } from '@/services/household/foodDetail';
import { useDoor } from '../door/useDoor';
import { NumberField } from '../forms/NumberField';

const MOST: Record<WishKey, number> = {
  fridgeDays: 1000,
  openedDays: 1000,
  thawedDays: 60,
  counterDays: 365,
  freezerMonths: 60,
  leadDays: 365,
};

function hintOf({ figures, food }: FoodDetail, key: WishKey): string {
  if (key === 'leadDays') return 'empty: as for all foods';
  const figure = figures[key];
  if (figure === null) return 'no figure in the reference';
  const safety = food.controlled && ['fridgeDays', 'openedDays', 'thawedDays'].includes(key);
  return safety ? `reference ${figure}; only shorter, for safety` : `reference ${figure}`;
}

/** The household's own wishes for a food: anything shorter, quality longer, never safety. */
export function WishForm({ detail }: { detail: FoodDetail }) {
  const { act, busy } = useDoor();
  const [wish, setWish] = useState<Wish>(detail.wish);
  const wished = WISHES.some((key) => detail.wish[key] !== null);
  const shown = WISHES.filter(
    (key) =>
      (key !== 'counterDays' || detail.figures.counterDays !== null) &&
      (key !== 'freezerMonths' || detail.food.freezeFit !== 'no'),
  );
  return (
    <section className="card p-5" aria-labelledby="wishes">
      <h2 id="wishes" className="text-lg">
        Our wishes
      </h2>
      <p className="mt-1 text-slate">
        A wish may shorten anything, and lengthen what is a matter of quality. It never loosens safety.
        Packages are dated anew at once.
      </p>
      <form
        className="mt-3 grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void act({ type: 'food.wish', food: detail.food.id, wish });
        }}
      >
        {shown.map((key) => (
          <NumberField
            key={key}
            label={WISH_WORDS[key].charAt(0).toUpperCase() + WISH_WORDS[key].slice(1)}
            hint={hintOf(detail, key)}
            value={wish[key]}
            least={key === 'leadDays' ? 1 : 0}
            most={MOST[key]}
            optional
            onChange={(value) => setWish({ ...wish, [key]: value })}
          />
        ))}
        <div className="flex flex-wrap gap-2 sm:col-span-2">
          <button type="submit" className="button" data-main="true" disabled={busy}>
            Save wishes
          </button>
          {wished && (
            <button
              type="button"
              className="button"
              disabled={busy}
              onClick={() => void act({ type: 'food.wish', food: detail.food.id, wish: NO_WISH })}
            >
              Back to the reference
            </button>
          )}
        </div>
      </form>
    </section>
  );
}
