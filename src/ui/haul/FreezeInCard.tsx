import { Said } from '../units/Said';
import type { FreezeInView } from '@/services/haul/freezeIn';
import { sayAmount } from '@/core/units/sayAmount';

const DAY_WORDS = ['', 'today', 'tomorrow', 'the day after'];
const sayDay = (day: number): string => DAY_WORDS[day] ?? `in ${day - 1} days`;

/** How much a freezer takes in a day, and what goes in on which, drawn against its limit. */
export function FreezeInCard({ freezer }: { freezer: FreezeInView }) {
  const { limit_g: limit, today_g: before, days } = freezer;
  const most = Math.max(limit, ...days.map(({ day, grams }) => grams + (day === 1 ? before : 0)));
  const share = (grams: number): string => `${(grams / most) * 100}%`;
  return (
    <section aria-label={`What ${freezer.called} takes in a day`} className="card space-y-2 p-3">
      <h3 className="text-base">
        {freezer.called} takes <Said>{sayAmount(limit, 'g')}</Said> a day
      </h3>
      <ul className="space-y-1.5">
        {days.map(({ day, grams, packs }) => (
          <li key={day}>
            <span className="flex justify-between text-[0.9375rem]">
              <b className="font-heading">{sayDay(day)}</b>
              <span className="text-slate">
                <Said>{sayAmount(grams + (day === 1 ? before : 0), 'g')}</Said>
                <Said>{day === 1 && before > 0 ? `, ${sayAmount(before, 'g')} of it in already` : ''}</Said>
              </span>
            </span>
            <span aria-hidden className="relative mt-0.5 flex h-4 overflow-hidden rounded bg-line/50">
              {day === 1 && before > 0 && (
                <span className="h-full bg-slate" style={{ width: share(before) }} />
              )}
              {packs.map((pack, at) => (
                <span
                  key={pack.key}
                  className="h-full border-r border-snow"
                  style={{
                    width: share(pack.grams),
                    background: at % 2 === 0 ? 'var(--ice)' : 'var(--deep)',
                  }}
                />
              ))}
              <span className="absolute inset-y-0 border-l-2 border-ember" style={{ left: share(limit) }} />
            </span>
            <span className="block text-[0.9375rem] text-slate">
              {packs.map(({ called, count }) => `${count} × ${called}`).join(', ')}
            </span>
          </li>
        ))}
      </ul>
      {freezer.warnings.map((says) => (
        <p key={says} className="text-[0.9375rem] font-semibold text-beet">
          {says}
        </p>
      ))}
      {days.length > 0 && <p className="text-[0.9375rem] text-slate">{freezer.says}</p>}
    </section>
  );
}
