'use client';

import type { ThawedOver } from '@/services/meals/thawedOver';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';

/** What thawed for a meal that did not come: eaten tonight, cooked, or on its short clock. */
export function ThawedCard({ thawed }: { thawed: readonly ThawedOver[] }) {
  const { act, busy, showPackage } = useDoor();
  const say = useSay();
  if (thawed.length === 0) return null;
  return (
    <section aria-labelledby="thawed-over" className="card space-y-2 border-l-8 border-honey p-4">
      <h2 id="thawed-over" className="text-xl">
        Thawed and not eaten
      </h2>
      <ul className="divide-y divide-line">
        {thawed.map((one) => (
          <li key={one.package} className="space-y-1 py-2">
            <div className="flex flex-wrap items-center gap-2">
              <p className="mr-auto">
                <b className="font-heading">
                  {one.called} {say(one.amount_words)}
                </b>{' '}
                <span className="text-slate">{one.code}</span>, meant for {one.meal_name}: use it by{' '}
                <b className={one.last_day ? 'text-beet' : ''}>{one.due_words}</b>
              </p>
              <button
                type="button"
                className="button"
                data-main="true"
                disabled={busy}
                aria-label={`Eat ${one.called} ${one.code} tonight`}
                onClick={() =>
                  void act({
                    ...{ type: 'package.answer', package: one.package, version: one.version },
                    ...{ answer: 'eat-tonight', on: null },
                  })
                }
              >
                Eat tonight
              </button>
              <button
                type="button"
                className="button"
                aria-label={`More of ${one.called} ${one.code}`}
                onClick={() => showPackage(one.code)}
              >
                Cook, freeze …
              </button>
            </div>
            <p className="text-[0.9375rem] text-slate">
              Cooked today it begins a new clock and may be frozen
              {one.routes.length > 0 && `: ${one.routes.map(({ name }) => name.toLowerCase()).join(', ')}`}.
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
