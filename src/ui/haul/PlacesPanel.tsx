'use client';

import type { ReactNode } from 'react';

import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sayAmount } from '@/core/units/sayAmount';
import type { ApplianceView } from '@/services/kitchen/drawing';
import type { HaulPlacesView, PlaceView } from '@/services/haul/haulPlaces';
import { Said } from '../units/Said';
import { FreezeInCard } from './FreezeInCard';
import { MiniKitchen } from '../map/MiniKitchen';
import { WaysOut } from '../package/WaysOut';
import { zoneChoices } from './zoneChoices';

interface Chosen {
  place: PlaceView;
  zone: string | null;
}

/** A strip that goes somewhere; it is dragged onto a zone of the drawing, or sent there from the list. */
function PlaceStrip({
  place,
  lit,
  appliances,
  onPlace,
}: {
  place: PlaceView;
  lit: boolean;
  appliances: readonly ApplianceView[];
  onPlace: (chosen: Chosen) => void;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: place.key, data: place });
  const zones = zoneChoices(place, appliances);
  return (
    <li className={`rounded-part p-1.5 ${lit ? 'bg-rime shadow-[inset_4px_0_0_var(--deep)]' : ''}`}>
      <span
        ref={setNodeRef}
        {...listeners}
        {...attributes}
        aria-label={`Drag ${place.called} to another zone`}
        className="tape cursor-grab touch-none"
        data-frozen={place.goes === 'freezer'}
        style={
          transform
            ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 50, position: 'relative' }
            : undefined
        }
      >
        <span className="truncate">{place.called}</span>
        <span className="font-medium whitespace-nowrap">
          {place.amount_words}
          {place.packs > 1 ? ` ×${place.packs}` : ''}
        </span>
      </span>
      <span className="block text-[0.9375rem]">
        {place.goes === 'room' ? (
          'kept out of the cold'
        ) : place.zone ? (
          <>
            <b className="font-heading">{place.zone.name}</b>
            {place.behind !== '' && `, ${place.behind}`}
            {place.pinned && ' · your choice'}
          </>
        ) : (
          <span className="font-semibold text-beet">
            no place ({place.refused?.rule}): {place.refused?.says}
          </span>
        )}
      </span>
      {place.refused?.helps.map((help) => (
        <span key={help} className="block text-[0.9375rem] text-slate">
          {help}
        </span>
      ))}
      {lit && place.refused && <WaysOut rule={place.refused.rule} />}
      {lit && place.reasons.length > 0 && (
        <span className="block text-[0.9375rem] text-slate">{place.reasons.slice(0, 2).join('; ')}</span>
      )}
      {lit && place.goes !== 'room' && (
        <label className="mt-1 block">
          <span className="sr-only">Another zone for {place.called}</span>
          <select
            className="field"
            value={place.pinned ? (place.zone?.id ?? '') : ''}
            onChange={(event) => onPlace({ place, zone: event.target.value || null })}
          >
            <option value="">as proposed</option>
            {zones.map(({ id, words }) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
      )}
    </li>
  );
}

/** Where everything goes, drawn: a strip dragged onto a zone overrules the proposal. */
export function PlacesPanel({
  places,
  appliances,
  line,
  onPlace,
  children,
}: {
  places: HaulPlacesView;
  appliances: readonly ApplianceView[];
  /** The line that is worked on. */
  line: string | null;
  onPlace: (chosen: Chosen) => void;
  /** Stands between the drawing and what the freezers take. */
  children: ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const drop = ({ active, over }: DragEndEvent): void => {
    const place = active.data.current as PlaceView | undefined;
    if (place && over) onPlace({ place, zone: String(over.id) });
  };
  const mine = places.places.filter((place) => place.line === line);
  const concerns = (some: readonly PlaceView[]) =>
    appliances.filter(({ id }) => some.some(({ zone }) => zone?.appliance_id === id));
  const near = concerns(mine.length > 0 ? mine : places.places);
  const far = concerns(places.places).filter((one) => !near.includes(one));
  const lit = mine[0]?.zone?.id ?? null;
  const without = places.places.filter(({ zone, goes }) => zone === null && goes !== 'room');
  const left = places.freezing
    .filter(({ days }) => days.length > 0)
    .map(({ called, limit_g, today_g, days }) => {
      const first = days.find(({ day }) => day === 1)?.grams ?? 0;
      return `${called} takes ${sayAmount(Math.max(0, limit_g - today_g - first), 'g')} more today`;
    });
  const drawn = (appliance: ApplianceView): ReactNode => {
    const here = places.places.filter(({ zone }) => zone?.appliance_id === appliance.id);
    const marks = new Map<string, number>();
    for (const { zone, packs } of here) if (zone) marks.set(zone.id, (marks.get(zone.id) ?? 0) + packs);
    const others = here.filter((place) => place.line !== line);
    return (
      <article key={appliance.id} aria-label={appliance.name} className="card p-3">
        <h3 className="mb-1 text-base">{appliance.name}</h3>
        <MiniKitchen appliance={appliance} marks={marks} lit={new Set(lit === null ? [] : [lit])} />
        {others.length > 0 && (
          <details>
            <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
              {others.length} more {others.length === 1 ? 'strip' : 'strips'} of this haul here
            </summary>
            <ul className="space-y-1">
              {others.map((place) => (
                <PlaceStrip
                  key={place.key}
                  place={place}
                  lit={false}
                  appliances={appliances}
                  onPlace={onPlace}
                />
              ))}
            </ul>
          </details>
        )}
      </article>
    );
  };
  return (
    <section aria-labelledby="places" className="space-y-3">
      <div>
        <h2 id="places" className="text-xl">
          Where they go
        </h2>
        <p className="text-[0.9375rem] text-slate">
          <Said>{left.join(' · ')}</Said>
        </p>
      </div>
      <DndContext sensors={sensors} onDragEnd={drop}>
        {places.places.length === 0 && (
          <p className="card p-4 text-slate">
            Each line’s place is proposed here as soon as it is on the bench.
          </p>
        )}
        {mine.length > 0 && (
          <ul aria-label="Of this line" className="card space-y-1 p-2">
            {mine.map((place) => (
              <PlaceStrip key={place.key} place={place} lit appliances={appliances} onPlace={onPlace} />
            ))}
          </ul>
        )}
        {near.map(drawn)}
        {far.length > 0 && (
          <details className="card px-3 py-1">
            <summary className="min-h-11 cursor-pointer py-2">
              Also into {far.map(({ name }) => name).join(', ')}
            </summary>
            {far.map(drawn)}
          </details>
        )}
        {without.filter((place) => place.line !== line).length > 0 && (
          <ul aria-label="Without a place" className="card space-y-1 border-beet p-2">
            {without
              .filter((place) => place.line !== line)
              .map((place) => (
                <PlaceStrip
                  key={place.key}
                  place={place}
                  lit={false}
                  appliances={appliances}
                  onPlace={onPlace}
                />
              ))}
          </ul>
        )}
      </DndContext>
      {children}
      {places.freezing
        .filter(({ days }) => days.length > 0)
        .map((freezer) => (
          <FreezeInCard key={freezer.id} freezer={freezer} />
        ))}
    </section>
  );
}
