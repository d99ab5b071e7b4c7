'use client';

import { Said } from '../units/Said';
import type { Food } from '@/core/model/food';
import type { CounterClock, ClockLevel } from '@/core/haul/counterClock';
import type { HaulLine } from '@/core/model/haul';
import type { OrderedLine } from '@/core/haul/workOrder';
import { packingOf } from '@/core/portions/packing';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import type { HaulPack } from '@/services/haul/haul';
import { GOAL_WORDS, sayClock, sayParts } from './benchWords';

const LEVEL_LOOK: Record<ClockLevel, { bar: string; text: string }> = {
  'no-hurry': { bar: 'transparent', text: 'text-slate' },
  cold: { bar: 'var(--ice)', text: 'text-ink' },
  fine: { bar: 'var(--honey)', text: 'text-ink' },
  warn: { bar: 'var(--ember)', text: 'text-ember-deep' },
  hurry: { bar: 'var(--ember)', text: 'text-ember-deep' },
  over: { bar: 'var(--beet)', text: 'text-beet' },
};
const MINUTES = 120;

function told(line: HaulLine, currency: string): string {
  const parts = sayParts(line, (part) =>
    part.goes === 'freezer'
      ? (packingOf(part.packing).form ?? packingOf(part.packing).name)
      : GOAL_WORDS[part.goes],
  );
  return [
    sayAmount(line.amount, line.unit),
    line.priceMinor === null ? '' : sayMoney(line.priceMinor, currency),
    parts,
  ]
    .filter((words) => words !== '')
    .join(' · ');
}

function Clock({ clock }: { clock: CounterClock }) {
  const look = LEVEL_LOOK[clock.level];
  return (
    <span
      className={`font-heading whitespace-nowrap ${clock.level === 'no-hurry' ? 'font-medium' : 'font-semibold'} ${look.text}`}
    >
      {sayClock(clock)}
      {clock.level !== 'no-hurry' && clock.level !== 'over' && (
        <span className="sr-only"> left out of the cold</span>
      )}
    </span>
  );
}

/** The lines of a haul in the order of work, each with its minutes; what is packed stands below. */
export function HaulLines({
  open,
  packed,
  packs,
  chosen,
  currency,
  foodOf,
  onChoose,
}: {
  open: readonly OrderedLine[];
  packed: readonly HaulLine[];
  packs: readonly HaulPack[];
  chosen: string | null;
  currency: string;
  foodOf: (id: string) => Food | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <div className="card overflow-hidden">
      <ol>
        {open.map(({ line, clock }) => (
          <li key={line.id} className="border-b border-line last:border-b-0">
            <button
              type="button"
              aria-current={line.id === chosen ? 'true' : undefined}
              onClick={() => onChoose(line.id)}
              className="block w-full cursor-pointer px-4 py-2 text-left hover:bg-rime aria-[current=true]:bg-rime aria-[current=true]:shadow-[inset_5px_0_0_var(--deep)]"
            >
              <span className="flex items-baseline gap-3">
                <b className="min-w-0 flex-1 truncate font-heading text-[1.05rem]">
                  {line.called || foodOf(line.food)?.name}
                </b>
                <Clock clock={clock} />
              </span>
              <span className="block truncate text-[0.9375rem] text-slate">
                <Said>{told(line, currency)}</Said>
              </span>
              {clock.left !== null && (
                <span aria-hidden className="mt-1 block h-1 overflow-hidden rounded bg-line/60">
                  <span
                    className="block h-full rounded"
                    style={{
                      width: `${Math.max(2, Math.min(100, (Math.max(0, clock.left) / MINUTES) * 100))}%`,
                      background: LEVEL_LOOK[clock.level].bar,
                    }}
                  />
                </span>
              )}
            </button>
          </li>
        ))}
        {packed.map((line) => {
          const mine = packs.filter((pack) => pack.line === line.id && !pack.gone);
          const waiting = mine.filter((pack) => pack.waiting).length;
          return (
            <li key={line.id} className="border-t border-line">
              <button
                type="button"
                aria-current={line.id === chosen ? 'true' : undefined}
                onClick={() => onChoose(line.id)}
                className="flex w-full cursor-pointer items-baseline gap-3 px-4 py-2 text-left text-slate hover:bg-rime aria-[current=true]:bg-rime aria-[current=true]:shadow-[inset_5px_0_0_var(--deep)]"
              >
                <span className="min-w-0 flex-1 truncate">
                  <b className="font-heading">{line.called}</b>{' '}
                  <Said>{sayAmount(line.amount, line.unit)}</Said>
                </span>
                <span className="font-heading font-semibold whitespace-nowrap">
                  {mine.length === 0 ? 'gone' : waiting > 0 ? `${waiting} labelled` : 'away ✓'}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
