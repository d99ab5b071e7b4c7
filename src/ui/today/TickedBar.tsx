'use client';

import { useState } from 'react';
import { ANSWER_KEYS, type AnswerChoice } from '@/core/firstout/answerChoices';
import type { SeenRow } from '@/services/today/seenToday';
import { AnswerBar } from '../package/AnswerBar';

/** Several rows as one question: what one of them forbids, all of them do. */
function together(rows: readonly SeenRow[]): SeenRow['heads_up'] {
  const [first] = rows;
  if (!first) throw new Error('nothing is ticked');
  const forbidden = Object.assign(
    {},
    ...rows.map(({ heads_up }) => heads_up.forbidden),
  ) as SeenRow['heads_up']['forbidden'];
  const until = rows.map(({ heads_up }) => heads_up.plan_until).sort();
  return {
    ...first.heads_up,
    forbidden,
    freeze: null,
    out: rows.every(({ heads_up }) => heads_up.out),
    plan_until: until[0] ?? first.heads_up.plan_until,
  };
}

/** The answers for all that is ticked. */
export function TickedBar({
  rows,
  today,
  onDone,
}: {
  rows: readonly SeenRow[];
  today: string;
  onDone: () => void;
}) {
  const [asked, setAsked] = useState<AnswerChoice | null>(null);
  const packages = rows.flatMap((row) => row.packages);
  return (
    <section
      aria-label={`${rows.length} ticked`}
      className="border-b border-line bg-tape px-2 pt-2 text-tape-ink"
      onKeyDown={(event) => {
        const choice = (Object.keys(ANSWER_KEYS) as AnswerChoice[]).find(
          (one) => ANSWER_KEYS[one] === event.key,
        );
        if (!choice || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        event.currentTarget.querySelector<HTMLElement>(`[data-answer=${choice}]`)?.click();
      }}
    >
      <p className="flex flex-wrap items-center justify-between gap-2">
        <b className="font-heading">
          {rows.length === 1 ? 'One ticked' : `${rows.length} ticked`}, {packages.length} packages
        </b>
        <button type="button" className="button" onClick={onDone}>
          Untick
        </button>
      </p>
      <AnswerBar
        answered={{ name: `${rows.length} ticked`, stage: together(rows), packages, today }}
        asked={asked}
        onAsk={setAsked}
        onDone={onDone}
      />
    </section>
  );
}
