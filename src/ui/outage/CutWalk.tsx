'use client';

import { useState } from 'react';
import type { CutDeed, Seen } from '@/core/model/cut';
import type { DeskThing, DeskView } from '@/services/outage/cutDesk';
import { Said } from '../units/Said';
import { useSay } from '../units/useSay';
import { VERDICT_GROUPS } from './cutWords';
import type { Judged } from './deskOf';
import { SeenButtons } from './SeenButtons';
import { IfMay } from '../door/IfMay';

/** What wants a hand or an eye: all but what keeps by itself. */
const wantsLook = ({ verdict }: Judged): boolean => verdict.verdict !== 'keep';
const DEED_WORDS: Readonly<Record<CutDeed, string>> = {
  discard: 'It is out',
  'cook-now': 'To be cooked now',
  'eat-soon': 'Eat by tomorrow',
  refreeze: 'It stays, frozen again',
};
const lookedAt = ({ seen }: Judged): boolean => Object.keys(seen?.seen ?? {}).length > 0;

/** A walk along the zones in the order of doors: one package at a time, large, for one hand; each answer is kept as it is given. */
export function CutWalk({
  view,
  judged,
  onSeen,
  onDo,
  onEnd,
}: {
  view: DeskView;
  judged: readonly Judged[];
  onSeen: (ids: string[], seen: Seen) => void;
  /** Does what a verdict asks of one package at once; `null` while the power is off. */
  onDo: ((thing: DeskThing, did: CutDeed) => Promise<unknown>) | null;
  onEnd: () => void;
}) {
  const say = useSay();
  // Who is asked is settled at the start, so that nothing jumps while one answers; half of a walk begins where it was left.
  const [ids] = useState(() =>
    view.zones.flatMap(({ id }) =>
      judged.filter((one) => one.thing.zoneId === id && wantsLook(one)).map(({ thing }) => thing.id),
    ),
  );
  const byId = new Map(judged.map((one) => [one.thing.id, one]));
  const stops = ids.flatMap((id) => byId.get(id) ?? []);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      stops.findIndex((one) => !lookedAt(one)),
    ),
  );
  const here = stops[at];
  const zone = view.zones.find(({ id }) => id === here?.thing.zoneId);
  const part = view.parts.find(({ id }) => id === zone?.part);
  const group = VERDICT_GROUPS.find(({ verdict }) => verdict === here?.verdict.verdict);
  const looked = stops.filter(lookedAt).length;
  if (!here)
    return (
      <section aria-label="Walk the zones" className="card space-y-3 p-5">
        <h1 className="text-2xl">Nothing wants a look</h1>
        <p>
          {stops.length === 0
            ? 'By what is known, everything keeps, or nothing would change it.'
            : `${looked} of ${stops.length} looked at. What was not seen is judged by the clock.`}
        </p>
        <button type="button" className="button" data-main="true" onClick={onEnd}>
          To the verdicts
        </button>
      </section>
    );
  return (
    <section aria-label="Walk the zones" className="card space-y-4 p-5">
      <div>
        <p className="text-slate">
          {part?.called} · {zone?.name} · {at + 1} of {stops.length}
        </p>
        <progress className="h-2 w-full" value={looked} max={stops.length} aria-label="Looked at" />
      </div>
      <h1 className="text-3xl">
        {here.thing.called} {say(here.thing.amount_words)}
        <span className="ml-2 text-xl text-slate">{here.thing.code}</span>
      </h1>
      <p className={`border-l-8 pl-3 text-lg ${group?.edge ?? ''}`} role="status">
        <b className="font-heading">{group?.title}</b>: <Said>{here.verdict.says}</Said>
        {here.verdict.rule !== 'date' && (
          <span className="block text-[0.9375rem] text-slate">
            <Said>{here.verdict.evidence}</Said>
          </span>
        )}
      </p>
      <IfMay type="cut.see">
        <SeenButtons
          key={here.thing.id}
          large
          frozen={here.thing.state === 'frozen'}
          seen={here.seen?.seen ?? {}}
          onSeen={(seen) => onSeen([here.thing.id], seen)}
        />
      </IfMay>
      <div className="flex flex-wrap gap-2">
        {onDo && group?.did && (
          <button
            type="button"
            className="button min-h-14 flex-1 text-lg max-sm:min-w-full"
            data-main={group.did !== 'discard'}
            data-danger={group.did === 'discard'}
            onClick={() => void onDo(here.thing, group.did as CutDeed)}
          >
            {DEED_WORDS[group.did]}
          </button>
        )}
        <button
          type="button"
          className="button min-h-14 flex-1 text-lg"
          data-main={!onDo || !group?.did}
          onClick={() => setAt(at + 1)}
        >
          {at + 1 < stops.length ? 'Next' : 'That was the last'}
        </button>
        <button
          type="button"
          className="button min-h-14 text-lg"
          disabled={at === 0}
          onClick={() => setAt(at - 1)}
        >
          Back
        </button>
        <button type="button" className="button min-h-14 text-lg" onClick={onEnd}>
          Stop here
        </button>
      </div>
    </section>
  );
}
