'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import type { LookBackView } from '@/services/lookback/lookBack';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';

// The chart library knows no server.
const LookBackChart = dynamic(() => import('./LookBackChart').then((module) => module.LookBackChart), {
  ssr: false,
  loading: () => <div className="card h-96 p-4 text-slate">Drawing …</div>,
});

/** What a year teaches: what was lost and why, whether the oldest went first, how long food really keeps here. */
export function LookBackBench({ view }: { view: LookBackView }) {
  const say = useSay();
  return (
    <div className="space-y-5">
      <div>
        <h1 className="text-[1.6rem]">Look back</h1>
        <p className="text-slate">Since {view.since}. What was undone does not count.</p>
      </div>
      <section aria-labelledby="first-out-kept" className="card flex flex-wrap items-center gap-4 p-4">
        <div className="mr-auto">
          <h2 id="first-out-kept" className="text-xl">
            Did the oldest go first?
          </h2>
          <p>{view.first_out.words}</p>
        </div>
        {view.first_out.kept + view.first_out.jumped > 0 && (
          <p className="font-heading text-3xl font-bold">
            {Math.round((100 * view.first_out.kept) / (view.first_out.kept + view.first_out.jumped))} %
          </p>
        )}
      </section>
      <div className="grid gap-5 lg:grid-cols-2">
        {view.charts.map((chart) => (
          <LookBackChart key={chart.id} chart={chart} currency={view.currency} />
        ))}
        <section aria-labelledby="buy-less" className="card space-y-2 p-4">
          <h2 id="buy-less" className="text-xl">
            Buy less of
          </h2>
          {view.buy_less.length === 0 ? (
            <p className="text-slate">Of nothing was a tenth of what came in lost.</p>
          ) : (
            <ul className="divide-y divide-line">
              {view.buy_less.map((one) => (
                <li key={one.name} className="flex flex-wrap gap-x-3 py-2">
                  <b className="mr-auto font-heading">{one.name}</b>
                  <span>
                    {say(one.lost_words)} lost{one.money_words && `, ${one.money_words}`}:{' '}
                    {Math.round(one.share * 100)} % of what came in
                  </span>
                </li>
              ))}
            </ul>
          )}
        </section>
        <Learned view={view} />
      </div>
      <p>
        <Link className="text-deep underline" href="/outage/log">
          How cold it was: the thermometers’ logs
        </Link>
      </p>
    </div>
  );
}

function Learned({ view }: { view: LookBackView }) {
  const { act, busy } = useDoor();
  return (
    <section aria-labelledby="learned" className="card space-y-2 p-4">
      <h2 id="learned" className="text-xl">
        How long it really lasts here
      </h2>
      {view.learned.length === 0 ? (
        <p className="text-slate">
          Rounds teach this: what was fine on day 9 and turning on day 11. After three findings of a food it
          stands here; until then the published figure counts.
        </p>
      ) : (
        <ul className="divide-y divide-line">
          {view.learned.map((one) => (
            <li key={one.food} className="flex flex-wrap items-center gap-2 py-2">
              <p className="mr-auto">
                <b className="font-heading">{one.name}</b>: about {one.days} days ({one.low} to {one.high}),
                published {one.published}. <span className="text-slate">From {one.findings} findings.</span>
              </p>
              {one.wish !== null && (
                <button
                  type="button"
                  className="button"
                  disabled={busy}
                  onClick={() =>
                    void act({
                      ...{ type: 'food.wish', food: one.food },
                      wish: { ...one.wishes, fridgeDays: one.wish },
                    })
                  }
                >
                  Wish {one.wish} days
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <p className="text-[0.9375rem] text-slate">
        For quality dates only. A safety date is never learnt, and never moved by this.
      </p>
    </section>
  );
}
