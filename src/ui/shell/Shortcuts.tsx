'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { openFind } from '../find/openFind';
import { PLACES } from './places';

const KeyList = dynamic(() => import('./KeyList').then((module) => module.KeyList));

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** One key for each place; `?` lists them. */
export function Shortcuts() {
  const router = useRouter();
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (document.querySelector('[role=dialog]')) return;
      const place = PLACES.find(({ key }) => key === event.key);
      if (place) router.push(place.href);
      else if (event.key === '?') setShown(true);
      else if (event.key === 'f') openFind();
      else if (event.key === '/') document.getElementById('quick-line')?.focus();
      else if (event.key === 'u') [...document.querySelectorAll<HTMLElement>('[data-undo]')].at(-1)?.click();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  return shown ? <KeyList onClose={() => setShown(false)} /> : null;
}
