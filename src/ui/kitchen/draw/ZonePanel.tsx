'use client';

import { Said } from '../../units/Said';
import { useState } from 'react';
import { assumedCelsius } from '@/core/kitchen/assumedCelsius';
import { nestedIn, ownLitres } from '@/core/kitchen/boxes';
import { changeZone, removeZone } from '@/core/kitchen/changeZone';
import { freePlaceFor } from '@/core/kitchen/addZone';
import { AXES, type DrawnZone, ZONE_KINDS } from '@/core/model/drawing';
import { liftedFor, standBefore } from '@/core/kitchen/liftsTo';
import { splitZone } from '@/core/kitchen/splitZone';
import { PURPOSES } from '@/core/kitchen/zoneWords';
import { typedIn } from '@/core/units/typedIn';
import { v4 as newUuid } from 'uuid';
import { useWording } from '../../units/useWording';
import { Choice } from '../../forms/Choice';
import { MeasureField } from './MeasureField';
import { KIND_WORDS } from './sayZone';
import type { Drawing } from './useDrawing';
import { WordPicker } from './WordPicker';
import { Tick } from '../../forms/Tick';

const [ACROSS, DOWN] = AXES;

/** Everything that can be set for one zone, typed. */
export function ZonePanel({ zone, drawing }: { zone: DrawnZone; drawing: Drawing }) {
  const { present, fault, change } = drawing;
  const set = (changes: Partial<DrawnZone>): void => change((now) => changeZone(now, zone.id, changes));
  const lifted = liftedFor(zone, present);
  const before = standBefore(zone, present);
  const assumed = assumedCelsius(zone, present);
  const inner = new Set([zone.id, ...nestedIn(zone.id, present.zones).map(({ id }) => id)]);
  const places = [
    ...present.compartments.flatMap((inside): [string, string][] => {
      const called = inside.name || present.name;
      const body: [string, string] = [`${inside.id} body`, called];
      return inside.doorMm > 0 ? [body, [`${inside.id} door`, `${called} door`]] : [body];
    }),
    ...present.zones
      .filter(({ id }) => !inner.has(id))
      .map(({ id, name }): [string, string] => [`${id} zone`, `in ${name}`]),
  ];
  const place = zone.parentId === null ? `${zone.compartmentId} ${zone.side}` : `${zone.parentId} zone`;
  return (
    <section aria-label={`Zone ${zone.name}`} className="space-y-3">
      <NameField key={zone.id} name={zone.name} onSet={(name) => set({ name })} />
      <div className="grid grid-cols-3 gap-2">
        <MeasureField
          label="Wide"
          value={zone.widthMm}
          wrong={fault !== ''}
          onSet={(widthMm) => set({ widthMm })}
        />
        <MeasureField
          label="High"
          value={zone.heightMm}
          wrong={fault !== ''}
          onSet={(heightMm) => set({ heightMm })}
        />
        <MeasureField
          label="Deep"
          value={zone.depthMm}
          wrong={fault !== ''}
          onSet={(depthMm) => set({ depthMm })}
        />
        <MeasureField label="From left" value={zone.xMm} wrong={fault !== ''} onSet={(xMm) => set({ xMm })} />
        <MeasureField label="From top" value={zone.yMm} wrong={fault !== ''} onSet={(yMm) => set({ yMm })} />
        <MeasureField
          label="From front"
          value={zone.zMm}
          wrong={fault !== ''}
          onSet={(zMm) => set({ zMm })}
        />
      </div>
      <p className="text-slate">
        <Said>
          {ownLitres(zone, present.zones)} litres; taken for {String(assumed.celsius).replace('-', '−')} °C
        </Said>{' '}
        until it is measured: {assumed.says}.
        {lifted.length > 0 && ` To reach it ${lifted.map(({ name }) => name).join(', ')} must come out.`}
        {before.length > 0 && ` It stands behind ${before.map(({ name }) => name).join(', ')}.`}
      </p>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          onClick={() => change((now) => splitZone(now, zone.id, ACROSS, newUuid()))}
        >
          Split side by side
        </button>
        <button
          type="button"
          className="button"
          onClick={() => change((now) => splitZone(now, zone.id, DOWN, newUuid()))}
        >
          Split one above the other
        </button>
        <button
          type="button"
          className="button"
          data-danger="true"
          onClick={() => change((now) => removeZone(now, zone.id), null)}
        >
          Take out
        </button>
      </div>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="What it is"
          value={zone.kind}
          choices={ZONE_KINDS.map((kind) => [kind, KIND_WORDS[kind]] as const)}
          onChoose={(kind) => set({ kind })}
        />
        <Choice
          label="Stands in"
          value={place}
          choices={places}
          onChoose={(to) => change((now) => freePlaceFor(now, zone.id, to))}
        />
      </div>
      <PurposeField key={`${zone.id} purpose`} zone={zone} onSet={(purpose) => set({ purpose })} />
      {zone.kind === 'drawer' && (
        <Choice
          label="Humidity slide"
          value={zone.humidity ?? 'none'}
          choices={[
            ['none', 'no slide'],
            ['high', 'high: what wilts, leaves'],
            ['low', 'low: what rots, most fruit'],
          ]}
          onChoose={(humidity) =>
            set({ humidity: humidity === 'none' ? null : (humidity as 'low' | 'high') })
          }
        />
      )}
      <WordPicker legend="Only for" chosen={zone.only} onChoose={(only) => set({ only })} />
      <WordPicker legend="Never for" chosen={zone.never} onChoose={(never) => set({ never })} />
      <div>
        {(
          [
            ['leakproof', 'Leak-proof: raw juice stays in it'],
            ['hardToReach', 'Hard to reach: only what keeps long'],
            ['keptEmpty', 'Kept free on purpose'],
          ] as const
        ).map(([key, words]) => (
          <Tick key={key} checked={zone[key]} onChange={(checked) => set({ [key]: checked })}>
            {words}
          </Tick>
        ))}
      </div>
      <div className="grid grid-cols-2 gap-2">
        <LimitField key={`${zone.id} limit`} zone={zone} onSet={(limitLitres) => set({ limitLitres })} />
        <label>
          <span className="block text-[0.9375rem] text-slate">Whose</span>
          <input
            className="field"
            maxLength={40}
            placeholder="everybody’s"
            defaultValue={zone.person}
            key={`${zone.id} person`}
            onBlur={(event) =>
              event.target.value !== zone.person && set({ person: event.target.value.trim() })
            }
          />
        </label>
      </div>
    </section>
  );
}

