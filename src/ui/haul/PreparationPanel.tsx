'use client';

import { Timer } from 'lucide-react';
import type { Food } from '@/core/model/food';
import type { HaulLine } from '@/core/model/haul';
import {
  choosePreparation,
  lookAgainDays,
  preparationMinutes,
  type Preparation,
  preparationsFor,
} from '@/core/haul/preparation';
import { FIT_WORDS } from './benchWords';
import { useSay } from '../units/useSay';

function sayLeft(endsAt: string, now: string): string {
  const seconds = Math.round((Date.parse(endsAt) - Date.parse(now)) / 1000);
  if (seconds <= 0) return 'done';
  const minutes = Math.floor(seconds / 60);
  return minutes > 0 ? `${minutes} min ${String(seconds % 60).padStart(2, '0')} s` : `${seconds} s`;
}

/** What each choice does to the date, in words. */
function effectOf({ id, lookEveryDays }: Preparation, food: Food): string {
  if (id === 'washed-wet') return 'half of the days left';
  if (id === 'raw-frozen') return `at most ${food.unblanchedMonthsMax ?? 1} months`;
  if (id === 'blanched') return food.freezerMonthsMax === null ? '' : `up to ${food.freezerMonthsMax} months`;
  return lookEveryDays === undefined ? '' : `look again every ${lookEveryDays} days`;
}

/** How the food is prepared first: the schools that are open for it, with their times, a timer, and what they do to the date. */
export function PreparationPanel({
  line,
  food,
  now,
  onLine,
}: {
  line: HaulLine;
  food: Food;
  now: string;
  onLine: (changes: Partial<HaulLine>) => void;
}) {
  const say = useSay();
  const goes = line.parts.some((part) => part.goes === 'freezer')
    ? 'freezer'
    : (line.parts[0]?.goes ?? 'fridge');
  const ways = [
    ...preparationsFor(food, goes),
    ...(line.parts.some((part) => part.goes === 'fridge') && goes !== 'fridge'
      ? preparationsFor(food, 'fridge').filter(({ school }) => school === 'keeping')
      : []),
  ];
  const chosen = ways.filter(({ id }) => line.preparation.includes(id));
  const start = (way: Preparation): void => {
    const minutes = preparationMinutes(way, food);
    const endsAt = new Date(Date.parse(now) + minutes * 60_000).toISOString();
    onLine({
      timers: [
        ...line.timers.filter(({ step }) => step !== way.id),
        { step: way.id, name: `${line.called}: ${way.name}`, endsAt },
      ],
    });
  };
  const look = lookAgainDays(line.preparation);
  return (
    <section aria-label="Preparation" className="space-y-2 border-t border-line pt-3">
      {ways.length > 0 && (
        <>
          <h3 className="text-lg">First</h3>
          <div className="flex flex-wrap gap-1.5">
            {ways.map((way) => (
              <button
                key={way.id}
                type="button"
                className="button"
                aria-pressed={line.preparation.includes(way.id)}
                data-main={line.preparation.includes(way.id)}
                onClick={() => onLine({ preparation: choosePreparation(line.preparation, way.id) })}
              >
                {way.name}
              </button>
            ))}
          </div>
        </>
      )}
      {chosen.length > 0 && (
        <ul className="space-y-1">
          {chosen.map((way) => {
            const timer = line.timers.find(({ step }) => step === way.id);
            const minutes = preparationMinutes(way, food);
            const effect = effectOf(way, food);
            return (
              <li key={way.id} className="flex flex-wrap items-center gap-x-3">
                <span className="min-w-0 flex-1">
                  {way.says}
                  {effect !== '' && <b className="font-heading"> {effect}</b>}
                </span>
                {minutes > 0 && (
                  <button type="button" className="button" onClick={() => start(way)}>
                    <Timer aria-hidden size={18} />
                    {timer ? <span role="timer">{sayLeft(timer.endsAt, now)}</span> : `${minutes} min`}
                    <span className="sr-only">{timer ? ', begin again' : ', start the timer'}</span>
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {look !== null && (
        <p className="text-slate">A job to look at it again in {look} days comes onto Today.</p>
      )}
      {goes === 'freezer' && (
        <p className="text-slate">
          {food.name} {FIT_WORDS[food.freezeFit]}. {food.note}
        </p>
      )}
      <label className="block">
        <span className="block text-slate">Cooking instructions, for the label</span>
        <input
          className="field"
          maxLength={160}
          value={line.cooking}
          placeholder={say('such as: from frozen, 25 min at 190 °C')}
          onChange={(event) => onLine({ cooking: event.target.value })}
        />
      </label>
    </section>
  );
}
