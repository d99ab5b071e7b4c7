'use client';

import type { Haul, HaulLine } from '@/core/model/haul';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { Said } from '../units/Said';
import type { HaulView } from '@/services/haul/haul';

const FLAGS = [
  ['coldBag', 'Cold bag'],
  ['hot', 'Hot day'],
  ['fastFreeze', 'Fast freeze'],
] as const;

function summary(lines: readonly HaulLine[], away: number, currency: string): string {
  const grams = lines.reduce((sum, { unit, amount }) => sum + (unit === 'pc' ? 0 : amount), 0);
  const minor = lines.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0);
  return [
    `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`,
    grams > 0 ? sayAmount(grams, 'g') : '',
    minor > 0 ? sayMoney(minor, currency) : '',
    away > 0 ? `${away} put away` : '',
  ]
    .filter((words) => words !== '')
    .join(' · ');
}

/** The haul's name, what it comes to, and what changes its clock. */
export function HaulHead({
  haul,
  view,
  currency,
  waiting,
  walking,
  saving,
  onChange,
  onWalk,
}: {
  haul: Haul;
  view: HaulView;
  currency: string;
  /** Labelled packs that are not put away yet. */
  waiting: number;
  walking: boolean;
  saving: boolean;
  onChange: (changes: Partial<Haul>) => void;
  onWalk: () => void;
}) {
  const away = view.lines.filter(({ id, packages }) => {
    const mine = view.packs.filter((pack) => pack.line === id);
    return packages !== null && mine.length > 0 && mine.every((pack) => !pack.waiting);
  }).length;
  return (
    <header className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
      <div className="mr-auto min-w-0">
        <h1 className="text-[1.6rem] leading-tight">{haul.name}</h1>
        <p className="text-slate">
          <Said>{summary(view.lines, away, currency)}</Said>
          <span className="sr-only" role="status">
            {saving ? 'saving' : 'saved'}
          </span>
        </p>
      </div>
      <div role="group" aria-label="What changes the clock" className="order-last flex gap-2 sm:order-none">
        {FLAGS.map(([flag, name]) => (
          <button
            key={flag}
            type="button"
            className="button"
            aria-pressed={haul[flag]}
            data-main={haul[flag]}
            onClick={() => onChange({ [flag]: !haul[flag] })}
          >
            {name}
          </button>
        ))}
      </div>
      <button
        type="button"
        className="button"
        data-main={walking || waiting > 0}
        aria-pressed={walking}
        onClick={onWalk}
      >
        {walking ? 'Back to the bench' : waiting > 0 ? `Put away ${waiting}` : 'Put away'}
      </button>
    </header>
  );
}
