'use client';

import type { AmountUnit } from '@/core/units/sayAmount';
import type { AllocationView } from '@/services/calculators/allocation';
import { useAsk } from '../door/useRead';
import { useSettled } from '../door/useSettled';
import { DateButton } from '../package/DateButton';
import { Tape } from '../tape/Tape';
import { mealTime } from './verbCommands';

/** Typing rests this long before it is looked up. */
const SETTLED_MS = 150;

/** What a “take” line would take, first out, with the reason for whatever is passed over. */
export function TakePanel({
  foods,
  amount,
  unit,
  on,
  later,
  busy,
  onTake,
}: {
  foods: string[];
  amount: number;
  unit: AmountUnit;
  on: string | null;
  /** For a day to come: it is promised, and stays where it is. */
  later: boolean;
  busy: boolean;
  onTake: (pieces: 'closed' | 'open' | null) => void;
}) {
  const wanted = { foods, amount, unit, by: mealTime(on), on };
  const settled = useSettled(wanted, SETTLED_MS);
  const { body, fault: refused } = useAsk<AllocationView>('/api/v1/estimates/allocation', settled);
  // What is shown, and taken by Enter, is the answer to what stands in the line.
  const answer = JSON.stringify(settled) === JSON.stringify(wanted) ? body : null;
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
                {later ? 'Promise it' : 'Take'}{' '}
                <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
              </button>
              {answer.asks && !later && (
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
