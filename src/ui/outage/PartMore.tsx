'use client';

import { useState } from 'react';
import type { Cut, CutPart, CutReading } from '@/core/model/cut';
import { sayCelsius } from '@/core/powercut/sayCut';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { useSay } from '../units/useSay';
import { DOOR_CHOICES, sayTime } from './cutWords';

/** What else is known of a part: doors, fill, ice, the room; its readings, each to be taken away; that it had power after all. */
export function PartMore({
  cut,
  part,
  readings,
  onSet,
}: {
  cut: Cut;
  part: CutPart;
  readings: readonly CutReading[];
  onSet: (change: Partial<CutPart>, off?: boolean) => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  return (
    <div className="grid grid-cols-2 gap-2">
      <Choice label="Door" value={part.doors} choices={DOOR_CHOICES} onChoose={(doors) => onSet({ doors })} />
      <Figure
        label="Full, %"
        value={part.fill * 100}
        most={100}
        onSet={(fill) => onSet({ fill: fill / 100 })}
      />
      <Figure label="Ice packs, kg" value={part.iceKg} most={200} onSet={(iceKg) => onSet({ iceKg })} />
      <Figure
        label="Water bottles, kg"
        value={part.waterKg}
        most={200}
        onSet={(waterKg) => onSet({ waterKg })}
      />
      <Figure label="Room, °C" value={part.roomC} least={-20} most={50} onSet={(roomC) => onSet({ roomC })} />
      <button type="button" className="button self-end" disabled={busy} onClick={() => onSet({}, true)}>
        {part.drawn ? 'It had power' : 'Not used'}
      </button>
      {readings.length > 0 && (
        <ul className="col-span-2 text-[0.9375rem]">
          {readings.map((reading) => (
            <li key={reading.id} className="flex items-center gap-2">
              {sayTime(reading.at)}: {say(sayCelsius(reading.c))}
              <button
                type="button"
                className="button border-transparent"
                aria-label={`Take the reading of ${sayTime(reading.at)} away`}
                onClick={() =>
                  void act({ type: 'cut.read', cut: cut.id, part: part.id, reading: reading.id, c: null })
                }
              >
                ✕
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** A figure that is told once one leaves the field. */
function Figure({
  label,
  value,
  least = 0,
  most,
  onSet,
}: {
  label: string;
  value: number;
  least?: number;
  most: number;
  onSet: (value: number) => void;
}) {
  const [text, setText] = useState(String(Math.round(value * 10) / 10));
  const number = Number(text.replace(',', '.').replace('−', '-'));
  const sound = text.trim() !== '' && number >= least && number <= most;
  return (
    <label>
      <span className="block text-slate">{label}</span>
      <input
        className="field"
        inputMode="decimal"
        value={text}
        aria-invalid={!sound}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => sound && Math.abs(number - value) > 0.05 && onSet(number)}
      />
    </label>
  );
}
