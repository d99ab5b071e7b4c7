'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { CalendarDate } from '@/core/calendar/calendarDate';
import type { ChangesView } from '@/services/household/changes';
import { doorClient } from '../door/doorClient';
import { fetchJson } from '../door/fetchJson';
import { noteLost, noteReached } from '../door/kitchenClock';
import { toldHere } from '../door/sendCommands';
import { tellWorker } from '../door/tellWorker';

/** Asked so often while the page is in sight. */
const EVERY_MS = 1200;
const SHOWN_MS = 12_000;

/**
 * What others did shows on this page within two seconds, with a quiet mark of who. Plain asking: it goes through every proxy, and
 * whichever copy of the server answers reads the same store.
 *
 * A new day judges everything anew: a page left open over night, or kept from yesterday, is read again.
 *
 * @param told how often something had been told when the page was made
 * @param day the household's day then
 */
export function Others({ told, day }: { told: number; day: CalendarDate }) {
  const router = useRouter();
  // What came between the making of the page and the first asking is news too.
  const [since] = useState({ changes: told, today: day });
  const [news, setNews] = useState<{ id: string; says: string; who: string } | null>(null);
  useEffect(() => {
    let known = since;
    let timer: ReturnType<typeof setTimeout>;
    let over = false;
    const look = async (): Promise<void> => {
      const { changes, latest, at, today } = await fetchJson<ChangesView>('/api/v1/changes');
      noteReached(at);
      if (over) return;
      const before = known;
      known = { changes, today };
      const newDay = today !== before.today;
      const others = changes !== before.changes && latest && !toldHere.has(latest.id) ? latest : null;
      if (!others && !newDay) return;
      tellWorker();
      if (others) setNews({ id: others.id, says: others.says, who: others.told_by ?? 'Somebody' });
      void doorClient().invalidateQueries({ predicate: ({ meta }) => newDay || meta?.lasting !== true });
      router.refresh();
    };
    const again = (): void => {
      clearTimeout(timer);
      if (over) return;
      timer = setTimeout(() => {
        if (document.visibilityState === 'hidden') again();
        else void look().catch(noteLost).finally(again);
      }, EVERY_MS);
    };
    // The page may have been kept for a while: it begins with what it knows now.
    void look().catch(noteLost).finally(again);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [router, since]);
  useEffect(() => {
    if (!news) return;
    const timer = setTimeout(() => setNews(null), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [news]);
  return (
    <p
      aria-live="polite"
      className="pointer-events-none fixed top-16 right-3 left-3 z-40 flex justify-end sm:right-6 print:hidden"
    >
      {news && (
        <span
          key={news.id}
          className="max-w-md rounded-part border border-line bg-snow px-3 py-1.5 text-[0.9375rem] text-slate-deep shadow-lg"
        >
          <b className="font-heading font-semibold text-ink">{news.who}:</b> {news.says}
        </span>
      )}
    </p>
  );
}
