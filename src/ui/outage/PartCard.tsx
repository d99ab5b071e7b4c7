'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { Cut, CutPart, CutReading } from '@/core/model/cut';
import type { CutForecast } from '@/core/powercut/forecastCut';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useSay } from '../units/useSay';
import { useUnits } from '../units/useWording';
import { PartMore } from './PartMore';
import { toldPart } from './toldPart';
import { sayLeft, sayTime, TELLTALE_CHOICES } from './cutWords';
import { sayCelsius } from '@/core/powercut/sayCut';
import { IfMay } from '../door/IfMay';

const HOUR_MS = 3_600_000;
const SOON_H = 2;

/** Words for how long it holds: about, surely, published, and what to act on. */
function forecastWords(forecast: CutForecast, gone: number, kind: CutPart['kind']): string {
  const { to4c, publishedLimitH, safeUntilH } = forecast;
  // Controlled food may stand above 4.4 °C for less than two hours in a fridge (O1).
  const grace = kind === 'fridge' ? 2 : 0;
  const left = (hours: number): string =>
    !Number.isFinite(hours) ? 'days' : hours <= gone ? 'no time' : sayLeft(hours - gone);
  return `about ${left(to4c.p50 + grace)} left, surely ${left(to4c.p10 + grace)}; published: ${left(publishedLimitH)}; act on ${left(safeUntilH)}`;
}

/** One part of the cut: how long it still holds, its thermometer in one tap, its doors counted, its telltale. */
export function PartCard({
  cut,
  part,
  readings,
  openings,
  forecast,
  now,
  shown,
  onShow,
}: {
  cut: Cut;
  part: CutPart;
  readings: readonly CutReading[];
  openings: number;
  forecast: CutForecast | undefined;
  now: string;
  /** Its chart is the one that is shown. */
  shown: boolean;
  onShow: () => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const [more, setMore] = useState(false);
  const celsius = readDegrees(typed, units);
  const sound = Number.isFinite(celsius) && Math.abs(celsius) <= 120;
  const ended = cut.until !== null;
  const gone = (Date.parse(cut.until ?? now) - Date.parse(cut.from)) / HOUR_MS;
  const left = forecast ? forecast.safeUntilH - gone : null;
  const last = [...readings].sort((a, b) => (a.at < b.at ? -1 : 1)).at(-1);
  const pressing = left !== null && left <= SOON_H && part.drawn && !ended;
  const set = (change: Partial<CutPart>, off = false, looked = false): void =>
    void act({ type: 'cut.part', cut: cut.id, part: toldPart(part, change, looked), off });
  // What a telltale showed while the power was off says nothing of the whole cut.
  const early = ended && (part.telltaleAt ?? cut.until ?? '') < (cut.until ?? '');
  return (
    <section
      aria-label={part.called}
      className={`card flex flex-col gap-2 p-4 ${pressing ? 'border-2 border-ember' : ''}`}
    >
      <h2 className="flex items-baseline justify-between gap-2 text-lg">
        {part.called}
        {part.drawn && !shown && (
          <button type="button" className="button border-transparent px-2 text-deep" onClick={onShow}>
            Chart
          </button>
        )}
      </h2>
      {part.drawn && !ended && (
        <p className="font-heading text-4xl font-bold" role="timer">
          {left === null ? '…' : left <= 0 ? 'act now' : sayLeft(left)}
        </p>
      )}
      <p className="text-[0.9375rem] text-slate">
        {part.drawn && forecast
          ? `${ended ? `published limit ${sayLeft(forecast.publishedLimitH)}` : forecastWords(forecast, gone, part.kind)} · `
          : ''}
        {Math.round(part.fill * 100)} % full
        {last ? say(` · read ${sayCelsius(last.c)} at ${sayTime(last.at)}`) : ' · not read yet'}
        {openings > 0 ? ` · opened ${openings === 1 ? 'once' : `${openings} times`}` : ''}
      </p>
      <form
        className="mt-auto flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!sound) return;
          void act({ type: 'cut.read', cut: cut.id, part: part.id, reading: newUuid(), c: celsius }).then(
            (answers) => answers && setTyped(''),
          );
        }}
      >
        <label className="w-24">
          <span className="sr-only">
            {part.called} reads, {degreesOf(units)}
          </span>
          <input
            className="field"
            inputMode="text"
            placeholder={degreesOf(units)}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="button" data-main={sound} disabled={busy || !sound}>
          Read
        </button>
        {!ended && (
          <button
            type="button"
            className="button"
            disabled={busy}
            aria-label={`The door of ${part.called} was opened`}
            onClick={() => void act({ type: 'cut.open', cut: cut.id, part: part.id, opening: newUuid() })}
          >
            Opened
          </button>
        )}
        <button
          type="button"
          className="button border-transparent"
          aria-expanded={more}
          aria-label={`More of ${part.called}`}
          onClick={() => setMore(!more)}
        >
          …
        </button>
      </form>
      {part.kind === 'freezer' && (
        <Choice
          label="Telltale: bag of ice cubes, or a frozen cup with a coin"
          value={early ? 'none' : part.telltale}
          choices={TELLTALE_CHOICES}
          onChoose={(telltale) => set({ telltale }, false, true)}
        />
      )}
      {more && (
        <IfMay type="cut.part">
          <PartMore cut={cut} part={part} readings={readings} onSet={set} />
        </IfMay>
      )}
    </section>
  );
}
