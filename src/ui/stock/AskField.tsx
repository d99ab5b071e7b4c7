'use client';

import { X } from 'lucide-react';
import type { AskedView } from '@/services/stock/stock';

/** The text without a stretch of it, and without the comma that is left over. */
const without = (text: string, { from, to }: { from: number; to: number }): string =>
  `${text.slice(0, from).replace(/[\s,]+$/, '')}${text.slice(to).replace(/^[\s,]+/, text.slice(0, from).trim() === '' ? '' : ', ')}`.trim();

/** What was understood of an asking, each part taken out with one press, and what was not. */
export function AskedParts({
  text,
  asked,
  onText,
}: {
  text: string;
  /** `null`: not read yet. */
  asked: AskedView | null;
  onText: (text: string) => void;
}) {
  return (
    <div id="stock-asked" className="flex flex-wrap items-center gap-1 empty:hidden">
      {asked?.parts.map((part) => (
        <button
          key={`${part.from} ${part.says}`}
          type="button"
          className="button border-line px-2.5"
          aria-label={`Without: ${part.says}`}
          onClick={() => onText(without(text, part))}
        >
          {part.guessed && <span className="text-slate">you mean </span>}
          {part.says}
          <X aria-hidden size={16} />
        </button>
      ))}
      {asked?.oldest && <span className="text-slate">oldest first</span>}
      {asked?.unknown.map(({ from, to, words, like }) => (
        <span key={from} className="text-beet">
          “{words}” means nothing here
          {like.map((name) => (
            <button
              key={name}
              type="button"
              className="button ml-1"
              onClick={() => onText(`${text.slice(0, from)}${name}${text.slice(to)}`)}
            >
              {name}?
            </button>
          ))}
        </span>
      ))}
    </div>
  );
}

/** Asking in one's own words. */
export function AskField({
  text,
  onText,
}: {
  text: string;
  onText: (text: string, waitMs?: number) => void;
}) {
  return (
    <label className="min-w-44 flex-1 sm:min-w-72">
      <span className="block text-slate">What do you want to see?</span>
      <input
        type="search"
        className="field"
        value={text}
        maxLength={120}
        placeholder="frozen, raw meat, older than 6 months"
        aria-describedby="stock-asked"
        onChange={(event) => onText(event.target.value, 200)}
      />
    </label>
  );
}
