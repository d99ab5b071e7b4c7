'use client';

import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useId, useState } from 'react';
import type { ZonePlan } from '@/services/kitchen/kitchenPlan';
import { ThermometerPanel } from '../devices/ThermometerPanel';
import { sayDegrees } from '@/core/units/retell';
import { useDoor } from '../door/useDoor';
import { usePlays } from '../door/useHouse';
import { degreesOf, readDegrees } from '../units/readDegrees';
import { useWording } from '../units/useWording';

/** How cold it is in a zone, where the figure comes from, and a field for what a thermometer reads now. */
export function ThermometerForm({ zone }: { zone: ZonePlan }) {
  const { act, busy } = useDoor();
  const [text, setText] = useState('');
  const id = useId();
  const wording = useWording();
  const { units } = wording;
  const plays = usePlays();
  const sayCelsius = (c: number): string => `${sayDegrees(c, wording)}°`;
  const celsius = readDegrees(text, units);
  const sound = text.trim() !== '' && celsius >= -40 && celsius <= 60;
  return (
    <Popover>
      <PopoverButton
        className={`button px-2.5 ${zone.warm ? 'border-beet text-beet' : ''}`}
        aria-label={`${zone.name}: ${zone.measured ? '' : 'assumed '}${sayCelsius(zone.celsius)}${zone.warm ? ', warm' : ''}. Read the thermometer.`}
      >
        {zone.measured ? sayCelsius(zone.celsius) : `assumed ${sayCelsius(zone.celsius)}, measure it`}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-40 w-72 rounded-card border border-ink bg-snow p-4 shadow-lg"
      >
        {({ close }) => (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              if (!sound) return;
              void act({ type: 'zone.measure', zone: zone.id, celsius: Math.round(celsius * 10) / 10 });
              close();
            }}
          >
            <p className="mb-2">
              {sayCelsius(zone.celsius)}, {zone.celsius_says}.
              {zone.warm &&
                zone.cold === 'fridge' &&
                ` Above ${units === 'us' ? '39 °F' : '4 °C'}: what lies here is dated shorter (K9).`}
            </p>
            <label htmlFor={id} className="block text-slate">
              The thermometer reads, {degreesOf(units)}
            </label>
            <span className="flex gap-2">
              <input
                id={id}
                className="field"
                inputMode="text"
                autoComplete="off"
                aria-invalid={text.trim() !== '' && !sound}
                value={text}
                onChange={(event) => setText(event.target.value)}
              />
              <button type="submit" className="button" data-main="true" disabled={busy || !sound}>
                Keep
              </button>
            </span>
            {plays && (
              <ThermometerPanel around={zone.celsius} onRead={(read) => setText(sayDegrees(read, wording))} />
            )}
          </form>
        )}
      </PopoverPanel>
    </Popover>
  );
}
