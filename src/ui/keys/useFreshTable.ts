'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { GuestView } from '@/services/keys/guest';
import { fetchJson } from '../door/fetchJson';

const EVERY_MS = 20_000;

/** A table left open in the kitchen: what others took, and what a new day took away, goes from it by itself. @param view as shown */
export function useFreshTable(view: GuestView): void {
  const router = useRouter();
  const shown = JSON.stringify(view);
  useEffect(() => {
    const look = async (): Promise<void> => {
      if (document.visibilityState === 'hidden') return;
      if (JSON.stringify(await fetchJson<GuestView>('/api/v1/guest')) !== shown) router.refresh();
    };
    // Without an answer it stays as it is; whoever takes something is told.
    const again = (): void => void look().catch(() => undefined);
    const timer = setInterval(again, EVERY_MS);
    document.addEventListener('visibilitychange', again);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', again);
    };
  }, [router, shown]);
}
