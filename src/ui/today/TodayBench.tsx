'use client';

import { useEffect, useState } from 'react';
import type { TodayView } from '@/services/today/today';
import { KitchenMap } from '../map/KitchenMap';
import { ZoneStrip } from '../map/ZoneStrip';
import { FirstOut } from './FirstOut';
import { JobsOfTheDay } from './JobsOfTheDay';
import { LeaderLine } from './LeaderLine';
import { ScopeSwitch } from './ScopeSwitch';

/** The drawn kitchen beside first out; what is chosen in the list lights up on the drawing. */
export function TodayBench({ view }: { view: TodayView }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const rowIds = [...view.first_out, ...view.answered].map(({ view: { id } }) => id);
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
  const heading = (
    <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
      <div className="min-w-0">
        <h1 className="text-[1.6rem] leading-tight">{view.today_words.replace(/ \d{4}$/, '')}</h1>
        <p className="text-slate">{view.summary}</p>
      </div>
      <ScopeSwitch scope={view.scope} scopes={view.scopes} />
    </div>
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:h-[calc(100dvh-9.6rem)] lg:grid-cols-[minmax(0,1.78fr)_minmax(0,1fr)]">
      <div className="flex min-h-0 flex-col gap-2.5 max-lg:order-2 max-lg:mt-2 max-md:hidden">
        <div className="space-y-2 max-lg:hidden">
          {heading}
          <JobsOfTheDay jobs={view.jobs} asking={view.asking} />
        </div>
        <div className="min-h-0 flex-1 lg:overflow-y-auto [&>*]:min-h-full">
          <KitchenMap appliances={view.appliances} />
        </div>
      </div>
      <div className="flex min-h-0 flex-col gap-3 max-lg:order-1">
        <div className="space-y-2 lg:hidden">
          {heading}
          <JobsOfTheDay jobs={view.jobs} asking={view.asking} />
        </div>
        <ZoneStrip appliances={view.appliances} />
        <FirstOut view={view} chosen={chosen} onChoose={setChosen} />
      </div>
      <LeaderLine rowId={chosen !== null && rowIds.includes(chosen) ? chosen : null} />
    </div>
  );
}
