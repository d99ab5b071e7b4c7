'use client';

import { useState } from 'react';
import type { DeskView } from '@/services/outage/cutDesk';
import { useDoor } from '../door/useDoor';
import { useClock } from '../haul/useNow';
import { CatchUpCard } from './CatchUpCard';
import { localInput, sayLeft } from './cutWords';
import type { Desk } from './deskOf';
import { IfMay } from '../door/IfMay';

/** Since when, how long, and the way on: power is back, put right, put away. */
export function CutHead({
  view,
  desk: { cut, judged },
  hours,
}: {
  view: DeskView;
  desk: Desk;
  hours: number;
}) {
  const { act, busy } = useDoor();
  const clock = useClock(view.now);
  const [editing, setEditing] = useState(false);
  const [catching, setCatching] = useState(false);
  const [from, setFrom] = useState(localInput(Date.parse(cut.from)));
  const [until, setUntil] = useState(cut.until === null ? '' : localInput(Date.parse(cut.until)));
  const sayTime = (at: string): string =>
    new Date(at).toLocaleString('en-GB', { weekday: 'short', hour: '2-digit', minute: '2-digit' });
  const ended = cut.until !== null;
  const open = judged.filter(({ verdict }) => verdict.verdict !== 'keep' && verdict.rule !== 'date').length;
  const sound = from !== '' && (until === '' || Date.parse(until) >= Date.parse(from));
  return (
    <section aria-label="The power cut" className="space-y-3">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[1.6rem]">
          {ended
            ? `The power was off for ${sayLeft(hours)}, until ${sayTime(cut.until ?? '')}`
            : `Power off since ${sayTime(cut.from)}, ${sayLeft(hours)} ago`}
        </h1>
        {!ended && (
          <button
            type="button"
            className="button min-h-12 text-lg"
            data-main="true"
            disabled={busy}
            onClick={() => void act({ type: 'cut.time', cut: cut.id, from: cut.from, until: clock() })}
          >
            Power is back
          </button>
        )}
        <button type="button" className="button" aria-expanded={editing} onClick={() => setEditing(!editing)}>
          Times
        </button>
        <a className="button" href="/api/v1/outage/card" target="_blank" rel="noreferrer">
          Paper card
        </a>
        <button
          type="button"
          className="button"
          aria-expanded={catching}
          onClick={() => setCatching(!catching)}
        >
          From the card
        </button>
        {ended && (
          <button
            type="button"
            className="button"
            disabled={busy}
            onClick={() => void act({ type: 'cut.close', cut: cut.id })}
          >
            {cut.closedAt === null ? 'Put the desk away' : 'Put away'}
          </button>
        )}
      </div>
      {ended && open > 0 && cut.closedAt === null && (
        <p className="text-slate">
          {open === 1 ? 'One package is' : `${open} packages are`} not decided. Until then nothing of{' '}
          {open === 1 ? 'it' : 'them'} is offered anywhere. Put the desk away, and the stricter answer counts:
          what nobody looked at is thrown out.
        </p>
      )}
      {catching && (
        <IfMay type="cut.judge">
          <CatchUpCard cut={cut} onDone={() => setCatching(false)} />
        </IfMay>
      )}
      {editing && (
        <form
          className="card flex flex-wrap items-end gap-3 p-4"
          onSubmit={(event) => {
            event.preventDefault();
            if (!sound) return;
            const told = {
              from: new Date(from).toISOString(),
              until: until === '' ? null : new Date(until).toISOString(),
            };
            void act({ type: 'cut.time', cut: cut.id, ...told }).then(
              (answers) => answers && setEditing(false),
            );
          }}
        >
          <label>
            <span className="block text-slate">Power went off</span>
            <input
              className="field"
              type="datetime-local"
              value={from}
              onChange={(event) => setFrom(event.target.value)}
            />
          </label>
          <label>
            <span className="block text-slate">Power came back (empty while it is off)</span>
            <input
              className="field"
              type="datetime-local"
              value={until}
              onChange={(event) => setUntil(event.target.value)}
            />
          </label>
          <button type="submit" className="button" data-main="true" disabled={busy || !sound}>
            Put right
          </button>
          <p role="alert" className="w-full text-beet">
            {sound ? '' : 'The power came back before it went; check the two times.'}
          </p>
        </form>
      )}
      {view.readings.length === 0 && !ended && (
        <p className="text-slate">
          A thermometer read in the first quarter of the cut and once near its end proves most. Middle of a
          shelf, not the door; shut it quickly.
        </p>
      )}
    </section>
  );
}
