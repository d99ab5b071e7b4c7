'use client';

import { CloudOff } from 'lucide-react';
import { useEffect } from 'react';
import { useReached } from '../door/kitchenClock';
import { readOwn, shownWhose, writeOwn } from '../door/ownStorage';
import { keepFor, WHOSE } from '@/workers/whose';
import { PAGES_CACHE } from '@/workers/offlineCaches';

/** Pages that a dark house needs. */
const KEPT_PAGES = ['/', '/outage', '/outage/prepare', '/outage/drill', '/stock', '/stock/shopping'];
const KEEP_AGAIN_MS = 5 * 60_000;
const PLACE = 'pages-kept-at';

/** Fetches the pages that a dark house needs, now and then, while there is a network. */
async function keepPages(): Promise<void> {
  const last = Number(readOwn(PLACE) ?? 0);
  if (!navigator.onLine || Date.now() - last < KEEP_AGAIN_MS) return;
  await keepFor(shownWhose());
  const cache = await caches.open(PAGES_CACHE);
  for (const page of KEPT_PAGES) {
    const response = await fetch(page, { headers: { accept: 'text/html' } });
    // Somebody else may have come to this device meanwhile.
    if (response.ok && response.headers.get(WHOSE) === shownWhose()) await cache.put(page, response);
  }
  writeOwn(PLACE, String(Date.now()));
}

/**
 * Keeps this device ready for a house without power or network, and says so when there is none: what is shown is as it was last
 * seen, and what is told waits here.
 *
 * @param at when the page was made, ISO 8601
 */
export function Offline({ at }: { at: string }) {
  const reached = useReached();
  useEffect(() => {
    // Only a secure address has workers; without one the outage page says what will not work.
    if (!('serviceWorker' in navigator)) return;
    void navigator.serviceWorker
      .register('/service-worker.js')
      .then(() => navigator.serviceWorker.ready)
      .then(keepPages)
      .catch(() => {
        // A device that keeps nothing works as long as there is a network.
      });
  }, [reached]);
  if (reached) return null;
  const seen = new Date(at).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
  return (
    <p
      role="status"
      className="fixed inset-x-0 top-0 z-50 flex items-center justify-center gap-2 bg-strip px-3 py-1.5 text-[0.9375rem] text-white"
    >
      <CloudOff aria-hidden size={18} />
      The kitchen’s server is out of reach. This is as it was on {seen}; what you tell waits here and is sent
      when it is back.
    </p>
  );
}
