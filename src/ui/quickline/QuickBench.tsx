'use client';

import { type KeyboardEvent, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { completeQuickLine } from '@/core/quickline/completeQuickLine';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { readHalf } from '@/core/quickline/readHalf';
import { toApiLine } from '@/services/door/apiLine';
import { isTake, readTake } from '@/core/quickline/readTake';
import { useDoor } from '../door/useDoor';
import { onIntakeChange, presentIntake } from '../haul/haulIntake';
import type { NewCommand } from '../door/doorClient';
import { previewLine } from './previewLine';
import { QuickReadingPanel } from './QuickReadingPanel';
import { mealTime, TakePanel } from './TakePanel';
import { useVocabulary } from './useVocabulary';

const RECALLED = 'orderly-frost-lines';
const MOST_RECALLED = 30;

function recalledLines(): string[] {
  try {
    return JSON.parse(localStorage.getItem(RECALLED) ?? '[]') as string[];
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
  hint,
}: {
  begin: string;
  /** Enter was pressed before this was here. */
  entered: boolean;
  hint: string;
}) {
  const { act, busy } = useDoor();
  const { vocabulary, fault, renew } = useVocabulary();
  const [text, setText] = useState(begin);
  const [open, setOpen] = useState(true);
  const [storing, setStoring] = useState(false);
  const back = useRef(-1);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const field = input.current;
    field?.focus();
    field?.setSelectionRange(field.value.length, field.value.length);
  }, []);

  const intake = useSyncExternalStore(onIntakeChange, presentIntake, () => null);
  const half = useMemo(() => (intake ? readHalf(text) : { text, half: false }), [intake, text]);
  const taking = useMemo(
    () => (vocabulary && isTake(text) ? readTake(text, vocabulary) : null),
    [text, vocabulary],
  );
  const reading = useMemo(
    () =>
      vocabulary && half.text.trim() !== '' && !isTake(text) ? parseQuickLine(half.text, vocabulary) : null,
    [half, text, vocabulary],
  );
  const preview = useMemo(
    () => (reading?.line && vocabulary ? previewLine(reading.line, vocabulary) : null),
    [reading, vocabulary],
  );
  const completions = useMemo(
    () => (vocabulary && text.trim() !== '' && !isTake(text) ? completeQuickLine(text, vocabulary) : []),
    [text, vocabulary],
  );

  const write = (next: string): void => {
    setText(next);
    setOpen(true);
    input.current?.focus();
  };

  const command = (pieces: 'closed' | 'open' | null, anyway: boolean): NewCommand | null => {
    if (taking) {
      const { foods, amount, unit, on, fault: wrong } = taking;
      if (wrong !== '') return null;
      return { type: 'stock.take', foods: foods.map(({ id }) => id), amount, unit, by: mealTime(on), pieces };
    }
    if (!reading?.line || (preview?.refused && !(anyway && preview.overrule))) return null;
    return { type: 'haul.store', lines: [{ ...toApiLine(reading.line), anyway }] };
  };

  const early = useRef(entered);
  const sending = useRef(false);
  const store = async (pieces: 'closed' | 'open' | null = null, anyway = false): Promise<void> => {
    // Entered before the foods were here: it is read and stored as soon as they are.
    if (!vocabulary) early.current = text.trim() !== '';
    const wanted = command(pieces, anyway);
    const toBench = intake && !taking ? reading?.line : null;
    if (sending.current || (!wanted && !toBench)) {
      setOpen(true);
      return;
    }
    sending.current = true;
    setStoring(true);
    const done =
      intake && toBench ? await intake(toBench, half.half) : wanted ? (await act(wanted)) !== null : false;
    sending.current = false;
    setStoring(false);
    if (!done) return;
    const kept = [text, ...recalledLines().filter((line) => line !== text)].slice(0, MOST_RECALLED);
    localStorage.setItem(RECALLED, JSON.stringify(kept));
    back.current = -1;
    setText('');
    renew();
  };

  const storeNow = useRef(store);
  useEffect(() => {
    storeNow.current = store;
  });
  useEffect(() => {
    if (!vocabulary || !early.current) return;
    early.current = false;
    void storeNow.current();
  }, [vocabulary]);

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') void store();
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
        className="card fixed inset-x-2 bottom-32 max-h-[60dvh] overflow-y-auto p-4 text-ink shadow-2xl sm:absolute sm:inset-x-auto sm:right-0 sm:bottom-[calc(100%+0.8rem)] sm:w-[34rem]"
      >
        {fault !== '' && <p className="text-beet">{fault}</p>}
        {!vocabulary && fault === '' && <p className="text-slate">Fetching the foods …</p>}
        {taking && (
          <TakePanel
            reading={taking}
            busy={busy || storing}
            onPick={write}
            onTake={(pieces) => void store(pieces)}
          />
        )}
        {reading && (
          <QuickReadingPanel
            reading={reading}
            preview={preview}
            toBench={intake !== null}
            completions={completions}
            busy={busy || storing}
            onPick={write}
            onStore={() => void store()}
            onOverrule={() => void store(null, true)}
          />
        )}
      </div>
    </div>
  );
}
