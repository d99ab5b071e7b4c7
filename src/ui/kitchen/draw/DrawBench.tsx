'use client';

import { ArrowLeft, Redo2, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { sayOwnRules } from '@/core/placement/ownRule';
import { addZone, type Into } from '@/core/kitchen/addZone';
import { checkDrawing } from '@/core/kitchen/checkDrawing';
import { type ApplianceDrawing, ZONE_KINDS, type ZoneKind } from '@/core/model/drawing';
import type { DrawView } from '@/services/kitchen/kitchenDrawing';
import { useDoor } from '../../door/useDoor';
import { Choice } from '../../forms/Choice';
import { DrawPaper } from './DrawPaper';
import { keptDraft, keepDraft, forgetDraft } from './draft';
import type { Look } from './panels';
import { RehomeSheet } from './RehomeSheet';
import { KIND_WORDS } from './sayZone';
import { useDrawing } from './useDrawing';
import { WholePanel } from './WholePanel';
import { ZonePanel } from './ZonePanel';

/** Where new zones go: a compartment or its door, or the zone that is chosen. */
function placesFor(drawing: ApplianceDrawing, selected: string | null): [string, string][] {
  const zone = drawing.zones.find(({ id }) => id === selected);
  return [
    ...drawing.compartments.map((inside): [string, string] => [inside.id, inside.name || drawing.name]),
    ...(zone ? [[zone.id, `in ${zone.name}`] as [string, string]] : []),
  ];
}

/** The bench where an appliance is drawn. */
export function DrawBench({ view, begin }: { view: DrawView; begin: ApplianceDrawing }) {
  const drawing = useDrawing(begin);
  const { present, selected, fault, past, future, change, undo, redo, restart } = drawing;
  const [look, setLook] = useState<Look>('front');
  const [into, setInto] = useState('');
  const [asking, setAsking] = useState(false);
  const [draft, setDraft] = useState<ApplianceDrawing | null>(null);
  const { act, busy } = useDoor();
  const router = useRouter();
  const key = view.version === null ? 'new' : begin.id;

  useEffect(() => {
    const found = keptDraft(key, view.version);
    const later = setTimeout(() => setDraft(found), 0);
    return () => clearTimeout(later);
  }, [key, view.version]);
  useEffect(() => {
    if (past.length > 0) keepDraft(key, view.version, present);
  }, [key, view.version, present, past.length]);

  const places = placesFor(present, selected);
  const place = places.some(([id]) => id === into) ? into : (places[0]?.[0] ?? '');
  const zone = present.zones.find(({ id }) => id === selected);
  const add = (kind: ZoneKind): void => {
    const id = newUuid();
    const target: Into = present.zones.some((one) => one.id === place)
      ? { zone: place }
      : { compartment: place, side: 'body' };
    change((now) => addZone(now, kind, target, id), id);
  };
  const [wrong] = checkDrawing(present);
  const kept = new Set(present.zones.map(({ id }) => id));
  const emptied = view.lying.filter(({ zone: id }) => !kept.has(id));

  const save = async (rehome: { zone: string; to: string | null }[]): Promise<void> => {
    setAsking(false);
    const answers = await act({ type: 'appliance.draw', appliance: present, version: view.version, rehome });
    if (!answers) return;
    forgetDraft(key);
    router.push('/kitchen');
  };

  return (
    <div className="grid gap-3 lg:h-[calc(100dvh-9.6rem)] lg:grid-cols-[minmax(0,1fr)_23rem] lg:grid-rows-[auto_minmax(0,1fr)]">
      <header className="flex flex-wrap items-end gap-2 lg:col-span-2">
        <h1 className="sr-only">Drawing of {present.name}</h1>
        <Link href="/kitchen" className="button" aria-label="Back to the kitchen">
          <ArrowLeft aria-hidden size={20} />
        </Link>
        <label className="w-52">
          <span className="block text-[0.9375rem] text-slate">Name of the appliance</span>
          <input
            className="field font-heading font-semibold"
            maxLength={60}
            value={present.name}
            onChange={(event) => change((now) => ({ ...now, name: event.target.value }))}
          />
        </label>
        <label className="w-40">
          <span className="block text-[0.9375rem] text-slate">Room</span>
          <input
            className="field"
            maxLength={60}
            list="rooms"
            value={present.room}
            onChange={(event) => change((now) => ({ ...now, room: event.target.value }))}
          />
          <datalist id="rooms">
            {view.rooms.map((room) => (
              <option key={room} value={room} />
            ))}
          </datalist>
        </label>
        <Choice
          label="Seen from"
          className="w-36"
          value={look}
          choices={[
            ['front', present.shape === 'chest' ? 'the side' : 'the front'],
            ['above', 'above'],
          ]}
          onChoose={setLook}
        />
        <span className="ml-auto flex gap-2">
          <button type="button" className="button" disabled={past.length === 0} onClick={undo}>
            <Undo2 aria-hidden size={18} /> Undo
          </button>
          <button type="button" className="button" disabled={future.length === 0} onClick={redo}>
            <Redo2 aria-hidden size={18} /> Redo
          </button>
          <button
            type="button"
            className="button"
            data-main="true"
            disabled={busy || wrong !== undefined || present.room.trim() === ''}
            onClick={() => (emptied.length > 0 ? setAsking(true) : void save([]))}
          >
            Save the drawing
          </button>
        </span>
      </header>
      <section aria-label="Drawing" className="card flex min-h-[26rem] flex-col p-2">
        <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Add a zone">
          <label className="flex items-center gap-1.5 text-slate">
            Add to
            <select className="field w-auto" value={place} onChange={(event) => setInto(event.target.value)}>
              {places.map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          {ZONE_KINDS.map((kind) => (
            <button
              key={kind}
              type="button"
              className="button px-2.5"
              aria-label={`Add: ${KIND_WORDS[kind]}`}
              onClick={() => add(kind)}
            >
              + {KIND_WORDS[kind].split(' ')[0]}
            </button>
          ))}
        </div>
        {draft !== null && (
          <p className="mt-2 flex flex-wrap items-center gap-2 rounded-part bg-tape px-3 py-1 text-tape-ink">
            You left this drawing unfinished.
            <button
              type="button"
              className="button"
              onClick={() => {
                restart(draft);
                setDraft(null);
              }}
            >
              Go on with it
            </button>
            <button
              type="button"
              className="button"
              onClick={() => {
                forgetDraft(key);
                setDraft(null);
              }}
            >
              Forget it
            </button>
          </p>
        )}
        <div className="mt-2 min-h-0 flex-1">
          <DrawPaper drawing={drawing} look={look} />
        </div>
        <p
          role="status"
          className={`min-h-7 px-1 ${fault === '' && !wrong ? 'text-slate' : 'font-semibold text-beet'}`}
        >
          {fault || wrong?.says || `${present.zones.length} zones.`}
        </p>
      </section>
      <aside aria-label="Measures" className="card overflow-y-auto p-4">
        {zone ? <ZonePanel zone={zone} drawing={drawing} /> : <WholePanel drawing={drawing} />}
      </aside>
      {asking && (
        <RehomeSheet
          emptied={emptied}
          targets={[
            ...present.zones.map((zone) => ({
              id: zone.id,
              name: `${zone.name}, ${present.name}${sayOwnRules(zone)}`,
              cold: present.compartments.find((one) => one.id === zone.compartmentId)?.cold ?? 'fridge',
            })),
            ...view.elsewhere,
          ]}
          onClose={() => setAsking(false)}
          onDecide={(rehome) => void save(rehome)}
        />
      )}
    </div>
  );
}
