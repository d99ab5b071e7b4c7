'use client';

import { v4 as newUuid } from 'uuid';
import { isControlled } from '@/core/model/outageClass';
import type { CutForecast } from '@/core/powercut/forecastCut';
import type { DeskView } from '@/services/outage/cutDesk';
import { useDoor } from '../door/useDoor';
import { useSay } from '../units/useSay';
import type { Desk, Judged } from './deskOf';

const HOUR_MS = 3_600_000;
const MOST_NAMED = 4;

const timeOf = (ms: number, nowMs: number): string => {
  const at = new Date(ms);
  const time = at.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  return ms - nowMs < 18 * HOUR_MS ? time : `${at.toLocaleDateString('en-GB', { weekday: 'short' })} ${time}`;
};

/** What to do next and by when: what the soonest part holds goes into a cool box, or is eaten; what first by its own date. */
export function NextCard({
  view,
  desk,
  forecasts,
  now,
}: {
  view: DeskView;
  desk: Desk;
  forecasts: ReadonlyMap<string, CutForecast>;
  now: string;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const { cut, judged } = desk;
  const nowMs = Date.parse(now);
  const classes = new Map(view.classes.map((one) => [one.id, one]));
  const atRisk = (one: Judged): boolean => {
    const its = classes.get(one.thing.class);
    return (
      !!its &&
      one.verdict.verdict !== 'discard' &&
      (one.thing.state === 'frozen' ? its.freezerThawedVerdict === 'discard' : isControlled(its))
    );
  };
  const [next] = cut.parts
    .flatMap((part) => {
      const forecast = forecasts.get(part.id);
      const things = judged.filter((one) => one.verdict.part === part.id && atRisk(one));
      if (!part.drawn || !forecast || things.length === 0) return [];
      return [{ part, things, byMs: Date.parse(cut.from) + forecast.safeUntilH * HOUR_MS }];
    })
    .sort((a, b) => a.byMs - b.byMs);
  const boxes = cut.parts.filter(({ drawn }) => !drawn);
  const [box] = boxes;
  if (!next)
    return (
      <section aria-label="Next" className="card p-4">
        <h2 className="text-lg">Next</h2>
        <p>
          {judged.some(({ verdict }) => verdict.verdict === 'discard')
            ? 'Leave the doors shut. What stands under “Throw out” is past saving, whatever is done now.'
            : 'Leave the doors shut. Nothing has to be moved yet.'}
        </p>
      </section>
    );
  const ordered = [...next.things].sort((a, b) => (a.thing.governing < b.thing.governing ? -1 : 1));
  const names = [...new Set(ordered.map(({ thing }) => thing.called))];
  const named = `${names.slice(0, MOST_NAMED).join(', ')}${names.length > MOST_NAMED ? ` and ${names.length - MOST_NAMED} more` : ''}`;
  const late = next.byMs <= nowMs;
  const ids = next.things.map(({ thing }) => thing.id);
  const toBox = (id: string): Promise<unknown> =>
    act({ type: 'cut.see', cut: cut.id, packages: ids.slice(0, 200), to: id });
  const newBox = async (): Promise<void> => {
    const part = { id: newUuid(), called: 'Cool box', kind: 'fridge', fill: 0.7, doors: 'shut', iceKg: 2 };
    if (await act({ type: 'cut.part', cut: cut.id, part })) await toBox(part.id);
  };
  return (
    <section aria-label="Next" className="card space-y-2 p-4">
      <h2 className="text-lg">Next</h2>
      <p>
        {named} {names.length === 1 ? 'goes' : 'go'} into a cool box with ice, or{' '}
        {names.length === 1 ? 'is' : 'are'} eaten.{' '}
        <b className="font-semibold">
          {late ? `That was due at ${timeOf(next.byMs, nowMs)}.` : `Before ${timeOf(next.byMs, nowMs)}.`}
        </b>
      </p>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={busy}
          onClick={() => void (box ? toBox(box.id) : newBox())}
        >
          Done, moved into {box?.called.toLowerCase() ?? 'the cool box'}
        </button>
      </div>
      <p className="text-slate">Or eat first, by their own dates:</p>
      <ul className="flex flex-wrap gap-2">
        {ordered.slice(0, 3).map(({ thing }) => (
          <li key={thing.id}>
            <button
              type="button"
              className="button"
              disabled={busy}
              onClick={() => void act({ type: 'package.take', package: thing.id, version: thing.version })}
            >
              Ate {thing.called} {say(thing.amount_words)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
