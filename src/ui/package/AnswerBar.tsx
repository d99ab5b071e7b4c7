'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { sayDueDate, sayFullDate } from '@/core/calendar/sayDate';
import { DISCARD_REASONS, type DiscardReason } from '@/core/model/package';
import { ANSWER_KEYS, ANSWER_WORDS, type AnswerChoice } from '@/core/firstout/answerChoices';
import type { HeadsUp } from '@/services/today/headsUp';
import { useDoor } from '../door/useDoor';
import type { NewCommand } from '../door/doorClient';
import { DISCARD_WORDS } from './discardWords';
import { keepAnswer, lastAnswer } from './lastAnswer';
import { planDays } from './planDays';
import { ZoneChoice } from './ZoneChoice';

const CookForm = dynamic(() => import('./CookForm').then((module) => module.CookForm));

const CHOICES = Object.keys(ANSWER_WORDS) as AnswerChoice[];

/** What is to be answered for: one package, or some that stand alike. */
export interface Answered {
  name: string;
  /** The foods it is about, where that is not the name: for how each was answered the last time. */
  foods?: readonly string[];
  stage: HeadsUp;
  packages: readonly { id: string; code: string; version: number }[];
  today: string;
}

/**
 * The answers to a heads-up, each with its key. What needs a day, a zone, a dish or a reason asks for it below; what a
 * rule forbids stays visible with the reason.
 *
 * @param asked opened by its key from outside
 */
