import type { FirstOutRow } from '@/services/today';
import { DateButton } from '../package/DateButton';
import { FirstOutName } from './FirstOutName';
import { MainAction } from '../package/MainAction';

const BAR: Record<string, string> = {
  settled: 'bg-ice',
  soon: 'bg-honey',
  today: 'bg-ember',
  past: 'bg-beet',
};

/** The list in the order in which to eat; what is past stands on top. */
export function FirstOut({ rows, settled }: { rows: FirstOutRow[]; settled: number }) {
  return (
    <section aria-labelledby="first-out" className="card flex min-h-0 flex-col px-4 pt-3">
      <header className="border-b border-line pb-2">
        <h2 id="first-out" className="text-lg">
          First out
        </h2>
        <p className="text-slate">oldest and shortest-dated first</p>
      </header>
      {rows.length === 0 ? (
        <p className="py-6 text-lg">
          Nothing presses. When something comes near its date it stands here, with what to do. To put food in,
          type a line at the bottom: <b>trout 1.6 kg / 4 flat &gt; layer 1</b>
        </p>
      ) : (
        <ol className="-mr-2 min-h-0 flex-1 divide-y divide-line overflow-y-auto pr-2">
          {rows.map(({ view, count }) => (
            <li
              key={view.id}
              className="grid grid-cols-[5.2rem_minmax(0,1fr)_auto] items-center gap-x-2 py-1.5 sm:grid-cols-[6.2rem_minmax(0,1fr)_auto]"
            >
              <div>
                <DateButton view={view} />
                <p className="-mt-2 text-[0.9375rem] leading-tight text-slate">{view.left_words}</p>
              </div>
              <FirstOutName view={view} count={count} />
              <MainAction view={view} count={count} />
              <div aria-hidden className="col-span-2 col-start-2 mt-1 h-1.5 rounded-full bg-rime">
                <div
                  className={`h-full rounded-full ${BAR[view.band]}`}
                  style={{ width: `${Math.round(view.spent * 100)}%` }}
                />
              </div>
            </li>
          ))}
        </ol>
      )}
      <p className="border-t border-line py-2.5 text-slate">
        {settled} more {settled === 1 ? 'package is' : 'packages are'} settled.{' '}
        <a href="/stock" className="text-deep underline">
          See all in Stock
        </a>
      </p>
    </section>
  );
}
