'use client';

import { useState } from 'react';
import type { Cut, CutPart, CutReading } from '@/core/model/cut';
import { isLogged } from '@/core/powercut/logReadings';
import { sayCelsius } from '@/core/powercut/sayCut';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';
import { toCelsius } from '@/core/units/retell';
import { degreesOf } from '../units/readDegrees';
import { useSay } from '../units/useSay';
import { useUnits } from '../units/useWording';
import { DOOR_CHOICES, sayTime } from './cutWords';

const LB_A_KG = 2.20462;

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
  const units = useUnits();
  const us = units === 'us';
  const weight = us ? LB_A_KG : 1;
  return (
    <div className="grid grid-cols-2 gap-2">
      <Choice label="Door" value={part.doors} choices={DOOR_CHOICES} onChoose={(doors) => onSet({ doors })} />
      <Figure
        label="Full, %"
        value={part.fill * 100}
        most={100}
        onSet={(fill) => onSet({ fill: fill / 100 })}
      />
      <Figure
        label={`Ice packs, ${us ? 'lb' : 'kg'}`}
        value={part.iceKg * weight}
        most={200 * weight}
        onSet={(ice) => onSet({ iceKg: ice / weight })}
      />
      <Figure
        label={`Water bottles, ${us ? 'lb' : 'kg'}`}
        value={part.waterKg * weight}
        most={200 * weight}
        onSet={(water) => onSet({ waterKg: water / weight })}
      />
      <Figure
        label={`Room, ${degreesOf(units)}`}
        value={us ? (part.roomC * 9) / 5 + 32 : part.roomC}
        least={-20}
        most={us ? 120 : 50}
        onSet={(room) => onSet({ roomC: toCelsius(room, units) })}
      />
      <button type="button" className="button self-end" disabled={busy} onClick={() => onSet({}, true)}>
        {part.drawn ? 'It had power' : 'Not used'}
      </button>
      {readings.length > 0 && (
        <ul className="col-span-2 text-[0.9375rem]">
          {readings.map((reading) => (
            <li key={reading.id} className="flex items-center gap-2">
              {sayTime(reading.at)}: {say(sayCelsius(reading.c))}
              {isLogged(reading) ? (
                <span className="text-slate">from its thermometer</span>
              ) : (
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
              )}
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
