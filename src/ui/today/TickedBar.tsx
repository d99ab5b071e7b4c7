'use client';

import { useEffect, useRef, useState } from 'react';
import type { AnswerChoice } from '@/core/firstout/answerChoices';
import type { SeenRow } from '@/services/today/seenToday';
import { answerOfKey } from '../package/answerOfKey';
import { isField } from './FirstOutRowItem';
import { AnswerBar } from '../package/AnswerBar';
import { IfMay } from '../door/IfMay';

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

/** While rows are ticked, the keys of the answers are for all of them, wherever in the list the focus is. */
function answerTicked(event: KeyboardEvent, bar: HTMLElement): void {
  if (event.ctrlKey || event.metaKey || event.altKey || (event.target && isField(event.target))) return;
  const choice = answerOfKey(event.key);
  const wanted = /^[1-9]$/.test(event.key)
    ? `[data-digit="${event.key}"]`
    : event.key === 'a'
      ? '[aria-keyshortcuts=a]'
      : choice && `[data-answer=${choice}]`;
  const button = wanted ? bar.querySelector<HTMLElement>(wanted) : null;
  if (!button) return;
  event.preventDefault();
  event.stopPropagation();
  button.click();
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
  const bar = useRef<HTMLElement>(null);
  useEffect(() => {
    const section = bar.current?.parentElement;
    const listen = (event: KeyboardEvent): void => {
      if (bar.current) answerTicked(event, bar.current);
    };
    section?.addEventListener('keydown', listen);
    return () => section?.removeEventListener('keydown', listen);
  }, []);
  return (
    <section
      aria-label={`${rows.length} ticked`}
      className="border-b border-line bg-tape px-2 pt-2 text-tape-ink"
      ref={bar}
    >
      <p className="flex flex-wrap items-center justify-between gap-2">
        <b className="font-heading">
          {rows.length === 1 ? 'One ticked' : `${rows.length} ticked`}, {packages.length} packages
        </b>
        <button type="button" className="button" onClick={onDone}>
          Untick
        </button>
      </p>
      <IfMay type="package.answer">
        <AnswerBar
          keys
          answered={{
            name: `${rows.length} ticked`,
            foods: rows.map(({ view }) => view.food.name),
            stage: together(rows),
            packages,
            today,
          }}
          asked={asked}
          onAsk={setAsked}
          onDone={onDone}
        />
      </IfMay>
    </section>
  );
}
