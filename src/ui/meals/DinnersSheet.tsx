'use client';

import { useState } from 'react';
import { dinnerPortions } from '@/core/meals/dinnerPortions';
import { sayAmount } from '@/core/units/sayAmount';
import type { LeftoverView } from '@/services/meals/leftovers';
import type { MealsView } from '@/services/meals/week';
import { useDoor } from '../door/useDoor';
import { Sheet } from '../door/Sheet';
import { Choice } from '../forms/Choice';
import { useSay } from '../units/useSay';
import { WhoTicks } from './WhoTicks';

const ROLES = ['Main', 'Beside it', 'And beside it'];
const NONE = '';

/** Dinners to warm, put together from what is cooked: a main and two things beside it, a box a person. */
export function DinnersSheet({ view, onClose }: { view: MealsView; onClose: () => void }) {
  const { act, busy } = useDoor();
  const say = useSay();
  const everybody = view.rhythm.eaters.map(({ name }) => name);
  const mains = view.leftovers.filter(({ main }) => main);
  const [chosen, setChosen] = useState<readonly string[]>([mains[0]?.package ?? NONE, NONE, NONE]);
  const [who, setWho] = useState<readonly string[]>(everybody);
  const parts = chosen.flatMap((id) => view.leftovers.find((one) => one.package === id) ?? []);
  const eaters = view.rhythm.eaters.filter(({ name }) => who.includes(name));
  const boxes = dinnerPortions(parts, eaters);
  const short = parts.filter(({ amount }, at) => {
    const wanted = dinnerPortions(
      parts.map((part) => ({ ...part, amount: Infinity })),
      eaters,
    );
    return wanted.reduce((sum, one) => sum + (one[at] ?? 0), 0) > amount;
  });
  const [main] = parts;
  const label = (one: LeftoverView): string =>
    say(`${one.called} ${one.amount_words} ${one.code}, by ${one.due_words}`);
  return (
    <Sheet title="Dinners from what is cooked" onClose={onClose}>
      {mains.length === 0 ? (
        <p>
          Nothing cooked stands in a fridge that makes a dinner. What you put by of a meal stands here
          afterwards.
        </p>
      ) : (
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            if (!main) return;
            void act({
              type: 'meal.assemble',
              parts: parts.map((part) => ({ package: part.package, version: part.version })),
              dinners: eaters.map(({ name }, at) => ({ whose: name, amounts: boxes[at] ?? [] })),
              zone: main.zone,
            }).then((answers) => answers && onClose());
          }}
        >
          {ROLES.map((name, at) => (
            <Choice
              key={name}
              label={name}
              className="block"
              value={chosen[at] ?? NONE}
              choices={[
                ...(at > 0 ? [[NONE, 'nothing'] as const] : []),
                ...(at === 0 ? mains : view.leftovers)
                  .filter((one) => one.package === chosen[at] || !chosen.includes(one.package))
                  .map((one) => [one.package, label(one)] as const),
              ]}
              onChoose={(id) => setChosen(chosen.map((one, place) => (place === at ? id : one)))}
            />
          ))}
          <WhoTicks legend="For whom, a box each" everybody={everybody} chosen={who} onChoose={setWho} />
          <ul className="divide-y divide-line" aria-label="The boxes">
            {eaters.map(({ name }, at) => (
              <li key={name} className="py-2">
                <b className="font-heading">{name}</b>:{' '}
                {parts
                  .map((part, place) => `${part.called} ${say(sayAmount(boxes[at]?.[place] ?? 0, 'g'))}`)
                  .join(', ')}
              </li>
            ))}
          </ul>
          {short.length > 0 && (
            <p className="border-l-4 border-honey pl-3">
              {short.map(({ called }) => called).join(', ')} does not go round for whole portions: shared
              evenly.
            </p>
          )}
          <p className="text-[0.9375rem] text-slate">
            {say('Each box is as old as the oldest thing in it (K11). Reheat once, to 74 °C in the middle.')}
          </p>
          <button
            type="submit"
            className="button"
            data-main="true"
            disabled={busy || eaters.length === 0 || boxes.some((one) => one.every((grams) => grams === 0))}
          >
            {`Put together ${eaters.length} ${eaters.length === 1 ? 'dinner' : 'dinners'}`}
          </button>
        </form>
      )}
    </Sheet>
  );
}
