'use client';

import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import type { SeenRow } from '@/services/today/seenToday';
import type { AnswerChoice } from '@/core/firstout/answerChoices';
import { useDoor } from '../door/useDoor';
import { answerOfKey } from '../package/answerOfKey';
import { lastAnswer } from '../package/lastAnswer';
import { answerByKey } from './answerByKey';
import { DateButton } from '../package/DateButton';
import { MainAction } from '../package/MainAction';
import { sayPackage } from '../package/sayPackage';
import { IfMay } from '../door/IfMay';

const AnswerBar = dynamic(() => import('../package/AnswerBar').then((module) => module.AnswerBar));

const BAR: Record<string, string> = {
  settled: 'bg-ice',
  soon: 'bg-honey',
  today: 'bg-ember',
  past: 'bg-beet',
};

function note({ view, heads_up }: SeenRow): string {
  if (view.verdict === 'discard') return 'not for eating';
  if (view.verdict === 'ask') return 'decide it at the outage desk';
  if (heads_up.answered_words !== '') return heads_up.answered_words;
  return view.band === 'past' ? 'look first' : '';
}

/** One row of first out: date, name and story; chosen, it unfolds what may be answered. */
export function FirstOutRowItem({
  row,
  chosen,
  today,
  ticked = false,
  onTick,
  onChoose,
  onSend,
}: {
  row: SeenRow;
  chosen: boolean;
  ticked?: boolean;
  /** Left out: it cannot be ticked. */
  onTick?: (() => void) | undefined;
  today: string;
  onChoose: (chosen: boolean) => void;
  /** Its answer is on its way. */
  onSend?: ((done: Promise<unknown>) => void) | undefined;
}) {
  const door = useDoor();
  const [asked, setAsked] = useState<AnswerChoice | null>(null);
  /** The same at once: the next key may come before it is drawn. */
  const askedNow = useRef<AnswerChoice | null>(null);
  const ask = (choice: AnswerChoice | null): void => {
    askedNow.current = choice;
    setAsked(choice);
  };
  const { view, packages } = row;
  const item = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) item.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen, asked]);
  const count = packages.length;
  const told = note(row);
  // That it is not for eating is heard with the package already.
  const heard = told === '' || view.verdict === 'discard' ? '' : `, ${told}`;
  return (
    <li
      ref={item}
      data-row={view.id}
      data-codes={packages.map(({ code }) => code).join(' ')}
      data-zone={view.zone?.id ?? ''}
      className={`px-2 ${ticked ? 'bg-tape' : chosen ? 'bg-rime' : ''}`}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey || isField(event.target)) return;
        if (event.key === 'x' && onTick) {
          event.preventDefault();
          event.stopPropagation();
          onTick();
          return;
        }
        if (ticked) return;
        const nth = /^[1-9]$/.test(event.key) && askedNow.current !== null ? Number(event.key) : null;
        const choice =
          nth !== null
            ? askedNow.current
            : event.key === 'a'
              ? lastAnswer(view.food.name)
              : answerOfKey(event.key);
        if (!choice) return;
        event.preventDefault();
        event.stopPropagation();
        // A zone that something speaks against, and one package of several, are chosen with that in sight.
        const inSight = (nth !== null && choice === 'freeze') || (chosen && packages.length > 1);
        const button = nth === null ? `[data-answer=${choice}]` : `[data-digit="${nth}"]`;
        const drawn = inSight ? event.currentTarget.querySelector<HTMLElement>(button) : null;
        const done = drawn ? null : answerByKey(row, today, choice, nth, door);
        if (drawn) drawn.click();
        else if (done) onSend?.(done);
        else if (nth === null) {
          onChoose(true);
          ask(askedNow.current === choice ? null : choice);
        }
      }}
    >
      <div className="grid grid-cols-[5.2rem_minmax(0,1fr)_auto] items-center gap-x-2 py-1.5 sm:grid-cols-[6.2rem_minmax(0,1fr)_auto]">
        <div>
          <DateButton view={view} />
          <p className="-mt-2 text-[0.9375rem] leading-tight text-slate">{view.left_words}</p>
        </div>
        <button
          type="button"
          data-row-name
          className="min-h-11 min-w-0 cursor-pointer text-left"
          aria-expanded={chosen}
          aria-label={`${sayPackage(view, count)}${heard}. Answer.`}
          onClick={() => onChoose(!chosen)}
        >
          <span className="block font-heading leading-tight font-semibold">
            {view.food.name} · {row.group_words}
          </span>
          <span className="line-clamp-2 text-[0.9375rem] leading-snug text-slate">
            {told !== '' && (
              <b className={`font-semibold ${view.band === 'past' ? 'text-beet' : 'text-deep'}`}>{told} · </b>
            )}
            {view.not_for !== '' && told !== 'not for eating' && (
              <b className="font-semibold text-beet">{view.not_for} </b>
            )}
            {view.story}
            {row.others_words !== '' && `; ${row.others_words}`}
          </span>
        </button>
        <IfMay type="package.take">
          <MainAction view={view} count={count} />
        </IfMay>
        <div aria-hidden className="col-span-2 col-start-2 mt-1 h-1.5 rounded-full bg-line/50">
          <div
            className={`h-full rounded-full ${BAR[view.band]}`}
            style={{ width: `${Math.round(view.spent * 100)}%` }}
          />
        </div>
      </div>
      {chosen && !ticked && (
        <>
          {onTick && (
            <button type="button" className="button mb-2" aria-pressed={ticked} onClick={onTick}>
              Tick it, to answer several at once <kbd className="key">x</kbd>
            </button>
          )}
          <IfMay type="package.answer">
            <AnswerBar
              answered={{ name: view.food.name, stage: row.heads_up, packages, today }}
              asked={asked}
              keys
              onAsk={ask}
              onSend={onSend}
              onDone={() => ask(null)}
            />
          </IfMay>
          <p className="flex flex-wrap items-center gap-x-3 pb-2 text-[0.9375rem] text-slate">
            <button
              type="button"
              className="min-h-11 cursor-pointer text-deep underline"
              onClick={() => door.showPackage(view.code)}
            >
              All about {view.code}
            </button>
            {count > 1 && (
              <span>
                and{' '}
                {packages
                  .slice(1)
                  .map(({ code }) => code)
                  .join(', ')}
              </span>
            )}
          </p>
        </>
      )}
    </li>
  );
}

/** True where keys are letters. */
export function isField(target: EventTarget): boolean {
  return target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
}
