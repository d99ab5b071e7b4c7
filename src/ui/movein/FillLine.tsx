'use client';

import { Said } from '../units/Said';
import { type ClipboardEvent, type KeyboardEvent, useMemo, useRef } from 'react';
import { choicesOf, Faults, takenByEnter } from '../quickline/Faults';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { type FilledLine, readFilled } from './storeFilled';
import { useUnits } from '../units/useWording';

/** One line a thing: read while one types; Enter stores it, or takes the first answer to what is asked. */
export function FillLine({
  text,
  zone,
  zoneName,
  vocabulary,
  onText,
  onStore,
  onMany,
  onAge,
  onNext,
  onAside,
}: {
  text: string;
  zone: string;
  zoneName: string;
  vocabulary: KnownVocabulary | null;
  onText: (text: string) => void;
  onStore: (filled: FilledLine) => void;
  onMany: (lines: string[]) => void;
  /** How old it is, told by the key of the answer, 1 to 3. */
  onAge: (key: string) => void;
  onNext: () => void;
  onAside: (filled: FilledLine) => void;
}) {
  const units = useUnits();
  const input = useRef<HTMLInputElement>(null);
  const filled = useMemo(
    () => (vocabulary && text.trim() !== '' ? readFilled(text, zone, vocabulary) : null),
    [text, zone, vocabulary],
  );
  const choices = filled ? choicesOf(filled.reading) : [];
  const pick = (line: string): void => {
    onText(line);
    input.current?.focus();
  };
  const enter = (): void => {
    const likely = takenByEnter(choices);
    if (text.trim() === '') onNext();
    else if (filled && filled.commands.length > 0 && filled.fault === '') onStore(filled);
    else if (likely !== undefined) pick(likely);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>): void => {
    const choice = event.altKey ? choices[Number(event.key) - 1] : undefined;
    if (choice) pick(choice.text);
    else if (event.altKey && /^[1-3]$/.test(event.key)) onAge(event.key);
    else if (event.key === 'Enter' && event.ctrlKey && filled) onAside(filled);
    else if (event.key === 'Enter') enter();
    else return;
    event.preventDefault();
  };
  const onPaste = (event: ClipboardEvent<HTMLInputElement>): void => {
    const pasted = event.clipboardData.getData('text');
    if (!/\n/.test(pasted.trim())) return;
    event.preventDefault();
    onMany(pasted.split(/\r?\n/));
  };
  return (
    <div>
      <label className="block">
        <span className="block font-semibold">What lies in {zoneName}? One line a thing</span>
        <input
          ref={input}
          className="field mt-1"
          autoFocus
          autoComplete="off"
          spellCheck={false}
          maxLength={300}
          placeholder={units === 'us' ? 'ground beef 1 lb since spring' : 'mince 500 g since spring'}
          value={text}
          aria-describedby="fill-reading"
          aria-invalid={filled !== null && filled.fault !== ''}
          onChange={(event) => onText(event.target.value)}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
        />
      </label>
      <div id="fill-reading" aria-live="polite" className="mt-2 min-h-24">
        {!filled && (
          <p className="text-slate">
            Name, how much, about how old: “6 yogurt”, “stew 2 tubs xmas”, “peas{' '}
            {units === 'us' ? '2 lb no idea”, “ham 8 oz ub 12/3”. ' : '900 g no idea”, “ham 200 g ub 3/12”. '}
            Enter on an empty line goes to the next zone. A list may be pasted.
          </p>
        )}
        {filled && filled.reading.faults.length > 0 && (
          <>
            <Faults reading={filled.reading} onPick={pick} />
            <button type="button" className="button mt-2" onClick={() => onAside(filled)}>
              Keep it aside for later <kbd className="key">Ctrl Enter</kbd>
            </button>
          </>
        )}
        {filled?.preview && (
          <p>
            {filled.reading.parts
              .filter(({ guessed }) => guessed)
              .map(({ says, from }) => (
                <span key={from} className="mr-2 border-b-4 border-dashed border-honey">
                  <Said>{says}</Said>?
                </span>
              ))}
            <span>
              <Said>{filled.preview.packs}</Said>
            </span>
            {filled.preview.due && <b className="ml-2 font-heading text-lg">{filled.preview.due}</b>}
            {filled.preview.warning !== '' && <b className="block text-beet">{filled.preview.warning}</b>}
            {filled.preview.notFor !== '' && <b className="block text-beet">{filled.preview.notFor}</b>}
            {filled.preview.refused && <b className="block text-beet">{filled.preview.refused}</b>}
          </p>
        )}
      </div>
    </div>
  );
}
