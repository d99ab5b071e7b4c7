'use client';

import { useEffect, useState } from 'react';
import { sayMinutes } from './sayMinutes';

const TICK_MS = 15_000;
const HURRY_MINUTES = 20;

/** Minutes that something may still stand out; they run down while the page is open. */
export function MinutesLeft({ minutes, words = false }: { minutes: number; words?: boolean }) {
  const [passed, setPassed] = useState(0);
  useEffect(() => {
    const begun = Date.now();
    const timer = setInterval(() => setPassed(Math.floor((Date.now() - begun) / 60_000)), TICK_MS);
    return () => clearInterval(timer);
  }, [minutes]);
  const left = minutes - passed;
  return (
    <b className={`font-heading text-base ${left <= HURRY_MINUTES ? 'text-[#ffb38a]' : 'text-[#f3d188]'}`}>
      {sayMinutes(left)}
      {words && left > 0 && (
        <span className="font-text text-[0.95rem] font-normal text-[#fbfdfc]"> left</span>
      )}
    </b>
  );
}
