'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Seen } from '@/core/model/cut';
import type { CutForecast } from '@/core/powercut/forecastCut';
import { partForecast } from '@/core/powercut/partForecast';
import type { DeskView } from '@/services/outage/cutDesk';
import type { Sending } from '../door/doorClient';
import { useUnseen } from '../door/StillAsking';
import { useDoor } from '../door/useDoor';
import { useNow } from '../haul/useNow';
import { BeginCut } from './BeginCut';
import { CutHead } from './CutHead';
import { CutWalk } from './CutWalk';
import { toRawSeen } from '@/services/outage/seenNames';
import { DecideSheet } from './DecideSheet';
import { type Desk, deskOf, type Judged } from './deskOf';
import { DoneCard } from './DoneCard';
import { MeasuresCard } from './MeasuresCard';
import { NextCard } from './NextCard';
import { PartCard } from './PartCard';
import { useForecasts } from './useForecasts';
import { VerdictGroups } from './VerdictGroups';
import { withPending } from './withPending';
import { IfMay } from '../door/IfMay';

const CutChart = dynamic(() => import('./CutChart').then((module) => module.CutChart), { ssr: false });

const TICK_MS = 20_000;
const HOUR_MS = 3_600_000;

/** The outage desk: before, during and after a power cut. It judges and forecasts in the page itself. */
export function OutageDesk({ view: told }: { view: DeskView }) {
  const pending = useUnseen(told);
  const waits = JSON.stringify(pending);
  // Made anew only when something else waits.
  const view = useMemo(() => withPending(told, JSON.parse(waits) as Sending[]), [told, waits]);
  const now = useNow(view.now, TICK_MS);
  const desk = useMemo(() => deskOf(view, now), [view, now]);
  return desk ? (
    <OpenCut view={view} desk={desk} now={now} />
  ) : (
    <IfMay type="cut.begin">
      <BeginCut view={view} />
    </IfMay>
  );
}

function OpenCut({ view, desk, now }: { view: DeskView; desk: Desk; now: string }) {
  const { act, busy } = useDoor();
  const { cut, judged } = desk;
  const ended = cut.until !== null;
  const [shownId, setShown] = useState<string | null>(null);
  const [walking, setWalking] = useState(false);
  const [deciding, setDeciding] = useState<Judged[] | null>(null);
  const requests = useMemo(
    () =>
      // A cool box that nobody drew has no forecast.
      cut.parts.flatMap((part) => {
        const own = view.parts.find(({ id }) => part.drawn && id === part.id);
        return own ? [{ part, request: partForecast(cut, part, own, view) }] : [];
      }),
    [cut, view],
  );
  const answers = useForecasts(requests.map(({ request }) => request));
  const forecasts = new Map(
    requests.flatMap(({ part }, at): [string, CutForecast][] => {
      const forecast = answers[at];
      return forecast ? [[part.id, forecast]] : [];
    }),
  );
  const shown =
    requests.find(({ part }) => part.id === shownId) ??
    requests.find(({ part }) => part.kind === 'freezer') ??
    requests[0];
  const shownForecast = shown && forecasts.get(shown.part.id);
  const zones = useMemo(() => new Map(view.zones.map(({ id, name }) => [id, name])), [view.zones]);
  const see = (ids: string[], seen: Seen): void =>
    void act({ type: 'cut.see', cut: cut.id, packages: ids, seen: toRawSeen(seen) });
  const toDo = judged.filter(({ verdict }) => !['keep', 'check'].includes(verdict.verdict));
  const hours = (Date.parse(cut.until ?? now) - Date.parse(cut.from)) / HOUR_MS;
  const readings = (part: string) => view.readings.filter((one) => one.part === part && one.cut === cut.id);
  return (
    <div className="space-y-4">
      {!walking && <CutHead view={view} desk={desk} hours={hours} />}
      {walking ? (
        <CutWalk
          view={view}
          judged={judged}
          onSeen={see}
          onDo={
            ended
              ? (one, did) =>
                  act({
                    ...{ type: 'cut.judge', cut: cut.id },
                    things: [{ package: one.id, version: one.version, did }],
                  })
              : null
          }
          onEnd={() => setWalking(false)}
        />
      ) : (
        <div className="grid gap-5 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
          <div className="space-y-4 max-lg:contents">
            <div className="grid gap-4 max-lg:order-1 sm:grid-cols-2 xl:grid-cols-3">
              {cut.parts.map((part) => (
                <PartCard
                  key={part.id}
                  cut={cut}
                  part={part}
                  readings={readings(part.id)}
                  openings={view.openings.filter((one) => one.part === part.id && one.cut === cut.id).length}
                  forecast={forecasts.get(part.id)}
                  now={now}
                  shown={shown?.part.id === part.id}
                  onShow={() => setShown(part.id)}
                />
              ))}
            </div>
            {!ended && (
              <div className="max-lg:order-2">
                <NextCard view={view} desk={desk} forecasts={forecasts} now={now} />
              </div>
            )}
            <div className="space-y-4 max-lg:order-4">
              {shown && shownForecast && (
                <CutChart
                  cut={cut}
                  called={shown.part.called}
                  forecast={shownForecast}
                  readings={readings(shown.part.id)}
                  now={now}
                />
              )}
              {shown && !ended && <MeasuresCard called={shown.part.called} request={shown.request} />}
            </div>
          </div>
          <section aria-labelledby="verdicts" className="space-y-3 max-lg:order-3">
            <div>
              <h2 id="verdicts" className="text-2xl">
                {ended ? 'What to do with the food' : 'If it came back now'}
              </h2>
              <p role="status" className="text-slate">
                {judged.length} packages judged · when in doubt, throw it out
                {desk.cameLater > 0 ? ` · ${desk.cameLater} came in since, not judged` : ''}
              </p>
            </div>
            <div className="flex flex-wrap gap-2">
              <button type="button" className="button" data-main={ended} onClick={() => setWalking(true)}>
                Walk the zones
              </button>
              {ended && (
                <button
                  type="button"
                  className="button"
                  disabled={busy || toDo.length === 0}
                  onClick={() => setDeciding(toDo)}
                >
                  Do what is decided: {toDo.length}
                </button>
              )}
            </div>
            <VerdictGroups judged={judged} zones={zones} onSeen={see} onDecide={ended ? setDeciding : null} />
            <DoneCard desk={desk} />
          </section>
        </div>
      )}
      {deciding && (
        <DecideSheet
          cut={cut.id}
          items={deciding}
          currency={view.currency}
          onClose={() => setDeciding(null)}
        />
      )}
    </div>
  );
}
