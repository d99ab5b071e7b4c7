'use client';

import { Said } from '../units/Said';
import type { Meaning, QuickReading } from '@/core/quickline/quickLine';
import { Faults } from './Faults';
import { RuleName } from '../rules/RuleName';
import type { QuickPlace } from '@/core/quickline/placedReading';
import { WaysOut } from '../package/WaysOut';
import type { LinePreview } from './previewLine';

/** Each meaning has a colour and, for those who do not see it, its name below. */
const MEANING: Record<Meaning, { name: string; mark: string }> = {
  food: { name: 'food', mark: 'border-ink' },
  amount: { name: 'amount', mark: 'border-deep' },
  packs: { name: 'packs', mark: 'border-ice' },
  form: { name: 'form', mark: 'border-ice' },
  wrap: { name: 'wrap', mark: 'border-ice' },
  price: { name: 'price', mark: 'border-slate' },
  place: { name: 'place', mark: 'border-honey' },
  printed: { name: 'printed date', mark: 'border-ember' },
  happened: { name: 'what happened', mark: 'border-tape-edge' },
  note: { name: 'on the label', mark: 'border-slate' },
  unknown: { name: 'not understood', mark: 'border-beet border-dashed' },
};

/** What the line means, part by part, with the packages and the date it would give. */
export function QuickReadingPanel({
  reading,
  preview,
  waiting,
  place,
  completions,
  busy,
  toBench = false,
  half = false,
  onPick,
  onAnswer,
  onStore,
  onOverrule,
}: {
  reading: QuickReading;
  preview: LinePreview | null;
  /** Its place is looked for. */
  waiting: boolean;
  /** Where it goes and why, or why it stays on the counter. */
  place: QuickPlace | undefined;
  completions: string[];
  busy: boolean;
  /** A haul takes the line; portions and dates follow there. */
  toBench?: boolean;
  /** On the bench: half to the fridge, half to the freezer. */
  half?: boolean;
  onPick: (text: string) => void;
  /** A way out of what is asked. */
  onAnswer: (text: string) => void;
  onStore: () => void;
  /** Stores it where a rule of the household's own speaks against it. */
  onOverrule: () => void;
}) {
  return (
    <div className="space-y-3">
      <ul className="flex flex-wrap gap-x-3 gap-y-1.5">
        {reading.parts.map((part, at) => (
          <li
            key={`${at}-${part.meaning}`}
            className={`border-b-4 ${MEANING[part.meaning].mark} ${part.meaning === 'unknown' ? 'text-beet' : ''}`}
          >
            <span
              className={`font-heading font-semibold ${part.guessed ? 'underline decoration-honey decoration-dashed decoration-2 underline-offset-4' : ''}`}
            >
              {part.meaning === 'unknown' ? reading.text.slice(part.from, part.to) : <Said>{part.says}</Said>}
              {part.guessed && '?'}
            </span>
            <span className="ml-1.5 text-[0.9375rem] text-slate">{MEANING[part.meaning].name}</span>
          </li>
        ))}
        {half && (
          <li className="border-b-4 border-ice">
            <span className="font-heading font-semibold">half and half</span>
            <span className="ml-1.5 text-[0.9375rem] text-slate">fridge, freezer</span>
          </li>
        )}
      </ul>
      <div aria-live="polite" className="space-y-2">
        <Faults reading={reading} onPick={onAnswer} />
        {waiting && !toBench && <p className="text-slate">Looking where there is room …</p>}
        {place && !toBench && (
          <div className={place.rule === '' ? 'text-slate' : 'space-y-2 font-semibold'}>
            <p>
              {place.zone ? 'Placed for you: ' : ''}
              <Said>{place.says}</Said>
              {place.zone ? '.' : ''}
            </p>
            <WaysOut rule={place.rule} />
          </div>
        )}
        {!toBench && preview?.refused && <p className="font-semibold text-beet">{preview.refused}</p>}
        {preview?.due && !toBench && (
          <p>
            <span className="block">
              <Said>{preview.packs}</Said>
            </span>
            <b className="font-heading text-lg">{preview.due}</b>
            {preview.warning !== '' && <b className="block text-beet">{preview.warning}</b>}
            {preview.notFor !== '' && <b className="block text-beet">{preview.notFor}</b>}
          </p>
        )}
      </div>
      {preview?.due && !toBench && (
        <ul className="space-y-1 text-[0.9375rem] text-slate">
          {preview.trail.map((line, at) => (
            <li key={at}>
              <RuleName rule={line.rule} /> · <Said>{line.says}</Said>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {!toBench && preview?.overrule && (
          <button type="button" className="button" disabled={busy} onClick={onOverrule}>
            Put it there all the same
          </button>
        )}
        {(toBench ? reading.line !== null : preview?.due) && (
          <button type="button" className="button" data-main="true" disabled={busy} onClick={onStore}>
            {toBench ? 'On the bench' : 'Store'}{' '}
            <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
          </button>
        )}
        {!(toBench ? reading.line : preview?.due) && completions.length > 0 && (
          <>
            <span className="text-[0.9375rem] text-slate">Tab:</span>
            {completions.slice(0, 4).map((completion) => (
              <button key={completion} type="button" className="button" onClick={() => onPick(completion)}>
                {completion.trim()}
              </button>
            ))}
          </>
        )}
      </div>
    </div>
  );
}
