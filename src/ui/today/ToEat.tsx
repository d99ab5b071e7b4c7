'use client';

import type { SeenRow } from '@/services/today/seenToday';
import { useDoor } from '../door/useDoor';
import { DateButton } from '../package/DateButton';

/** What was answered “eat tonight” or planned: it stays until it is taken or dropped. */
export function ToEat({ rows }: { rows: readonly SeenRow[] }) {
  const { act, busy, showPackage } = useDoor();
  const each = ({ packages }: SeenRow, type: string, more: Record<string, unknown> = {}): void =>
    void act(...packages.map(({ id, version }) => ({ type, package: id, version, ...more })));
  return (
    <section aria-labelledby="to-eat" className="border-t border-line px-2 py-2">
      <h3 id="to-eat" className="text-base">
        To be eaten
      </h3>
      <ul className="divide-y divide-line">
        {rows.map((row) => (
          <li key={row.view.id} className="flex flex-wrap items-center gap-x-3 py-1">
            <button
              type="button"
              className="min-h-11 min-w-0 flex-1 cursor-pointer text-left"
              onClick={() => showPackage(row.view.code)}
            >
              <b className="font-heading font-semibold">
                {row.view.food.name} · {row.group_words}
              </b>
              <span className="block text-[0.9375rem] text-slate">
                {row.heads_up.answered_words} · {row.view.zone?.name ?? 'counter'}
              </span>
            </button>
            <DateButton view={row.view} />
            <button
              type="button"
              className="button"
              disabled={busy}
              aria-label={`Take ${row.view.food.name}`}
              onClick={() => each(row, 'package.take')}
            >
              Take
            </button>
            <button
              type="button"
              className="button"
              disabled={busy}
              aria-label={`Drop the plan for ${row.view.food.name}`}
              onClick={() => each(row, 'package.answer', { answer: 'drop' })}
            >
              Drop
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
