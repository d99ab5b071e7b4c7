'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { KitchenPlan } from '@/services/kitchen/kitchenPlan';
import { ApplianceCard } from './ApplianceCard';
import { KitchenScale } from './KitchenScale';

/** The place Kitchen: the appliances drawn to one scale, and one of them looked at closely. */
export function KitchenBench({ plan }: { plan: KitchenPlan }) {
  const [wanted, setWanted] = useState('');
  const chosen = plan.appliances.find(({ drawing }) => drawing.id === wanted) ?? plan.appliances[0];
  if (!chosen) {
    return (
      <section className="card max-w-2xl p-6">
        <h2 className="text-xl">Nothing is drawn yet</h2>
        <p className="mt-2 mb-4">
          Choose the shape of your fridge or freezer. Its shelves and drawers are filled in with usual
          measures; you drag what differs. Five minutes, and every package has a place.
        </p>
        <Link href="/kitchen/draw" className="button" data-main="true">
          Draw the first one
        </Link>
      </section>
    );
  }
  return (
    <>
      <KitchenScale appliances={plan.appliances} chosen={chosen.drawing.id} onChoose={setWanted} />
      {plan.no_freezer && (
        <p className="mt-2 rounded-part bg-tape px-3 py-2 text-tape-ink">
          There is no freezer in this kitchen: what the fridge does not keep must be eaten or cooked. Draw one
          when there is.
        </p>
      )}
      <ApplianceCard
        key={chosen.drawing.id}
        plan={chosen}
        others={plan.appliances.filter((one) => one !== chosen)}
      />
    </>
  );
}
