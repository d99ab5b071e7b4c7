'use client';

import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 767px)';

function watch(changed: () => void): () => void {
  const query = matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/**
 * True on a phone held upright, so that only what is seen there is drawn.
 *
 * @param likely what the server took it for, until the page knows
 */
export function useNarrow(likely: boolean): boolean {
  return useSyncExternalStore(
    watch,
    () => matchMedia(NARROW).matches,
    () => likely,
  );
}
