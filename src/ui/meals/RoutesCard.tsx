'use client';

import type { WeekSuggestion } from '@/services/meals/suggest';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';

const MOST_ROUTES = 4;

/** What would not last the week and has no place in it, with ways for it: no recipes. */
export function RoutesCard({ week }: { week: WeekSuggestion }) {
  const { showPackage } = useDoor();
  const say = useSay();
  if (week.left.length === 0) return null;
  return (
    <section aria-labelledby="routes" className="card space-y-3 p-4">
      <h2 id="routes" className="text-xl">
        Still over this week
      </h2>
      <ul className="flex flex-wrap gap-1">
        {week.left.map((one) => (
          <li key={one.code}>
            <button type="button" className="button" onClick={() => showPackage(one.code)}>
              {one.called} {say(one.amount_words)}
            </button>
          </li>
        ))}
      </ul>
      <ul className="space-y-2">
        {week.routes.slice(0, MOST_ROUTES).map((route) => (
          <li key={route.name}>
            <b className="font-heading">{route.name}</b>: {route.from}. Keeps {route.keeps}.
          </li>
        ))}
      </ul>
    </section>
  );
}
