'use client';

import { useMemo } from 'react';
import type { CutRequest } from '@/core/powercut/cutForecast';
import { coarsely, coldMeasures } from '@/core/powercut/coldMeasures';
import { useSay } from '../units/useSay';
import { sayLeft } from './cutWords';
import { useForecasts } from './useForecasts';

const LEAST_H = 0.15;

/** What each measure brings in hours, for one part, by the same forecast; and dry ice, with its cautions. */
export function MeasuresCard({ called, request }: { called: string; request: CutRequest }) {
  const say = useSay();
  const measures = useMemo(() => coldMeasures(request), [request]);
  const asked = useMemo(
    () => [coarsely(request), ...measures.map((one) => one.request)],
    [request, measures],
  );
  const [base, ...others] = useForecasts(asked);
  const sayGain = (at: number): string => {
    const other = others[at];
    if (!base || !other) return '…';
    if (!Number.isFinite(base.to4c.p50) || !Number.isFinite(other.to4c.p50)) return 'beyond the forecast';
    const gain = other.to4c.p50 - base.to4c.p50;
    if (Math.abs(gain) < LEAST_H) return 'hardly anything';
    return `${gain > 0 ? '+' : '−'}${sayLeft(Math.abs(gain))}`;
  };
  return (
    <section aria-label="What brings hours" className="card p-4">
      <h2 className="text-lg">What brings hours: {called}</h2>
      <ul className="divide-y divide-line">
        {measures.map(({ key, says }, at) => (
          <li key={key} className="flex items-baseline justify-between gap-3 py-2">
            <span>{say(says)}</span>
            <b className="font-heading whitespace-nowrap">{sayGain(at)}</b>
          </li>
        ))}
      </ul>
      <p className="text-[0.9375rem] text-slate">
        By the middle of the forecast; the published limit stays what is acted on.{' '}
        {say('Dry ice: 23 kg hold a full freezer of 500 l for two days (after FoodSafety.gov). ')}
        Gloves, never with bare hands; never in a closed room or car, it takes the air; on cardboard above the
        food, never on it.
      </p>
    </section>
  );
}
