'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { WhatIfView } from '@/services/stock/whatIf';
import { useRead } from '../door/useRead';

const WhatIfChart = dynamic(() => import('../chart/WhatIfChart').then((module) => module.WhatIfChart), {
  ssr: false,
  loading: () => <p className="flex h-56 items-center justify-center text-slate">Drawing …</p>,
});

/** What the date would be: left, opened, frozen now or later, cooked. A slider goes through the choices. */
export function WhatIf({ code }: { code: string }) {
  const [at, setAt] = useState(0);
  const { body, fault } = useRead<{ choices: WhatIfView[] }>(`/api/v1/packages/${code}/what-if`);
  const choices = body?.choices ?? null;
  if (fault !== '') return <p className="text-beet">{fault}</p>;
  if (!choices) return <p className="text-slate">Working it out …</p>;
  const chosen = choices[at];
  if (!chosen) return <p className="text-slate">There is nothing to choose for it.</p>;
  return (
    <div className="space-y-2">
      <label className="block">
        <span className="block text-slate">Slide through what you might do</span>
        <input
          type="range"
          className="h-11 w-full accent-[var(--ink)]"
          min={0}
          max={choices.length - 1}
          step={1}
          value={at}
          aria-valuetext={`${chosen.says}: ${chosen.refused ?? chosen.date_words}`}
          onChange={(event) => setAt(Number(event.target.value))}
        />
      </label>
      <p role="status">
        <b className="font-heading text-lg">{chosen.says}</b>
        <span className={`block ${chosen.refused ? 'text-beet' : ''}`}>
          {chosen.refused ?? `${chosen.date_words}, ${sayDays(chosen.days ?? 0)}`}
        </span>
      </p>
      <WhatIfChart choices={choices} chosen={at} />
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center text-deep underline">
          As a table
        </summary>
        <table className="w-full text-left">
          <thead className="text-slate">
            <tr>
              <th scope="col" className="py-1 font-normal">
                Choice
              </th>
              <th scope="col" className="font-normal">
                Date
              </th>
            </tr>
          </thead>
          <tbody className="divide-y divide-line">
            {choices.map(({ key, says, date_words, refused }) => (
              <tr key={key}>
                <th scope="row" className="py-1.5 pr-3 font-semibold">
                  {says}
                </th>
                <td className={refused ? 'text-beet' : ''}>{refused ?? date_words}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}

function sayDays(days: number): string {
  if (days === 0) return 'that is today';
  return days < 0 ? `${-days} days ago` : `${days} ${days === 1 ? 'day' : 'days'} from now`;
}
