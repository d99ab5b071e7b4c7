'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { BEGIN_LINE } from './beginLine';

const QuickBench = dynamic(() => import('./QuickBench').then((module) => module.QuickBench), {
  ssr: false,
  loading: () => <QuickShell text="" onWake={() => undefined} />,
});

const HINT = 'trout 1.6 kg / 4 flat > layer 1';

function QuickShell({ text, onWake }: { text: string; onWake: (text: string) => void }) {
  return (
    <div className="w-full sm:w-[27rem]">
      <input
        id="quick-line"
        aria-label="Quick line: what came in"
        placeholder={HINT}
        autoComplete="off"
        spellCheck={false}
        className="field border-transparent"
        defaultValue={text}
        onFocus={(event) => onWake(event.currentTarget.value)}
        onChange={(event) => onWake(event.currentTarget.value)}
      />
    </div>
  );
}

/** The quick line. What reads it (foods, dates in words) is fetched when it is first touched, so pages stay light. */
export function QuickLine() {
  const [woken, setWoken] = useState<string | null>(null);
  useEffect(() => {
    const begin = (event: Event): void => setWoken((event as CustomEvent<string>).detail);
    window.addEventListener(BEGIN_LINE, begin);
    return () => window.removeEventListener(BEGIN_LINE, begin);
  }, []);
  return woken === null ? (
    <QuickShell text="" onWake={setWoken} />
  ) : (
    <QuickBench key={woken} begin={woken} hint={HINT} />
  );
}
