'use client';

import { kitchenNow } from '../door/kitchenClock';
import { useCallback, useEffect, useRef, useState } from 'react';

/**
 * The time by the kitchen's own clock, ticking while the page is open.
 *
 * @param told the server's clock when the page was read, ISO 8601; this machine's may be wrong
 */
export function useNow(told: string, everyMs = 5000): string {
  const [now, setNow] = useState(told);
  useEffect(() => {
    const begun = performance.now();
    const tick = (): void => setNow(kitchenNow(told, performance.now() - begun));
    tick();
    const timer = setInterval(tick, everyMs);
    return () => clearInterval(timer);
  }, [told, everyMs]);
  return now;
}

/** The kitchen's own clock, asked at the moment of a press. @param told as for {@link useNow} */
export function useClock(told: string): () => string {
  const begun = useRef(0);
  useEffect(() => {
    begun.current = performance.now();
  }, [told]);
  return useCallback(() => kitchenNow(told, performance.now() - begun.current), [told]);
}
