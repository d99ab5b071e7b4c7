'use client';

import type { TakeReading } from '@/core/quickline/readTake';
import type { NamedFood } from '@/core/foods/findFood';
import type { AllocationView } from '@/services/calculators/allocation';
import { useAsk } from '../door/useRead';
import { useSettled } from '../door/useSettled';
import { DateButton } from '../package/DateButton';
import { Tape } from '../tape/Tape';

/** Typing rests this long before it is looked up. */
const SETTLED_MS = 150;

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
  const { fault, amount, unit, on } = reading;
  const wanted =
    fault === '' ? { foods: reading.foods.map(({ id }) => id), amount, unit, by: mealTime(on) } : null;
  const settled = useSettled(wanted, SETTLED_MS);
  const { body, fault: refused } = useAsk<AllocationView>('/api/v1/estimates/allocation', settled);
  // What is shown, and taken by Enter, is the answer to what stands in the line.
  const answer = JSON.stringify(settled) === JSON.stringify(wanted) ? body : null;
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
  return (
    <div className="space-y-3" aria-live="polite">
      {refused !== '' && <p className="text-beet">{refused}</p>}
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
