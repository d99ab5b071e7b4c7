'use client';

import { useEffect, useState } from 'react';
import type { Finding } from '@/core/model/round';
import type { RoundsView, RoundThing } from '@/services/rounds/rounds';
import type { PackageView } from '@/services/stock/packageView';
import type { NewCommand } from '../door/doorClient';
import { useDoor } from '../door/useDoor';
import { LiesHere } from './LiesHere';
import { ThingCard } from './ThingCard';
import { IfMay } from '../door/IfMay';

/** What is not for eating is never fine, however many are told at once. */
const mayBeFine = ({ view }: RoundThing): boolean => view.verdict !== 'discard';

/** One zone a screen, large, for one hand: each thing with what to look for, each answer kept as it is given. */
export function RoundWalk({
  view,
  round,
  onStop,
}: {
  view: RoundsView;
  round: NonNullable<RoundsView['round']>;
  onStop: () => void;
}) {
  const { act } = useDoor();
  const zones = view.zones.filter(({ step }) => step !== null);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      zones.findIndex(({ step }) => step === 'open'),
    ),
  );
  const zone = zones[at];
  // Each zone begins at its top, also where the last one was long.
  useEffect(() => {
    window.scrollTo({ top: 0 });
  }, [at]);
  // What is told about the last answer stands above the bar one presses next, never over it.
  useEffect(() => {
    const { style } = document.documentElement;
    style.setProperty('--above-foot', '14rem');
    return () => void style.removeProperty('--above-foot');
  }, []);
  const look = (
    { id, version }: Pick<PackageView, 'id' | 'version'>,
    finding: Finding,
    here: string | null = null,
  ): NewCommand => ({ type: 'round.look', round: round.id, package: id, version, finding, here });
  const open = zones.filter(({ step }) => step === 'open').length;
  const end = (): void => {
    void act(
      { type: 'round.end', round: round.id },
      ...(zones.every(({ step }) => step === 'walked')
        ? view.jobs.map((job) => ({ type: 'job.done', job, frost_mm: null }))
        : []),
    );
    onStop();
  };
  if (!zone)
    return (
      <section aria-label="Walk the zones" className="card mx-auto max-w-3xl space-y-4 p-5">
        <h1 className="text-2xl">
          {open === 0 ? 'Everything was looked through' : 'That was the last zone'}
        </h1>
        <p>
          {open === 0
            ? 'What was found is on the use-up list; dates were only brought forward.'
            : `${open} ${open === 1 ? 'zone is' : 'zones are'} still open: what was not looked at stays due.`}
        </p>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button min-h-14 text-lg" data-main="true" onClick={end}>
            The round is over
          </button>
          <button type="button" className="button min-h-14 text-lg" onClick={() => setAt(0)}>
            To the first zone
          </button>
          <button type="button" className="button min-h-14 text-lg" onClick={onStop}>
            Stop here
          </button>
        </div>
      </section>
    );
  const things = view.things.filter((thing) => thing.zone === zone.id);
  const left = things.filter(({ finding }) => finding === null);
  const sound = left.filter(mayBeFine);
  // Nobody waits for an answer here: without a network the walk goes on, and a refusal is told when it comes.
  const next = (step: 'walked' | 'skipped', looks: readonly NewCommand[] = []): void => {
    void act(...looks, { type: 'round.zone', round: round.id, zone: zone.id, step });
    setAt(at + 1);
  };
  return (
    <section aria-label="Walk the zones" className="mx-auto max-w-3xl space-y-4">
      <div>
        <p className="text-slate">
          {zone.appliance} · zone {at + 1} of {zones.length}
        </p>
        <h1 className="text-3xl">{zone.name}</h1>
        <progress
          className="h-2 w-full"
          value={things.length - left.length}
          max={Math.max(1, things.length)}
          aria-label="Looked at"
        />
      </div>
      <ul className="space-y-3">
        {things.map((thing) => (
          <li key={thing.view.id}>
            <ThingCard thing={thing} onLook={(finding) => void act(look(thing.view, finding))} />
          </li>
        ))}
      </ul>
      <IfMay type="round.look">
        <LiesHere zone={zone} onFound={(found) => void act(look(found, 'fine', zone.id))} />
      </IfMay>
      <div className="sticky bottom-20 flex flex-wrap gap-2 rounded-card border border-line bg-snow p-2 shadow-lg">
        <button
          type="button"
          className="button min-h-14 flex-1 text-lg max-sm:min-w-full"
          data-main="true"
          onClick={() =>
            next(
              'walked',
              sound.map((thing) => look(thing.view, 'fine')),
            )
          }
        >
          {sound.length === 0
            ? 'Next zone'
            : sound.length === things.length
              ? 'All fine, next zone'
              : `The other ${sound.length} fine, next zone`}
        </button>
        <button type="button" className="button flex-1 px-2" onClick={() => next('skipped')}>
          Skip it
        </button>
        <button
          type="button"
          className="button flex-1 px-2"
          disabled={at === 0}
          onClick={() => setAt(at - 1)}
        >
          Back
        </button>
        <button type="button" className="button flex-1 px-2" onClick={onStop}>
          Stop here
        </button>
      </div>
    </section>
  );
}
