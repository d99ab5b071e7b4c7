'use client';

import type { StockView } from '@/services/stock/stock';
import { useDoor } from '../door/useDoor';
import { useRead } from '../door/useRead';
import { Sheet } from '../door/Sheet';
import { MainAction } from '../package/MainAction';
import { DateButton } from '../package/DateButton';
import { sayPackage } from '../package/sayPackage';
import { Tape } from '../tape/Tape';
import { IfMay } from '../door/IfMay';

/** What lies in one zone, first out on top, each taken with one tap. */
export function ZoneSheet({ id, name, onClose }: { id: string; name: string; onClose: () => void }) {
  const { showPackage } = useDoor();
  const { body, fault } = useRead<StockView>(`/api/v1/stock?zone=${id}&limit=200`);
  const packages = body?.packages ?? null;
  return (
    <Sheet title={name} onClose={onClose}>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {packages?.length === 0 && (
        <p className="text-lg">
          Nothing lies here. Type a line at the bottom and end it with “&gt; {name.toLowerCase()}” to put
          something in.
        </p>
      )}
      <ul className="divide-y divide-line">
        {packages?.map((view) => (
          <li key={view.id} className="flex items-center gap-3 py-2">
            <button
              type="button"
              className="min-h-11 min-w-0 flex-1 cursor-pointer text-left"
              aria-label={sayPackage(view)}
              onClick={() => showPackage(view.code)}
            >
              <Tape food={view.food.name} detail={view.amount_words} band={view.band} state={view.state} />
              <span className="block text-[0.95rem] text-slate">
                {view.code} · {view.story.split(' · ').slice(1).join(' · ')}
              </span>
            </button>
            <DateButton view={view} />
            <IfMay type="package.take">
              <MainAction view={view} />
            </IfMay>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
