'use client';

import { useEffect, useState } from 'react';
import type { TakeReading } from '@/core/quickline/readTake';
import type { NamedFood } from '@/core/foods/findFood';
import type { AllocationView } from '@/services/calculators/allocation';
import { postJson } from '../door/sendCommand';
import { DateButton } from '../package/DateButton';
import { Tape } from '../tape/Tape';

/** When a meal is meant by its day alone: six in the evening, by this browser's clock. */
export function mealTime(on: string | null): string | null {
  return on === null ? null : new Date(`${on}T18:00`).toISOString();
}

/** What a “take” line would take, first out, with the reason for whatever is passed over. */
export function TakePanel({
  reading,
  busy,
  onPick,
  onTake,
}: {
  reading: TakeReading<NamedFood>;
  busy: boolean;
  onPick: (text: string) => void;
  onTake: (pieces: 'closed' | 'open' | null) => void;
}) {
  const [told, setTold] = useState<{ key: string; answer: AllocationView | null; fault: string } | null>(
    null,
  );
  const { fault, amount, unit, on } = reading;
  const key = fault === '' ? JSON.stringify([reading.foods.map(({ id }) => id), amount, unit, on]) : '';
  useEffect(() => {
    if (key === '') return;
    const [foods, wanted, inUnit, day] = JSON.parse(key) as [string[], number, string, string | null];
    const timer = setTimeout(() => {
      postJson<AllocationView>('/api/v1/estimates/allocation', {
        foods,
        amount: wanted,
        unit: inUnit,
        by: mealTime(day),
      })
        .then((answer) => setTold({ key, answer, fault: '' }))
        .catch((error: Error) => setTold({ key, answer: null, fault: error.message }));
    }, 150);
    return () => clearTimeout(timer);
  }, [key]);
  if (fault !== '') {
    return (
      <div className="space-y-2">
        <p className="text-beet">{fault}</p>
        <div className="flex flex-wrap gap-2">
          {reading.candidates.map((candidate) => (
            <button key={candidate} type="button" className="button" onClick={() => onPick(candidate)}>
              {candidate}
            </button>
          ))}
        </div>
      </div>
    );
  }
  const answer = told?.key === key ? told.answer : null;
  return (
    <div className="space-y-3" aria-live="polite">
      {told?.key === key && told.fault !== '' && <p className="text-beet">{told.fault}</p>}
      {!answer && <p className="text-slate">Looking what goes first …</p>}
      {answer && (
        <>
          <p className={`font-heading text-lg font-semibold ${answer.short > 0 ? 'text-beet' : ''}`}>
            {answer.says}
          </p>
          <ul className="space-y-1.5">
            {answer.takes.map(({ view, amount_words, why }) => (
              <li key={view.id} className="flex flex-wrap items-center gap-x-3">
                <Tape food={view.food.name} detail={amount_words} band={view.band} state={view.state} />
                <span className="text-[0.9375rem] text-slate">
                  {view.code} · {view.zone?.name ?? 'counter'} · {why}
                </span>
                <DateButton view={view} />
              </li>
            ))}
          </ul>
          {answer.passed.length > 0 && (
            <div className="text-[0.9375rem] text-slate">
              Passed over:
              <ul>
                {answer.passed.slice(0, 6).map(({ code, food, why }) => (
                  <li key={code}>
                    {food} {code}: {why}
                  </li>
                ))}
              </ul>
            </div>
          )}
          {answer.opens !== '' && <p className="text-[0.9375rem]">{answer.opens}</p>}
          {answer.short === 0 && (
            <div className="flex flex-wrap gap-2">
              <button
                type="button"
                className="button"
                data-main="true"
                disabled={busy}
                onClick={() => onTake(null)}
              >
                Take <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
              </button>
              {answer.asks && (
                <button type="button" className="button" disabled={busy} onClick={() => onTake('closed')}>
                  Take, each piece is closed in itself
                </button>
              )}
            </div>
          )}
        </>
      )}
    </div>
  );
}
