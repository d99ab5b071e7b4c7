'use client';

import { Tick } from '../forms/Tick';

/** Who of those who eat here. */
export function WhoTicks({
  legend,
  everybody,
  chosen,
  onChoose,
}: {
  legend: string;
  everybody: readonly string[];
  chosen: readonly string[];
  onChoose: (names: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className="text-slate">{legend}</legend>
      <div className="flex flex-wrap gap-x-5">
        {everybody.map((one) => (
          <Tick
            key={one}
            checked={chosen.includes(one)}
            onChange={(yes) => onChoose(yes ? [...chosen, one] : chosen.filter((other) => other !== one))}
          >
            {one}
          </Tick>
        ))}
      </div>
    </fieldset>
  );
}
