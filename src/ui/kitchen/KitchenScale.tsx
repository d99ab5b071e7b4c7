'use client';

import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Plus } from 'lucide-react';
import Link from 'next/link';
import { sayDegrees } from '@/core/units/retell';
import type { AppliancePlan, ZonePlan } from '@/services/kitchen/kitchenPlan';
import { useDoor } from '../door/useDoor';
import { useWording } from '../units/useWording';
import { DoorLeaf } from './draw/DoorLeaf';
import { panelsOf, paperOf, zonesOnPaper } from './draw/panels';

const HIGH_PX = 300;
/** Letters in a drawn zone, and the least room in which its words stand whole, px. */
const LETTERS_PX = 13.5;
const LETTER_WIDE_PX = 7.4;
const LEAST_HIGH_PX = 24;
const TWO_LINES_PX = 44;

/** All appliances at one scale on one floor, in the cook's own order; one of them is looked at closely. */
export function KitchenScale({
  appliances,
  chosen,
  onChoose,
}: {
  appliances: AppliancePlan[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const { act } = useDoor();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const ids = appliances.map(({ drawing }) => drawing.id);
  const put = (id: string, place: number): void => {
    const at = Math.min(ids.length - 1, Math.max(0, place));
    if (ids[at] === id) return;
    const order = ids.filter((one) => one !== id);
    order.splice(at, 0, id);
    void act({ type: 'kitchen.order', appliances: order });
  };
  const highest = Math.max(
    600,
    ...appliances.map(({ drawing }) => paperOf(panelsOf(drawing, 'front'), 0).height),
  );
  return (
    <DndContext
      id="kitchen-order"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over) put(String(active.id), ids.indexOf(String(over.id)));
      }}
    >
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <ul
          aria-label="Appliances"
          className="flex items-end gap-3 overflow-x-auto border-b-4 border-ink px-1 pt-1 [--small:0.6] sm:[--small:1]"
        >
          {appliances.map((plan) => (
            <ApplianceAtScale
              key={plan.drawing.id}
              plan={plan}
              pxPerMm={HIGH_PX / highest}
              chosen={plan.drawing.id === chosen}
              onChoose={onChoose}
              onMove={(by) => put(plan.drawing.id, ids.indexOf(plan.drawing.id) + by)}
            />
          ))}
          <li className="shrink-0 self-end pb-3">
            <Link href="/move-in" className="button flex-col border-dashed px-4 py-5">
              <Plus aria-hidden size={22} /> Add an appliance
            </Link>
          </li>
        </ul>
      </SortableContext>
    </DndContext>
  );
}

function ApplianceAtScale({
  plan: { drawing, zones, compartments },
  pxPerMm,
  chosen,
  onChoose,
  onMove,
}: {
  plan: AppliancePlan;
  pxPerMm: number;
  chosen: boolean;
  onChoose: (id: string) => void;
  onMove: (by: number) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: drawing.id });
  const panels = panelsOf(drawing, 'front');
  const paper = paperOf(panels, 0);
  const fills = new Map(zones.map((zone) => [zone.id, zone]));
  const fill = Math.round(
    (compartments.reduce((sum, one) => sum + one.fill, 0) / Math.max(1, compartments.length)) * 100,
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className="flex shrink-0 flex-col items-center"
    >
      <div className="flex items-center">
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${drawing.name}: drag, or the arrow keys`}
          onKeyDown={(event) => {
            if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
              event.preventDefault();
              onMove(event.key === 'ArrowLeft' ? -1 : 1);
            }
          }}
          className="flex min-h-11 min-w-11 cursor-grab items-center justify-center text-slate"
        >
          <GripVertical aria-hidden size={20} />
        </button>
        <button
          type="button"
          aria-pressed={chosen}
          onClick={() => onChoose(drawing.id)}
          className="min-h-11 rounded-part px-2 text-left leading-tight aria-pressed:bg-ink aria-pressed:text-snow"
        >
          <b className="block font-heading font-semibold">{drawing.name}</b>
          <span className="text-[0.9375rem]">
            {drawing.room} · {fill}% full
          </span>
        </button>
      </div>
      <svg
        aria-hidden
        viewBox={`${paper.x} ${paper.y} ${paper.width} ${paper.height}`}
        className="mt-1 cursor-pointer"
        style={{
          width: `calc(${Math.round(paper.width * pxPerMm)}px * var(--small))`,
          height: `calc(${Math.round(paper.height * pxPerMm)}px * var(--small))`,
        }}
        onClick={() => onChoose(drawing.id)}
      >
        {panels.map((panel) => (
          <DoorLeaf key={`${panel.key} leaf`} panel={panel} />
        ))}
        {panels.map((panel) => (
          <rect
            key={panel.key}
            x={panel.x}
            y={panel.y}
            width={panel.width}
            height={panel.height}
            rx={6}
            fill="var(--snow)"
            stroke="var(--ink)"
            strokeWidth={chosen ? 3.5 : 2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {zonesOnPaper(drawing, panels, 'front').map(({ id, rect }) => {
          const zone = fills.get(id);
          const high = rect.height * Math.min(1, zone?.fill ?? 0);
          return (
            <g key={id}>
              <rect
                x={rect.x}
                y={rect.y + rect.height - high}
                width={rect.width}
                height={high}
                fill="var(--ice-foot)"
              />
              <rect
                {...rect}
                fill="none"
                stroke={zone?.warm ? 'var(--beet)' : 'var(--slate)'}
                strokeWidth={1.2}
                vectorEffect="non-scaling-stroke"
              />
              {zone && rect.height * pxPerMm >= LEAST_HIGH_PX && (
                <foreignObject {...rect} className="max-sm:hidden">
                  <ZoneWords
                    zone={zone}
                    letters={LETTERS_PX / pxPerMm}
                    widePx={rect.width * pxPerMm}
                    tall={rect.height * pxPerMm >= TWO_LINES_PX}
                  />
                </foreignObject>
              )}
            </g>
          );
        })}
      </svg>
    </li>
  );
}

/** What one comes for: the zone's name, how cold it is, how full, and a mark when it is too warm or holds all it shall. */
function ZoneWords({
  zone,
  letters,
  widePx,
  tall,
}: {
  zone: ZonePlan;
  letters: number;
  widePx: number;
  tall: boolean;
}) {
  const wording = useWording();
  const degrees = sayDegrees(zone.celsius, wording);
  const cold = zone.measured ? `${degrees}°${zone.warm ? ' warm' : ''}` : `about ${degrees}°`;
  // Beside a name that fills its line the degrees have a line of their own, or none.
  const beside = (zone.name.length + cold.length + 2) * LETTER_WIDE_PX <= widePx;
  const coldWords = (
    <span className={zone.warm ? 'shrink-0 font-semibold text-beet' : 'shrink-0'}>{cold}</span>
  );
  return (
    <div
      className="flex h-full flex-col justify-between overflow-hidden leading-[1.15] text-ink"
      style={{ fontSize: letters, padding: letters / 3 }}
    >
      <span className="flex justify-between gap-[0.4em]">
        <b className={`min-w-0 font-heading font-semibold ${tall ? '' : 'truncate'}`}>{zone.name}</b>
        {beside && coldWords}
      </span>
      {tall && (
        <span className={zone.full ? 'font-semibold text-ember-deep' : 'text-slate-deep'}>
          {!beside && <>{coldWords} · </>}
          {zone.packages === 0 ? 'empty' : `${zone.packages} in it`}
          {zone.measured && `, ${zone.celsius_says}`}
          {zone.full && ', full'}
        </span>
      )}
    </div>
  );
}
