'use client';

import { Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import { type Collecting, collectKeys } from './collectKeys';
import { OPEN_FIND, openFind } from './openFind';

const FindSheet = dynamic(() => import('./FindSheet').then((module) => module.FindSheet));

/** Where is it: on every screen, one press or one key. */
export function FindButton() {
  const keys = useRef<Collecting | null>(null);
  const [begin, setBegin] = useState<string | null>(null);
  useEffect(() => {
    const open = (event: Event): void => {
      // A hurried cook types on before the panel is there.
      keys.current?.end();
      keys.current = collectKeys();
      setBegin((event as CustomEvent<string>).detail);
    };
    window.addEventListener(OPEN_FIND, open);
    return () => window.removeEventListener(OPEN_FIND, open);
  }, []);
  return (
    <>
      <button
        type="button"
        className="ml-auto flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-part px-2 font-heading font-semibold text-slate-deep hover:bg-rime"
        aria-haspopup="dialog"
        aria-keyshortcuts="f"
        onClick={() => openFind()}
      >
        <Search aria-hidden size={20} /> Find
      </button>
      {begin !== null && (
        <FindSheet
          begin={begin}
          typedBefore={() => keys.current?.end() ?? ''}
          onClose={() => {
            keys.current?.end();
            setBegin(null);
          }}
        />
      )}
    </>
  );
}