function NameField({ name, onSet }: { name: string; onSet: (name: string) => void }) {
  const [text, setText] = useState(name);
  return (
    <label>
      <span className="block text-[0.9375rem] text-slate">Name</span>
      <input
        id="zone-name"
        className="field font-heading font-semibold"
        maxLength={60}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text.trim() !== name && onSet(text.trim())}
        onKeyDown={(event) => event.key === 'Enter' && text.trim() !== name && onSet(text.trim())}
      />
    </label>
  );
}

function PurposeField({ zone, onSet }: { zone: DrawnZone; onSet: (purpose: string) => void }) {
  const [text, setText] = useState(zone.purpose);
  return (
    <label className="block">
      <span className="block text-[0.9375rem] text-slate">What it is for</span>
      <input
        className="field"
        list="purposes"
        maxLength={80}
        placeholder="pick one, or your own words"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text.trim() !== zone.purpose && onSet(text.trim())}
      />
      <datalist id="purposes">
        {PURPOSES.map((purpose) => (
          <option key={purpose} value={purpose} />
        ))}
      </datalist>
    </label>
  );
}

function LimitField({ zone, onSet }: { zone: DrawnZone; onSet: (litres: number | null) => void }) {
  const field = typedIn('l', useWording());
  const [text, setText] = useState(zone.limitLitres === null ? '' : field.show(zone.limitLitres));
  const number = field.read(text);
  const sound = text.trim() === '' || (number > 0 && number <= 2000);
  return (
    <label>
      <span className="block text-[0.9375rem] text-slate">Holds at most, {field.unit}</span>
      <input
        className="field"
        inputMode="decimal"
        placeholder="all it can"
        aria-invalid={!sound}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => sound && onSet(text.trim() === '' ? null : Math.round(number * 10) / 10)}
      />
    </label>
  );
}
