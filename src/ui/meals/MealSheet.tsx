'use client';

import { useMemo, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { Food } from '@/core/model/food';
import { readVerb } from '@/core/quickline/readVerb';
import type { AllocationView } from '@/services/calculators/allocation';
import type { MealsView, MealView } from '@/services/meals/week';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { useAsk } from '../door/useRead';
import { here } from './mealCommands';
import { WhoTicks } from './WhoTicks';
import { useVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';

interface Chosen {
  package: string;
  code: string;
  called: string;
  amount: number;
  words: string;
  /** Whom it is not for. */
  notFor: string;
}

/** One meal: what it is called, who eats, what it takes of the cold store first out, what is to be bought. */
export function MealSheet({
  view,
  meal,
  place,
  onEat,
  onClose,
}: {
  view: MealsView;
  meal: MealView | null;
  place: { on: string; slot: string };
  onEat: (meal: MealView) => void;
  onClose: () => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const slot = view.rhythm.slots.find(({ id }) => id === place.slot);
  const day = view.days.find(({ on }) => on === place.on);
  const eaten = meal?.state === 'eaten';
  const [name, setName] = useState(meal?.name ?? '');
  const everybody = view.rhythm.eaters.map((one) => one.name);
  const [eaters, setEaters] = useState<readonly string[]>(
    meal && meal.eaters.length > 0 ? meal.eaters : everybody,
  );
  const [takes, setTakes] = useState<Chosen[]>(
    (meal ? here(meal) : []).map(
      ({ package: id, code, called, amount, amount_words: words, view: lies }) => ({
        package: id,
        code,
        called,
        amount,
        words,
        notFor: lies?.not_for ?? '',
      }),
    ),
  );
  const [buys, setBuys] = useState((meal?.buys ?? []).map(({ called }) => called).join(', '));
  const save = (): void => {
    const told = {
      ...{
        type: 'meal.set',
        meal: meal?.id ?? newUuid(),
        on: place.on,
        slot: place.slot,
        name,
        pinned: true,
      },
      eaters: [...eaters],
      takes: takes.map((take) => ({ package: take.package, amount: take.amount })),
      buys: buys
        .split(/[,\n]/)
        .map((word) => word.trim())
        .filter((word) => word !== ''),
    };
    void act(told).then((answers) => answers && onClose());
  };
  return (
    <Sheet title={`${day?.words ?? place.on}, ${slot?.name.toLowerCase() ?? ''}`} onClose={onClose}>
      {eaten ? (
        <p>It was eaten. To change it, undo that in the ledger first.</p>
      ) : (
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            save();
          }}
        >
          <label className="block">
            <span className="block text-slate">Called</span>
            <input
              className="field"
              value={name}
              maxLength={80}
              placeholder={`${day?.words ?? ''} ${slot?.name.toLowerCase() ?? ''}`}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <WhoTicks legend="Who eats" everybody={everybody} chosen={eaters} onChoose={setEaters} />
          <section aria-label="What it takes" className="space-y-2">
            <h3 className="text-lg">From the cold store</h3>
            {takes.length === 0 && <p className="text-slate">Nothing yet.</p>}
            <ul className="space-y-1">
              {takes.map((take) => (
                <li
                  key={take.package}
                  className="flex items-center gap-2 rounded-sm border border-tape-edge bg-tape pl-3"
                >
                  <span className="mr-auto">
                    {take.called} <b className="font-heading">{say(take.words)}</b>{' '}
                    <span className="text-slate">{take.code}</span>
                    {take.notFor !== '' && <b className="block text-beet">{take.notFor}</b>}
                  </span>
                  <button
                    type="button"
                    className="button border-transparent"
                    aria-label={`Without ${take.called} ${take.code}`}
                    onClick={() => setTakes(takes.filter((one) => one.package !== take.package))}
                  >
                    ✕
                  </button>
                </li>
              ))}
            </ul>
            <AddFood
              on={place.on}
              at={meal?.at ?? `${place.on}T${slot?.at ?? '18:30'}:00`}
              taken={takes.map((take) => take.package)}
              onAdd={(more) =>
                setTakes([
                  ...takes.filter((one) => !more.some((other) => other.package === one.package)),
                  ...more,
                ])
              }
            />
          </section>
          <label className="block">
            <span className="block text-slate">To buy, commas between</span>
            <input
              className="field"
              value={buys}
              maxLength={400}
              onChange={(event) => setBuys(event.target.value)}
            />
          </label>
          <div className="flex flex-wrap gap-2">
            <button type="submit" className="button" data-main="true" disabled={busy}>
              {meal ? 'Keep' : 'Plan it'}
            </button>
            {meal && (
              <>
                {meal.on <= view.today && (
                  <button
                    type="button"
                    className="button"
                    disabled={busy}
                    onClick={() => {
                      onClose();
                      onEat(meal);
                    }}
                  >
                    Eaten
                  </button>
                )}
                <button
                  type="button"
                  className="button"
                  disabled={busy}
                  onClick={() =>
                    void act({ type: 'meal.skip', meal: meal.id }).then((done) => done && onClose())
                  }
                >
                  Skip it
                </button>
                <button
                  type="button"
                  className="button border-transparent"
                  disabled={busy}
                  onClick={() =>
                    void act({ type: 'meal.skip', meal: meal.id, forget: true }).then(
                      (done) => done && onClose(),
                    )
                  }
                >
                  Take it off
                </button>
              </>
            )}
          </div>
        </form>
      )}
    </Sheet>
  );
}

/** "mince or lamb 600 g": proposed first out, with what is passed over and why. */
function AddFood({
  at,
  on,
  taken,
  onAdd,
}: {
  at: string;
  on: string;
  taken: readonly string[];
  onAdd: (more: Chosen[]) => void;
}) {
  const { vocabulary } = useVocabulary();
  const say = useSay();
  const [text, setText] = useState('');
  const reading = useMemo(
    () => (vocabulary && text.trim() !== '' ? readVerb<Food>(`take ${text}`, vocabulary) : null),
    [text, vocabulary],
  );
  const wanted = reading && reading.fault === '' && reading.foods.length > 0 ? reading : null;
  const asked = wanted && {
    foods: wanted.foods.map(({ id }) => id),
    ...(wanted.amount ?? { amount: wanted.count, unit: 'pc' as const }),
    by: new Date(at).toISOString(),
    on,
  };
  const { body, fault } = useAsk<AllocationView>('/api/v1/estimates/allocation', asked);
  const found = wanted ? body : null;
  // What the fridge does not thaw in time may still be done in cold water or from frozen.
  const { body: all } = useAsk<AllocationView>(
    '/api/v1/estimates/allocation',
    asked && found && found.short > 0 ? { ...asked, by: null } : null,
  );
  const quicker = found && found.short > 0 && all && all.short < found.short ? all : null;
  const add = (from: AllocationView | null): void => {
    if (!from) return;
    onAdd(
      from.takes.map(({ view, amount, amount_words: words }) => ({
        ...{ package: view.id, code: view.code, called: view.food.name, amount, words },
        notFor: view.not_for,
      })),
    );
    setText('');
  };
  return (
    <div className="space-y-2">
      <label className="block">
        <span className="block text-slate">{say('Add, for example: mutton mince 600 g')}</span>
        <input
          className="field"
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || text.trim() === '') return;
            event.preventDefault();
            if (found && found.takes.length > 0) add(found);
          }}
        />
      </label>
      <div role="status" className="text-[0.9375rem]">
        {reading && reading.fault !== '' && <p>{reading.fault}</p>}
        {reading && reading.fault !== '' && reading.candidates.length > 0 && (
          <div className="flex flex-wrap gap-1">
            {reading.candidates.slice(0, 4).map((line) => (
              <button
                key={line}
                type="button"
                className="button"
                onClick={() => setText(line.replace(/^take /, ''))}
              >
                {line.replace(/^take /, '')}
              </button>
            ))}
          </div>
        )}
        {fault !== '' && <p className="text-beet">{fault}</p>}
        {found && <p>{say(found.says)}.</p>}
        {found?.passed.slice(0, 4).map((one) => (
          <p key={one.code} className="text-slate">
            not {one.food} {one.code}: {say(one.why)}
          </p>
        ))}
      </div>
      {found && found.takes.length > 0 && (
        <button type="button" className="button" onClick={() => add(found)}>
          Add {say(found.takes.map((take) => take.amount_words).join(' + '))}
          {found.takes.some(({ view }) => taken.includes(view.id)) ? ' (instead)' : ''}
        </button>
      )}
      {quicker && (
        <button type="button" className="button" onClick={() => add(quicker)}>
          Frozen all the same: {say(quicker.takes.map((take) => take.amount_words).join(' + '))}, thawed
          quicker than in the fridge
        </button>
      )}
    </div>
  );
}
