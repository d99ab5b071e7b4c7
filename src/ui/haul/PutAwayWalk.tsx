'use client';

import { Check } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { addDays } from '@/core/calendar/calendarDate';
import type { Haul, ToldPlace } from '@/core/model/haul';
import { lookAgainDays, sayPreparation } from '@/core/haul/preparation';
import type { ApplianceView } from '@/services/kitchen/drawing';
import type { HaulView } from '@/services/haul/haul';
import type { PlaceView } from '@/services/haul/haulPlaces';
import { useDoor } from '../door/useDoor';
import type { NewCommand } from '../door/doorClient';
import { StrandedPlace } from './StrandedPlace';
import { MiniKitchen } from '../map/MiniKitchen';

const OUT = 'out';

/** Jobs that come of putting something away: freezing the rest another day, looking at it again. */
function jobsOf(places: readonly PlaceView[], { lines, today }: HaulView): NewCommand[] {
  const job = (name: string, dueOn: string): NewCommand => ({
    type: 'job.set',
    job: {
      id: newUuid(),
      kind: 'upkeep',
      name: name.slice(0, 80),
      everyDays: 1,
      dueOn,
      lastOn: null,
      frostMm: null,
      retired: false,
    },
  });
  return places.flatMap((place) => {
    const codes = place.packages.map(({ code }) => code).join(', ');
    const line = lines.find(({ id }) => id === place.line);
    const look = place.goes === 'fridge' && line ? lookAgainDays(line.preparation) : null;
    return [
      ...(place.day > 1
        ? [job(`Freeze ${place.packages.length} × ${place.called}: ${codes}`, addDays(today, place.day - 1))]
        : []),
      ...(look === null
        ? []
        : [
            job(
              `Look at ${place.called} ${codes}, ${sayPreparation(line?.preparation ?? [])}`,
              addDays(today, look),
            ),
          ]),
    ];
  });
}

/** Tells the places once, when the walk begins or more is labelled: what was told before stays. */
function useTellPlaces(
  haul: Haul | null,
  ready: readonly PlaceView[],
  onTold: (plan: NonNullable<Haul['plan']>) => void,
): void {
  const told = haul?.plan ?? {};
  const fresh = ready.flatMap(({ packages, zone, day }) =>
    zone === null ? [] : packages.filter(({ id }) => !told[id]).map(({ id }) => [id, { zone: zone.id, day }]),
  );
  const key = JSON.stringify(fresh);
  const tell = useRef(onTold);
  useEffect(() => {
    tell.current = onTold;
  });
  const before = JSON.stringify(told);
  useEffect(() => {
    if (key === '[]') return;
    const more = Object.fromEntries(JSON.parse(key) as [string, ToldPlace][]);
    tell.current({ ...(JSON.parse(before) as NonNullable<Haul['plan']>), ...more });
  }, [key, before]);
}

