'use client';

import { Bookmark, BookmarkX } from 'lucide-react';
import { useDoor } from '../door/useDoor';

/** Questions that are asked again and again, one press each; the present one may be kept, or forgotten. */
export function KeptAskings({
  words,
  kept,
  onAsk,
}: {
  words: string;
  kept: readonly string[];
  onAsk: (words: string) => void;
}) {
  const { act, busy } = useDoor();
  const plain = words.trim().toLowerCase();
  const isKept = kept.some((one) => one.toLowerCase() === plain);
  const others = kept.filter((one) => one.toLowerCase() !== plain);
  if (plain === '' && others.length === 0) return null;
  const keep = (): void => void act({ type: 'asking.keep', words: words.trim(), keep: !isKept });
  return (
    <div className="flex flex-wrap items-center gap-2">
      {plain !== '' && (
        <button type="button" className="button" disabled={busy} onClick={keep}>
          {isKept ? <BookmarkX aria-hidden size={18} /> : <Bookmark aria-hidden size={18} />}
          {isKept ? 'Do not keep this question' : 'Keep this question'}
        </button>
      )}
      {others.map((one) => (
        <button key={one} type="button" className="button" onClick={() => onAsk(one)}>
          {one}
        </button>
      ))}
    </div>
  );
}
