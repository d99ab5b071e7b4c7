'use client';

import { useState } from 'react';
import { packLunch } from '@/core/stock/packLunch';
import { sayAmount } from '@/core/units/sayAmount';
import type { TakeView } from '@/services/take/take';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';

/** Lunches by person: one pick from each slot, the oldest first; another one at a press; all taken as one. */
export function LunchBox({ view, onPacked }: { view: TakeView; onPacked: () => void }) {
  const { act, busy } = useDoor();
  const say = useSay();
  const all = view.people.length > 0 ? view.people : ['Lunch'];
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const [passed, setPassed] = useState<Readonly<Record<string, number>>>({});
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const people = all.filter((name) => !without.has(name));
  const picks = packLunch(
    new Map(view.lunch.map(({ id, options }) => [id, options] as const)),
    people,
    passed,
  );
  const taken = picks.filter(({ person, slot, option }) => option && !left.has(`${person} ${slot}`));
  const turn = (set: ReadonlySet<string>, key: string): Set<string> => {
    const copy = new Set(set);
    if (!copy.delete(key)) copy.add(key);
    return copy;
  };
  const pack = (): void => {
    // Of one package several may have a portion: it leaves once, by the sum of them.
    const sums = new Map<string, { version: number; amount: number; whole: number }>();
    for (const { option } of taken) {
      if (!option) continue;
      const { id, version, amount: whole } = option.row;
      sums.set(id, { version, whole, amount: (sums.get(id)?.amount ?? 0) + option.portion });
    }
    void act(
      ...[...sums].map(([id, { version, amount, whole }]) => ({
        type: 'package.take',
        package: id,
        version,
        amount: amount >= whole ? null : amount,
        promised: true,
      })),
    ).then((answers) => answers && onPacked());
  };
  return (
    <section aria-labelledby="lunches" className="card mb-4 p-4">
      <h2 id="lunches" className="text-lg">
        Lunches: one of each, what goes first first
      </h2>
      <div className="mt-2 grid gap-4 md:grid-cols-2 xl:grid-cols-4">
        {all.map((person) => (
          <div key={person}>
            <h3>
              <button
                type="button"
                className="button w-full text-lg"
                aria-pressed={!without.has(person)}
                data-main={!without.has(person)}
                onClick={() => setWithout(turn(without, person))}
              >
                {person}
              </button>
            </h3>
            {people.includes(person) && (
              <ul className="mt-1 divide-y divide-line">
                {view.lunch.map(({ id, name }) => {
                  const key = `${person} ${id}`;
                  const option =
                    picks.find((pick) => pick.person === person && pick.slot === id)?.option ?? null;
                  const out = left.has(key);
                  return (
                    <li key={id} className="flex items-center gap-2 py-1">
                      <button
                        type="button"
                        className="min-h-11 min-w-0 flex-1 text-left"
                        aria-pressed={!out}
                        aria-label={`${name} for ${person}: ${option ? option.row.called : 'nothing'}${out ? ', left out' : ''}`}
                        onClick={() => setLeft(turn(left, key))}
                      >
                        <span className="block text-[0.9375rem] text-slate">{name}</span>
                        <span className={out ? 'text-slate line-through' : 'font-semibold'}>
                          {option
                            ? `${option.row.called} ${say(sayAmount(option.portion, option.row.unit))}`
                            : 'nothing ready'}
                        </span>
                      </button>
                      {option && (
                        <button
                          type="button"
                          className="button"
                          aria-label={`Another ${name.toLowerCase()} for ${person}`}
                          onClick={() => setPassed({ ...passed, [key]: (passed[key] ?? 0) + 1 })}
                        >
                          Other
                        </button>
                      )}
                    </li>
                  );
                })}
              </ul>
            )}
          </div>
        ))}
      </div>
      <button
        type="button"
        className="button mt-3"
        data-main="true"
        disabled={busy || taken.length === 0}
        onClick={pack}
      >
        Packed: {taken.length} things
      </button>
    </section>
  );
}