/** One walk from door to door: what is labelled goes to its zone, a tick each. */
export function PutAwayWalk({
  view,
  places,
  appliances,
  onDone,
  onTold,
  onPlace,
  onFinish,
}: {
  view: HaulView;
  places: readonly PlaceView[];
  appliances: readonly ApplianceView[];
  /** After something was put away: everything is to be read anew. */
  onDone: () => Promise<unknown>;
  /** Fixes the places that are told, so that they stay while one walks. */
  onTold: (plan: NonNullable<Haul['plan']>) => void;
  onPlace: (chosen: { place: PlaceView; zone: string | null }) => void;
  onFinish: () => void;
}) {
  const door = useDoor();
  const { act } = door;
  const [going, setGoing] = useState<string[]>([]);
  // Until it is read where things stand now, what is shown is from before.
  const busy = door.busy || going.length > 0;
  const ready = places.filter(({ packages }) => packages.length > 0);
  const stops = [
    ...appliances.map((appliance) => ({
      id: appliance.id,
      name: appliance.name,
      appliance,
      places: ready.filter(({ zone }) => zone?.appliance_id === appliance.id),
    })),
    {
      id: OUT,
      name: 'Kept out of the cold',
      appliance: null,
      places: ready.filter(({ goes }) => goes === 'room'),
    },
  ].filter((stop) => stop.places.length > 0);
  const stranded = ready.filter(({ zone, goes }) => zone === null && goes !== 'room');
  const haul = view.haul;
  useTellPlaces(haul, ready, onTold);
  if (!haul) return null;
  const open = view.lines.filter(({ packages }) => packages === null).length;

  const putAway = async (some: readonly PlaceView[], chosen: string | null = null): Promise<void> => {
    setGoing(some.map(({ key }) => key));
    const away: NewCommand = {
      type: 'haul.away',
      haul: haul.id,
      places: some.flatMap(({ packages, zone, refused, against }) =>
        packages.map(({ id, version }) => ({
          package: id,
          version,
          zone: chosen ?? zone?.id ?? null,
          warning: (chosen === null ? (against[zone?.id ?? ''] ?? '') : (refused?.says ?? '')).slice(0, 160),
        })),
      ),
    };
    try {
      await act(away, ...jobsOf(some, view));
      await onDone();
    } finally {
      setGoing([]);
    }
  };

  if (ready.length === 0) {
    return (
      <div className="card space-y-3 p-6">
        <h2 className="text-2xl">{open === 0 ? 'Everything is in its place' : 'Nothing labelled waits'}</h2>
        <p className="text-slate">
          {open === 0
            ? 'Wipe the counter, file what lies flat tomorrow, and the haul is finished.'
            : `${open} ${open === 1 ? 'line is' : 'lines are'} still on the bench. What you label comes here.`}
        </p>
        {open === 0 && view.lines.length > 0 && (
          <button type="button" className="button" data-main="true" disabled={busy} onClick={onFinish}>
            Finish the haul
          </button>
        )}
      </div>
    );
  }
  return (
    <div className="space-y-4">
      {stops.map(({ id, name, appliance, places: here }) => {
        const marks = new Map<string, number>();
        for (const { zone, packages } of here)
          if (zone) marks.set(zone.id, (marks.get(zone.id) ?? 0) + packages.length);
        return (
          <section key={id} aria-label={name} className="card p-4">
            <div className="flex flex-wrap items-center gap-3">
              <h2 className="mr-auto text-xl">{name}</h2>
              <button
                type="button"
                className="button"
                data-main="true"
                disabled={busy}
                onClick={() => void putAway(here)}
              >
                All {here.reduce((sum, { packages }) => sum + packages.length, 0)} are in
              </button>
            </div>
            <div className="mt-2 grid gap-4 sm:grid-cols-[minmax(0,1fr)_auto]">
              <ul className="divide-y divide-line">
                {here.map((place) => (
                  <li key={place.key} className="flex items-center gap-3 py-1.5">
                    <button
                      type="button"
                      className="button flex-none"
                      aria-label={`${place.packages.length} × ${place.called}: it is in ${place.zone?.name ?? 'its place'}`}
                      disabled={busy}
                      onClick={() => void putAway([place])}
                    >
                      <Check
                        aria-hidden
                        size={22}
                        className={going.includes(place.key) ? '' : 'opacity-25'}
                      />
                    </button>
                    <span className="min-w-0 flex-1">
                      <span className="tape" data-frozen={place.goes === 'freezer'}>
                        <span className="truncate">{place.called}</span>
                        <span className="font-medium whitespace-nowrap">
                          {place.amount_words}
                          {place.packages.length > 1 ? ` ×${place.packages.length}` : ''}
                        </span>
                      </span>
                      <span className="block text-[0.9375rem] text-slate">
                        {place.zone ? (
                          <b className="font-heading text-ink">{place.zone.name}</b>
                        ) : (
                          'on the shelf, in the bowl'
                        )}
                        {place.behind !== '' && `, ${place.behind}`}
                        {place.day > 1 &&
                          `, then frozen in ${place.day - 1} ${place.day === 2 ? 'day' : 'days'}`}{' '}
                        · {place.packages.map(({ code }) => code).join(' ')}
                      </span>
                      {place.zone && place.against[place.zone.id] !== undefined && (
                        <span className="block text-[0.9375rem] font-semibold text-beet">
                          {place.against[place.zone.id]}
                        </span>
                      )}
                      {place.changed !== '' && (
                        <span className="block text-[0.9375rem] text-slate">
                          It stays as told. {place.changed}.
                        </span>
                      )}
                    </span>
                  </li>
                ))}
              </ul>
              {appliance && <MiniKitchen appliance={appliance} marks={marks} lit={new Set()} />}
            </div>
          </section>
        );
      })}
      {stranded.length > 0 && (
        <section aria-label="No place" className="card border-beet p-4">
          <h2 className="text-xl text-beet">No place yet</h2>
          <ul className="divide-y divide-line">
            {stranded.map((place) => (
              <li key={place.key} className="space-y-1 py-2">
                <b className="font-heading">
                  {place.called} {place.amount_words}
                  {place.packages.length > 1 ? ` ×${place.packages.length}` : ''}
                </b>
                <p>{place.refused?.says}</p>
                {place.refused?.helps.map((help) => (
                  <p key={help} className="text-slate">
                    {help}
                  </p>
                ))}
                <StrandedPlace
                  place={place}
                  appliances={appliances}
                  busy={busy}
                  onPut={(zone) => void putAway([place], zone)}
                  onPropose={
                    view.lines.find(({ id }) => id === place.line)?.parts[place.part]?.zone
                      ? () => onPlace({ place, zone: null })
                      : null
                  }
                />
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
