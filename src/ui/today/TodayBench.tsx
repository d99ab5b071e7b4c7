'use client';

import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import type { SeenToday } from '@/services/today/seenToday';
import { KitchenMap } from '../map/KitchenMap';
import { useNarrow } from '../shell/useNarrow';
import { FirstOut } from './FirstOut';
import { JobsOfTheDay } from './JobsOfTheDay';
import { ScopeSwitch } from './ScopeSwitch';

const ZoneStrip = dynamic(() => import('../map/ZoneStrip').then((module) => module.ZoneStrip));
const LeaderLine = dynamic(() => import('./LeaderLine').then((module) => module.LeaderLine));

/**
 * The drawn kitchen beside first out; what is chosen in the list lights up on the drawing.
 *
 * @param told Today as text: one text is sent faster than a thousand parts
 */
export function TodayBench({ told, phone }: { told: string; phone: boolean }) {
  const view = useMemo(() => JSON.parse(told) as SeenToday, [told]);
  const [chosen, setChosen] = useState<string | null>(null);
  const rowIds = view.first_out.map(({ view: { id } }) => id);
  // Arrow keys begin the list from anywhere on the page that has no use for them.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'ArrowDown' || event.target !== document.body) return;
      event.preventDefault();
      document.querySelector<HTMLElement>('[data-row-name]')?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const narrow = useNarrow(phone);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:h-[calc(100dvh-9.6rem)] lg:grid-cols-[minmax(0,1.78fr)_minmax(0,1fr)] lg:grid-rows-[auto_minmax(0,1fr)] lg:gap-x-4">
      <div className="space-y-2">
        <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
          <div className="min-w-0">
            <h1 className="text-[1.6rem] leading-tight">{view.today_words.replace(/ \d{4}$/, '')}</h1>
            <p className="text-slate">{view.summary}</p>
          </div>
          <ScopeSwitch scope={view.scope} scopes={view.scopes} />
        </div>
        <JobsOfTheDay jobs={view.jobs} asking={view.asking} />
      </div>
      {narrow ? (
        <ZoneStrip appliances={view.appliances} />
      ) : (
        <div className="min-h-0 max-lg:order-3 max-md:hidden lg:overflow-y-auto [&>*]:min-h-full">
          <KitchenMap appliances={view.appliances} />
        </div>
      )}
      <div className="flex min-h-0 flex-col lg:col-start-2 lg:row-span-2 lg:row-start-1">
        <FirstOut view={view} chosen={chosen} onChoose={setChosen} />
      </div>
      {chosen !== null && <LeaderLine rowId={rowIds.includes(chosen) ? chosen : null} />}
    </div>
  );
}
