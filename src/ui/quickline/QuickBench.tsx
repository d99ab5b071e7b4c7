'use client';

import { type KeyboardEvent, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import type { Food } from '@/core/model/food';
import { withHalf } from '@/core/quickline/readHalf';
import type { FoodDetail } from '@/services/household/foodDetail';
import type { LedgerView } from '@/services/household/ledger';
import { fetchJson } from '../door/fetchJson';
import { useRead } from '../door/useRead';
import { storing } from './storing';
import { choicesOf, takenByEnter } from './Faults';
import { SeveralPanel, takeAll } from './SeveralPanel';
import { VerbPanel } from './VerbPanel';
import { readVerb, verbOf } from '@/core/quickline/readVerb';
import { useDoor } from '../door/useDoor';
import { onIntakeChange, presentIntake } from '../haul/haulIntake';
import type { NewCommand } from '../door/doorClient';
import { keepDraft } from './beginLine';
import { readOwn, writeOwn } from '../door/ownStorage';
import { QuickReadingPanel } from './QuickReadingPanel';
import { TakePanel } from './TakePanel';
import { takeOrPromise, verbPlan } from './verbCommands';
import { useLineReading } from './useLineReading';
import { useVocabulary } from './useVocabulary';

const RECALLED = 'lines';
const MOST_RECALLED = 30;

function recalledLines(): string[] {
  try {
    return JSON.parse(readOwn(RECALLED) ?? '[]') as string[];
  } catch {
    return [];
  }
}

/**
 * The quick line at work: reads while one types, shows what it understood and the dates, stores on Enter. Tab takes
 * the first completion, arrow up brings earlier lines back, Escape closes the panel and keeps the line.
 */
export function QuickBench({
  begin,
  entered,
  left,
  hint,
}: {
  begin: string;
  /** Enter was pressed before this was here. */
  entered: boolean;
  /** The focus is elsewhere by now. */
  left: boolean;
  hint: string;
}) {
  const { act, busy, showPackage } = useDoor();
  const { vocabulary, fault, renew } = useVocabulary();
  const [text, setText] = useState(begin);
  const [open, setOpen] = useState(true);
  const [isStoring, setStoring] = useState(false);
  useEffect(() => keepDraft(text), [text]);
  const back = useRef(-1);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const field = input.current;
    if (left) return;
    field?.focus();
    field?.setSelectionRange(field.value.length, field.value.length);
  }, [left]);

  const intake = useSyncExternalStore(onIntakeChange, presentIntake, () => null);
  const verb = verbOf(text, vocabulary ?? undefined);
  const doing = useMemo(
    () => (vocabulary && verb !== null ? readVerb<Food>(text, vocabulary) : null),
    [text, verb, vocabulary],
  );
  const taking = doing?.verb === 'take' && (doing.amount !== null || doing.foods.length > 1) ? doing : null;
  const [meant] = doing?.foods ?? [];
  const {
    body: known,
    fault: notFound,
    looking,
    again,
  } = useRead<FoodDetail>(meant && !taking ? `/api/v1/foods/${meant.id}` : null);
  const plan =
    doing && known && known.food.id === meant?.id
      ? verbPlan(doing, known.packages, vocabulary?.today ?? '')
      : null;
  const { half, reading, several, place, preview, completions, waiting } = useLineReading(text, {
    vocabulary,
    forHaul: intake !== null,
    verb: verb !== null,
  });

  const write = (next: string): void => {
    setText(next);
    setOpen(true);
    input.current?.focus();
  };

  /** A way out of what is asked: its half is not lost. */
  const pick = (next: string): void => write(withHalf(next, half));

  const commandsFor = async (pieces: 'closed' | 'open' | null, anyway: boolean): Promise<NewCommand[]> => {
    if (taking?.amount) {
      const { foods, amount, on } = taking;
      // A promise opens nothing yet.
      const asPieces = on !== null && on > (vocabulary?.today ?? '') ? {} : { pieces };
      return taking.fault === ''
        ? [
            {
              ...takeOrPromise({ foods: foods.map(({ id }) => id), ...amount }, on, vocabulary?.today ?? ''),
              ...asPieces,
            },
          ]
        : [];
    }
    if (doing?.verb === 'undo') {
      const { entries } = await fetchJson<LedgerView>('/api/v1/ledger?limit=20');
      const last = entries.find(({ undone, undoes }) => !undone && undoes === null);
      return last ? [{ type: 'ledger.undo', command: last.id }] : [];
    }
    if (doing) return plan?.fault === '' ? plan.commands : [];
    if (several.length > 0) return several.flatMap((one) => storing(one, anyway));
    if (!reading?.line || (preview?.refused && !(anyway && preview.overrule))) return [];
    return storing(reading, anyway);
  };

  /** The likeliest answer to what is asked, or where a package is shown; true when that was it. */
  const answered = (): boolean => {
    const shown = plan?.asksOn ?? (doing?.verb === 'where' ? plan?.packages[0]?.code : undefined);
    const line =
      (reading ? takenByEnter(choicesOf(reading)) : undefined) ??
      (doing?.fault ? doing.candidates[0] : undefined);
    if (shown) showPackage(shown);
    else if (line) pick(line);
    return shown !== undefined || line !== undefined;
  };

  // Entered before the foods, or the packages of this one, were here: the line that is done as soon as they are.
  const early = useRef(entered ? begin : null);
  const sending = useRef(false);
  const store = async (pieces: 'closed' | 'open' | null = null, anyway = false): Promise<void> => {
    if (sending.current) return;
    const isLost = doing !== null && plan === null && notFound !== '';
    if (!vocabulary || looking || waiting || isLost) {
      early.current = text;
      if (isLost && !looking) void again();
      return;
    }
    const told = several.length > 0 ? several : reading ? [reading] : [];
    const toBench =
      intake && !doing ? told.flatMap(({ line, ownFood }) => (line ? [{ line, ownFood }] : [])) : [];
    const wanted = toBench.length > 0 ? [] : await commandsFor(pieces, anyway);
    if (wanted.length === 0 && toBench.length === 0) {
      if (!answered()) setOpen(true);
      return;
    }
    sending.current = true;
    setStoring(true);
    const done =
      intake && toBench.length > 0
        ? await takeAll(intake, toBench, half.half)
        : (await act(...wanted)) !== null;
    // A food made by this line is known to the next one, however soon that is typed.
    const known = done ? renew() : null;
    if (done && told.some(({ ownFood }) => ownFood)) await known;
    sending.current = false;
    setStoring(false);
    if (!done) return;
    const kept = [text, ...recalledLines().filter((line) => line !== text)].slice(0, MOST_RECALLED);
    writeOwn(RECALLED, JSON.stringify(kept));
    back.current = -1;
    // What was typed behind it meanwhile stays.
    setText((now) => (now.startsWith(text) ? now.slice(text.length) : now));
  };

  const storeNow = useRef(store);
  useEffect(() => {
    storeNow.current = store;
  });
  useEffect(() => {
    // Typed on since: that is another line.
    if (early.current !== text) early.current = null;
    if (early.current === null || !vocabulary || looking || waiting) return;
    early.current = null;
    // Asked again, and again without an answer: that is said, and the cook decides.
    if (notFound === '') void storeNow.current();
  }, [vocabulary, looking, waiting, notFound, text]);

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    const other = event.altKey
      ? reading
        ? choicesOf(reading).map((one) => one.text)
        : (doing?.candidates ?? [])
      : [];
    const picked = other[Number(event.key) - 1];
    if (picked) pick(picked);
    else if (event.key === 'Enter') void store();
    else if (event.key === 'Escape') setOpen(false);
    else if (
      open &&
      event.key === 'Tab' &&
      !event.shiftKey &&
      completions[0] &&
      completions[0].trim() !== text.trim().toLowerCase()
    )
      write(completions[0]);
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const lines = recalledLines();
      back.current = Math.max(
        -1,
        Math.min(lines.length - 1, back.current + (event.key === 'ArrowUp' ? 1 : -1)),
      );
      write(lines[back.current] ?? '');
    } else return;
    event.preventDefault();
  };

  const shown = open && text.trim() !== '';
  return (
    <div className="relative w-full sm:w-[27rem]">
      <input
        ref={input}
        id="quick-line"
        aria-label="Quick line: what came in"
        aria-describedby="quick-reading"
        aria-invalid={(reading?.faults.length ?? 0) > 0}
        placeholder={hint}
        autoComplete="off"
        spellCheck={false}
        maxLength={300}
        className="field border-transparent"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setOpen(true);
        }}
        onKeyDown={onKeyDown}
        onFocus={() => setOpen(true)}
      />
      <div
        id="quick-reading"
        hidden={!shown}
        className="card fixed inset-x-2 bottom-20 max-h-[60dvh] overflow-y-auto p-4 text-ink shadow-2xl sm:absolute sm:inset-x-auto sm:right-0 sm:bottom-[calc(100%+0.8rem)] sm:w-[34rem]"
      >
        {fault !== '' && <p className="text-beet">{fault}</p>}
        {!vocabulary && fault === '' && <p className="text-slate">Fetching the foods …</p>}
        {doing && !(taking && taking.fault === '') && (
          <VerbPanel
            reading={doing}
            plan={plan}
            notFound={notFound}
            busy={busy || isStoring}
            onPick={write}
            onDo={() => void store()}
            onOne={({ id, version }) =>
              void act({ type: 'package.open', package: id, version }).then((done) => done && setText(''))
            }
          />
        )}
        {taking?.amount && taking.fault === '' && (
          <TakePanel
            foods={taking.foods.map(({ id }) => id)}
            amount={taking.amount.amount}
            unit={taking.amount.unit}
            on={taking.on}
            later={taking.on !== null && taking.on > (vocabulary?.today ?? '')}
            busy={busy || isStoring}
            onTake={(pieces) => void store(pieces)}
          />
        )}
        {several.length > 0 && (
          <SeveralPanel things={several} busy={busy || isStoring} onStore={() => void store()} />
        )}
        {reading && several.length === 0 && (
          <QuickReadingPanel
            reading={reading}
            preview={preview}
            waiting={waiting}
            place={place}
            toBench={intake !== null}
            completions={completions}
            busy={busy || isStoring}
            half={half.half}
            onPick={write}
            onAnswer={pick}
            onStore={() => void store()}
            onOverrule={() => void store(null, true)}
          />
        )}
      </div>
    </div>
  );
}
