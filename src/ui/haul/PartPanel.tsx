'use client';

import { Minus, Plus } from 'lucide-react';
import type { Food } from '@/core/model/food';
import { GOALS, type Goal, type HaulLine, type HaulPart } from '@/core/model/haul';
import { usualPacking } from '@/core/haul/planLine';
import type { Container } from '@/core/model/container';
import { packingOf, packingsFor } from '@/core/portions/packing';
import { packLayout } from '@/core/portions/packLayout';
import { GOAL_WORDS, saySizes } from './benchWords';
import { Said } from '../units/Said';
import { HeatPanel } from './HeatPanel';
import { PackPicture } from './PackPicture';

/** Containers that a packing can use: bags for what lies in a bag, vessels for what is poured. */
function fitting(layout: string, containers: readonly Container[]): Container[] {
  if (layout === 'vessel') return containers.filter(({ rigid }) => rigid);
  return layout === 'flat' || layout === 'scored' ? containers.filter(({ rigid }) => !rigid) : [];
}

/** One form of a line: where it goes, how it is packed, what one pack looks like, and what that means for heat. */
export function PartPanel({
  line,
  part,
  food,
  containers,
  chosen,
  onPart,
  onCount,
}: {
  line: HaulLine;
  part: HaulPart;
  food: Food;
  containers: readonly Container[];
  /** Amount of the pack that is looked at. */
  chosen: number;
  onPart: (part: HaulPart) => void;
  /** Of several forms: gives this one another number of packs; 0 gives it up. `null`: it is the only one. */
  onCount: ((count: number) => void) | null;
}) {
  const packing = packingOf(part.packing);
  const own = containers.find(({ id }) => id === part.container) ?? null;
  const layout = packLayout(packing, { amount: chosen, unit: line.unit }, food, own);
  const suits = packingsFor(food);
  const ways =
    part.goes === 'freezer'
      ? [...new Set([...suits.slice(0, 4), part.packing])]
      : ['as-it-is', ...suits.slice(0, 3)];
  const more = part.goes === 'freezer' ? suits.slice(4) : [];
  const boxes = fitting(packing.layout, containers);
  const send = (goes: Goal): void =>
    onPart({ ...part, goes, packing: usualPacking(food, goes), container: null, zone: null });
  const shown = part.goes === 'freezer' || packing.layout === 'vessel';
  return (
    <section
      aria-label={`${part.amounts.length} for the ${GOAL_WORDS[part.goes]}`}
      className="border-t border-line pt-3"
    >
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="mr-auto text-lg">
          {part.amounts.length === 1 ? 'One pack' : `${part.amounts.length} packs`},{' '}
          <Said>{saySizes(part.amounts, line.unit)}</Said>
        </h3>
        <div role="group" aria-label="Where it goes" className="flex gap-1">
          {GOALS.map((goes) => (
            <button
              key={goes}
              type="button"
              className="button"
              data-main={goes === part.goes}
              aria-pressed={goes === part.goes}
              disabled={
                (goes === 'room' && food.controlled) || (goes === 'freezer' && food.freezeFit === 'no')
              }
              onClick={() => send(goes)}
            >
              {GOAL_WORDS[goes]}
            </button>
          ))}
        </div>
        {onCount && (
          <div role="group" aria-label="Packs of this form" className="flex gap-1">
            <button
              type="button"
              className="button px-2"
              aria-label="One of this form fewer"
              onClick={() => onCount(part.amounts.length - 1)}
            >
              <Minus aria-hidden size={18} />
            </button>
            <button
              type="button"
              className="button px-2"
              aria-label="One of this form more"
              onClick={() => onCount(part.amounts.length + 1)}
            >
              <Plus aria-hidden size={18} />
            </button>
          </div>
        )}
      </div>
      {shown && (
        <div className="mt-3 grid gap-x-5 gap-y-2 lg:grid-cols-[auto_minmax(0,1fr)]">
          <PackPicture layout={layout} group={food.group} />
          <div className="space-y-2">
            {part.goes === 'freezer' && (
              <HeatPanel
                food={food}
                amount={chosen}
                unit={line.unit}
                layout={layout}
                frozen={line.start.frozen ?? false}
              />
            )}
            {packing.needs.length > 0 && <p className="text-slate">{packing.needs.join(' · ')}</p>}
            {packing.id === 'tub' && layout.kind === 'vessel' && (
              <p className="text-slate">
                <Said>Topped up later, the pot says “use me” at {layout.fillMl} ml.</Said>
              </p>
            )}
            {layout.kind === 'flat' && layout.thicknessMm > 40 && (
              <p className="font-semibold text-ember-deep">
                <Said>Over 40 mm it freezes and thaws like a block: a larger bag, or more packs.</Said>
              </p>
            )}
          </div>
        </div>
      )}
      <div role="group" aria-label="How it is packed" className="mt-2 flex flex-wrap gap-1.5">
        {ways.map((id) => (
          <button
            key={id}
            type="button"
            className="button"
            data-main={id === part.packing}
            aria-pressed={id === part.packing}
            onClick={() => onPart({ ...part, packing: id, container: null })}
          >
            {packingOf(id).name}
          </button>
        ))}
        {more.length > 0 && (
          <label>
            <span className="sr-only">Another way to pack it</span>
            <select
              className="field w-auto"
              value=""
              onChange={(event) => onPart({ ...part, packing: event.target.value, container: null })}
            >
              <option value="">other ways …</option>
              {[...more, 'reused-bag'].map((id) => (
                <option key={id} value={id}>
                  {packingOf(id).name}
                </option>
              ))}
            </select>
          </label>
        )}
        {boxes.length > 0 && (
          <label>
            <span className="sr-only">In which container</span>
            <select
              className="field w-auto"
              value={part.container ?? ''}
              onChange={(event) => onPart({ ...part, container: event.target.value || null })}
            >
              <option value="">the usual size</option>
              {boxes.map(({ id, name, count }) => (
                <option key={id} value={id}>
                  {name} ({count})
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
    </section>
  );
}