export function AnswerBar({
  answered: { name, foods: ticked, stage, packages, today },
  asked,
  keys = false,
  onAsk,
  onSend,
  onDone,
}: {
  answered: Answered;
  /** The row it stands in listens to the keys, so they are shown. */
  keys?: boolean;
  asked: AnswerChoice | null;
  onAsk: (choice: AnswerChoice | null) => void;
  /** The answer is on its way. */
  onSend?: ((done: Promise<unknown>) => void) | undefined;
  onDone: () => void;
}) {
  const { act, busy } = useDoor();
  const [all, setAll] = useState(true);
  const foods = ticked ?? [name];
  const [before = null, ...others] = new Set(foods.map(lastAnswer));
  const last = others.length === 0 ? before : null;
  const meant = all ? packages : packages.slice(0, 1);
  const run = (type: string, more: Record<string, unknown> = {}): void => {
    const commands = meant.map(({ id, version }): NewCommand => ({ type, package: id, version, ...more }));
    const told = choiceOf(type, more);
    if (told) for (const food of foods) keepAnswer(food, told);
    const done = act(...commands).then((answers) => {
      if (answers) onDone();
      return answers;
    });
    if (meant.length === packages.length) onSend?.(done);
  };
  const choose = (choice: AnswerChoice): void => {
    if (stage.forbidden[choice] !== undefined) onAsk(choice);
    else if (choice === 'eat-tonight' || choice === 'looked-fine') run('package.answer', { answer: choice });
    else if (choice === 'give') run('package.give');
    else if (choice === 'compost') run('package.compost');
    else onAsk(asked === choice ? null : choice);
  };
  // What is not for eating leaves two ways, so the others are not in the way.
  const shown = CHOICES.filter((choice) => !stage.out || stage.forbidden[choice] === undefined);
  const forbidden = asked === null ? undefined : stage.forbidden[asked];
  return (
    <div className="space-y-2 pb-2">
      {packages.length > 1 && !ticked && (
        <div role="group" aria-label="For how many" className="flex gap-2">
          {[true, false].map((every) => (
            <button
              key={String(every)}
              type="button"
              className="button"
              aria-pressed={all === every}
              data-main={all === every}
              onClick={() => setAll(every)}
            >
              {every ? `All ${packages.length}` : 'This one only'}
            </button>
          ))}
        </div>
      )}
      <div role="group" aria-label={`Answer for ${name}`} className="flex flex-wrap gap-1.5">
        {keys && last && stage.forbidden[last] === undefined && (
          <button
            type="button"
            className="button px-2.5"
            aria-keyshortcuts="a"
            disabled={busy}
            onClick={() => choose(last)}
          >
            As last time: {ANSWER_WORDS[last].toLowerCase()}
            <kbd aria-hidden className="key">
              a
            </kbd>
          </button>
        )}
        {shown.map((choice) => (
          <button
            key={choice}
            type="button"
            className="button px-2.5"
            data-answer={choice}
            data-danger={choice === 'bin'}
            data-muted={stage.forbidden[choice] !== undefined}
            aria-keyshortcuts={keys ? ANSWER_KEYS[choice] : undefined}
            aria-expanded={asked === choice}
            disabled={busy}
            onClick={() => choose(choice)}
          >
            {ANSWER_WORDS[choice]}
            {keys && (
              <kbd aria-hidden className="key">
                {ANSWER_KEYS[choice]}
              </kbd>
            )}
          </button>
        ))}
      </div>
      {stage.out && <p className="text-[0.9375rem] text-beet">Not for eating: it can only go out.</p>}
      {stage.freeze && asked === null && (
        <p className="text-[0.9375rem] text-slate">
          Freezing makes sense until {stage.freeze.until_words}; frozen today it is best by{' '}
          {stage.freeze.date_words}.
        </p>
      )}
      {forbidden !== undefined && (
        <p role="alert" className="text-[0.9375rem] text-beet">
          {forbidden}
        </p>
      )}
      {asked === 'plan' && forbidden === undefined && (
        <PlanDays
          today={today}
          until={stage.plan_until}
          onPlan={(on) => run('package.answer', { answer: 'plan', on })}
        />
      )}
      {asked === 'freeze' && forbidden === undefined && (
        <ZoneChoice
          title="Freeze it where?"
          code={packages[0]?.code ?? ''}
          state="frozen"
          keys={keys}
          onChoose={(zone, anyway) => run('package.freeze', { zone, anyway })}
        />
      )}
      {asked === 'cook' && forbidden === undefined && (
        <CookForm name={name} onCook={(into) => run('package.cook', { into })} single={meant.length === 1} />
      )}
      {asked === 'bin' && (
        <fieldset className="rounded-part border border-line p-2">
          <legend className="px-1">Why?</legend>
          <div className="flex flex-wrap gap-1.5">
            {DISCARD_REASONS.map((reason: DiscardReason, at) => (
              <button
                key={reason}
                type="button"
                className="button"
                data-digit={at + 1}
                aria-keyshortcuts={keys ? String(at + 1) : undefined}
                onClick={() => run('package.discard', { reason })}
              >
                {DISCARD_WORDS[reason]}
                {keys && (
                  <kbd aria-hidden className="key">
                    {at + 1}
                  </kbd>
                )}
              </button>
            ))}
          </div>
        </fieldset>
      )}
    </div>
  );
}

/** Which answer a command was. */
function choiceOf(type: string, { answer }: Record<string, unknown>): AnswerChoice | null {
  if (type === 'package.answer') return answer as AnswerChoice;
  const told: Readonly<Record<string, AnswerChoice>> = {
    'package.give': 'give',
    'package.compost': 'compost',
    'package.freeze': 'freeze',
    'package.cook': 'cook',
    'package.discard': 'bin',
  };
  return told[type] ?? null;
}

/** The days a plan may name, as buttons. */
function PlanDays({ today, until, onPlan }: { today: string; until: string; onPlan: (on: string) => void }) {
  const days = planDays(today, until);
  return (
    <fieldset className="rounded-part border border-line p-2">
      <legend className="px-1">For which day?</legend>
      <div className="flex flex-wrap gap-1.5">
        {days.map((day, at) => (
          <button
            key={day}
            type="button"
            className="button"
            data-digit={at + 1}
            aria-label={sayFullDate(day)}
            onClick={() => onPlan(day)}
          >
            {sayDueDate(day, today)}
            <kbd aria-hidden className="key">
              {at + 1}
            </kbd>
          </button>
        ))}
      </div>
    </fieldset>
  );
}
