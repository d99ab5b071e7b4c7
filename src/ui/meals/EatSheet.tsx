'use client';

import { useMemo, useState } from 'react';
import type { Food } from '@/core/model/food';
import type { MealRhythm } from '@/core/model/meal';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { toApiLine } from '@/services/door/apiLine';
import type { MealView } from '@/services/meals/week';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { PutWords } from './PutWords';
import { WhoTicks } from './WhoTicks';
import { useVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';

/** A meal was eaten: who ate, what really went in, and what is put by of it, with its own clock. */
export function EatSheet({
  meal,
  rhythm,
  currency,
  onClose,
}: {
  meal: MealView;
  rhythm: MealRhythm;
  currency: string;
  onClose: () => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const { vocabulary } = useVocabulary();
  const everybody = rhythm.eaters.map(({ name }) => name);
  const [ate, setAte] = useState<readonly string[]>(meal.eaters.length > 0 ? meal.eaters : everybody);
  const here = meal.takes.filter(({ view }) => view !== null);
  const [left, setLeft] = useState<readonly string[]>([]);
  const [text, setText] = useState('');
  const readings = useMemo(
    () =>
      vocabulary
        ? text
            .split('\n')
            .filter((one) => one.trim() !== '')
            .map((one) => parseQuickLine<Food>(one, vocabulary))
        : [],
    [text, vocabulary],
  );
  const lines = readings.flatMap(({ line }) => line ?? []);
  const unread = readings.length > lines.length || (text.trim() !== '' && lines.length === 0);
  const packs = lines.reduce((sum, line) => sum + line.packs, 0);
  const portions = Math.max(1, ate.length) + packs;
  const portion =
    meal.cost_minor === null ? null : { minor: Math.round(meal.cost_minor / portions), currency };
  const still = here.filter(({ view, package: id }) => view?.state === 'frozen' && !left.includes(id));
  const eat = (): void => {
    const takes = here
      .filter((take) => !left.includes(take.package))
      .flatMap(({ package: id, amount, view }) =>
        view ? [{ package: id, version: view.version, amount: amount >= view.amount ? null : amount }] : [],
      );
    void act({
      type: 'meal.eat',
      meal: meal.id,
      takes,
      ate: [...ate],
      put: lines.map(toApiLine),
    }).then((answers) => answers && onClose());
  };
  return (
    <Sheet title={`${meal.name}: eaten`} onClose={onClose}>
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          eat();
        }}
      >
        <WhoTicks legend="Who ate" everybody={everybody} chosen={ate} onChoose={setAte} />
        <fieldset>
          <legend className="text-slate">What went in; untick what did not</legend>
          {here.length === 0 && <p>Nothing of the cold store was promised to it.</p>}
          {here.map((take) => (
            <Tick
              key={take.package}
              checked={!left.includes(take.package)}
              onChange={(yes) =>
                setLeft(yes ? left.filter((id) => id !== take.package) : [...left, take.package])
              }
            >
              {take.called} {say(take.amount_words)} {take.code}
            </Tick>
          ))}
        </fieldset>
        {still.length > 0 && (
          <p className="border-l-4 border-honey pl-3">
            {still.map(({ called }) => called).join(', ')} still counts as frozen here: cooked from frozen?
          </p>
        )}
        <div className="space-y-2">
          <label className="block">
            <span className="block text-slate">
              {say('Put by of it, a line each, for example: stew 1.2 l / 2 frozen > basket 2')}
            </span>
            <textarea
              rows={2}
              className="field h-auto w-full py-2"
              value={text}
              autoComplete="off"
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          <div role="status" className="text-[0.9375rem]">
            {readings.flatMap(({ faults }) => faults.map(({ says }) => <p key={says}>{says}</p>))}
            {lines.map((line, at) => {
              const food = vocabulary?.foods.byId.get(line.food);
              return food && <PutWords key={at} line={line} food={food} portion={portion} />;
            })}
          </div>
        </div>
        <button type="submit" className="button" data-main="true" disabled={busy || unread}>
          {packs > 0 ? `Eaten, ${packs} put by` : 'Eaten'}
        </button>
      </form>
    </Sheet>
  );
}
