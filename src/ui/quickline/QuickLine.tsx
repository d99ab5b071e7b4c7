'use client';

import { type ComponentType, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { withDecimals } from '@/core/units/wording';
import { useWording } from '../units/useWording';
import { BEGIN_LINE, draftBefore } from './beginLine';

interface Woken {
  Bench: ComponentType<{ begin: string; entered: boolean; left: boolean; hint: string }>;
  begin: string;
  entered: boolean;
  /** The cook went elsewhere before it came, and stays there. */
  left: boolean;
  /** How often it was begun: the same beginning, asked for again, begins again. */
  times: number;
}

const HINT = { metric: 'trout 1.6 kg / 4 flat > layer 1', us: 'trout 3.5 lb / 4 flat > layer 1' };

/**
 * The quick line. What reads it (foods, dates in words) is fetched when it is first touched, so pages stay light; what is
 * typed meanwhile is kept, an Enter too.
 */
export function QuickLine() {
  const { units, decimals } = useWording();
  const hint = withDecimals(HINT[units], decimals);
  const [woken, setWoken] = useState<Woken | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const entered = useRef(false);
  const wake = (begin?: string): void => {
    void import('./QuickBench').then(({ QuickBench }) =>
      // At once, so that no key falls between the two.
      flushSync(() =>
        setWoken((before) =>
          // Touched twice before it came: what is typed in it by now stays.
          before && begin === undefined
            ? before
            : {
                Bench: QuickBench,
                begin: begin ?? input.current?.value ?? '',
                entered: entered.current,
                left: begin === undefined && document.activeElement !== input.current,
                times: (before?.times ?? 0) + 1,
              },
        ),
      ),
    );
  };
  useEffect(() => {
    const begin = (event: Event): void => wake((event as CustomEvent<string>).detail);
    if (input.current && input.current.value === '') input.current.value = draftBefore();
    window.addEventListener(BEGIN_LINE, begin);
    return () => window.removeEventListener(BEGIN_LINE, begin);
  }, []);
  if (woken) {
    const { Bench, times, ...how } = woken;
    return <Bench key={times} {...how} hint={hint} />;
  }
  return (
    <div className="w-full sm:w-[27rem]">
      <input
        ref={input}
        id="quick-line"
        aria-label="Quick line: what came in"
        placeholder={hint}
        autoComplete="off"
        spellCheck={false}
        className="field border-transparent"
        onFocus={() => wake()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') entered.current = true;
        }}
      />
    </div>
  );
}
