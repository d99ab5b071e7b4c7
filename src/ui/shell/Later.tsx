'use client';

import dynamic from 'next/dynamic';
import type { CalendarDate } from '@/core/calendar/calendarDate';

const Shortcuts = dynamic(() => import('./Shortcuts').then((module) => module.Shortcuts), { ssr: false });
const Offline = dynamic(() => import('./Offline').then((module) => module.Offline), { ssr: false });
const Notices = dynamic(() => import('./Notices').then((module) => module.Notices), { ssr: false });
const Others = dynamic(() => import('./Others').then((module) => module.Others), { ssr: false });

/** What shows nothing at first, fetched once the page lives: keys, what others do, what is kept for a house without network, the day's notices. @param at when the page was made, ISO 8601, @param changes how often something had been told then, @param today the household's day then */
export function Later({
  notifyAt,
  at,
  changes,
  today,
}: {
  notifyAt: string;
  at: string;
  changes: number;
  today: CalendarDate;
}) {
  return (
    <>
      <Shortcuts />
      <Others told={changes} day={today} />
      <Offline at={at} />
      <Notices notifyAt={notifyAt} />
    </>
  );
}
