'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { litresOf, sizeAppliance, withBaskets } from '@/core/kitchen/sizeAppliance';
import { type ApplianceDrawing } from '@/core/model/drawing';
import { Refusal } from '@/core/model/refusal';
import { typedIn } from '@/core/units/typedIn';
import { numberValue } from '@/core/units/numberValue';
import { useDoor } from '../door/useDoor';
import { useWording } from '../units/useWording';
import { SmallDrawing } from '../kitchen/draw/SmallDrawing';

const MOST_BASKETS = 6;

/** How an appliance is measured outside: what one of them is in mm. */
const TAPE = {
  metric: { unit: 'cm', plate: 'Litres', mm: 10, such: '112 x 85 x 60' },
  us: { unit: 'inches', plate: 'Cubic feet', mm: 25.4, such: '44 x 33 x 24' },
};

/** "112 x 85 x 60" as mm; `null`: not three measures. */
function outsideOf(text: string, each: number): [number, number, number] | null {
  const measures = text.match(/\d+(?:[.,]\d+)?/g)?.map((one) => numberValue(one) * each) ?? [];
  const [wide, high, deep] = measures;
  return measures.length === 3 && wide && high && deep ? [wide, high, deep] : null;
}

/** How large the chosen shape is: its litres, or three measures outside; a chest also says how many baskets hang in it. */
export function ShapeSize({
  begin,
  version,
  onDone,
}: {
  begin: ApplianceDrawing;
  /** Of the appliance that is changed; `null`: a new one. */
  version: number | null;
  onDone: () => void;
}) {
  const { act, busy } = useDoor();
  const wording = useWording();
  const [plate, tape] = [typedIn('room', wording), TAPE[wording.units]];
  const [drawing] = useState(begin);
  const [name, setName] = useState(begin.name);
  const [room, setRoom] = useState(begin.room);
  const [size, setSize] = useState(plate.show(litresOf(begin)));
  const [baskets, setBaskets] = useState(
    version === null ? 1 : begin.zones.filter(({ kind }) => kind === 'basket').length,
  );
  const [ids] = useState(() => Array.from({ length: MOST_BASKETS }, () => newUuid()));
  const isChest = begin.shape === 'chest';
  const outside = outsideOf(size, tape.mm);
  let sized = drawing;
  let fault = name.trim() === '' ? 'It needs a name.' : '';
  try {
    sized = sizeAppliance(drawing, outside ? { outsideMm: outside } : { litres: plate.read(size) });
    let next = 0;
    if (
      isChest &&
      (version === null || baskets !== begin.zones.filter(({ kind }) => kind === 'basket').length)
    )
      sized = withBaskets(sized, baskets, () => ids[next++] ?? newUuid());
  } catch (error) {
    fault ||= error instanceof Refusal ? error.says : `${tape.plate}, or three measures: ${tape.such}.`;
  }
  const add = async (): Promise<void> => {
    if (fault !== '') return;
    const appliance = { ...sized, name: name.trim(), room: room.trim() || 'Kitchen' };
    if ((await act({ type: 'appliance.draw', appliance, version })) !== null) onDone();
  };
  return (
    <form
      className="card flex flex-wrap items-start gap-6 p-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <SmallDrawing drawing={sized} />
      <div className="min-w-64 flex-1 space-y-4">
        <label className="block">
          <span className="block font-semibold">
            How large? {tape.plate}, or outside: wide × high × deep in {tape.unit}
          </span>
          <input
            className="field mt-1"
            autoFocus
            inputMode="text"
            value={size}
            aria-invalid={fault !== ''}
            aria-describedby="size-fault"
            onFocus={(event) => event.target.select()}
            onChange={(event) => setSize(event.target.value)}
          />
          <span id="size-fault" role="alert" className={`block ${fault === '' ? 'text-slate' : 'text-beet'}`}>
            {fault ||
              `${plate.show(litresOf(sized))} ${plate.unit} of food room. The plate inside the door says it; about is good enough.`}
          </span>
        </label>
        {isChest && (
          <label className="block">
            <span className="block font-semibold">Baskets hanging under the lid</span>
            <select
              className="field mt-1"
              value={baskets}
              onChange={(event) => setBaskets(Number(event.target.value))}
            >
              {Array.from({ length: MOST_BASKETS + 1 }, (_, count) => (
                <option key={count} value={count}>
                  {count === 0 ? 'none' : count}
                </option>
              ))}
            </select>
          </label>
        )}
        <div className="grid gap-4 sm:grid-cols-2">
          <label className="block">
            <span className="block text-slate">Its name</span>
            <input
              className="field"
              maxLength={60}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <label className="block">
            <span className="block text-slate">The room it stands in</span>
            <input
              className="field"
              maxLength={60}
              value={room}
              onChange={(event) => setRoom(event.target.value)}
            />
          </label>
        </div>
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="button" data-main="true" disabled={busy || fault !== ''}>
            {version === null ? 'Put it in the kitchen' : 'Change it'}{' '}
            <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
          </button>
          <button type="button" className="button" onClick={onDone}>
            {version === null ? 'Another shape' : 'Leave it as it is'}
          </button>
        </div>
      </div>
    </form>
  );
}
