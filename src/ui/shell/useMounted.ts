'use client';

import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** False while a page is drawn on the server and taken over, true from then on. */
export const useMounted = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
