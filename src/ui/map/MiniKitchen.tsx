'use client';

import { useDroppable } from '@dnd-kit/core';
import type { ApplianceView, ZoneView } from '@/services/kitchen/drawing';

const HIGH = 160;
const DOOR_GAP_MM = 50;

/** As much of an appliance as its outline needs. */
export type MiniAppliance = Pick<ApplianceView, 'id' | 'name'> & {
  compartments: Pick<ApplianceView['compartments'][number], 'id' | 'box'>[];
  zones: Pick<ZoneView, 'id' | 'name' | 'box' | 'side' | 'compartment_id' | 'fill'>[];
};

interface Laid {
  zone: MiniAppliance['zones'][number];
  x: number;
  y: number;
  wide: number;
  high: number;
}

/** Zones of an appliance as boxes in mm, the doors beside the body. */
function laidOut({ compartments, zones }: MiniAppliance): { laid: Laid[]; wide: number; high: number } {
  const right = Math.max(...compartments.map(({ box }) => box.xMm + box.widthMm));
  const laid = zones.flatMap((zone): Laid[] => {
    const inside = compartments.find(({ id }) => id === zone.compartment_id);
    if (!inside) return [];
    const from = zone.side === 'door' ? right + DOOR_GAP_MM + inside.box.xMm : inside.box.xMm;
    return [
      {
        zone,
        x: from + zone.box.xMm,
        y: inside.box.yMm + zone.box.yMm,
        wide: zone.box.widthMm,
        high: zone.box.heightMm,
      },
    ];
  });
  return {
    laid,
    wide: Math.max(right, ...laid.map(({ x, wide }) => x + wide)),
    high: Math.max(
      ...compartments.map(({ box }) => box.yMm + box.heightMm),
      ...laid.map(({ y, high }) => y + high),
    ),
  };
}

function ZoneRect({ laid, scale, mark, lit }: { laid: Laid; scale: number; mark: string; lit: boolean }) {
  const { isOver, setNodeRef } = useDroppable({ id: laid.zone.id });
  const fill = Math.min(1, laid.zone.fill);
  const [x, y, wide, high] = [laid.x * scale, laid.y * scale, laid.wide * scale, laid.high * scale];
  return (
    <g ref={(node) => setNodeRef(node as unknown as HTMLElement | null)}>
      <rect x={x} y={y} width={wide} height={high} fill="var(--snow)" />
      <rect x={x} y={y + high * (1 - fill)} width={wide} height={high * fill} fill="var(--ice-foot)" />
      <rect
        x={x}
        y={y}
        width={wide}
        height={high}
        fill="none"
        stroke={isOver ? 'var(--ember)' : lit ? 'var(--deep)' : 'var(--slate)'}
        strokeWidth={isOver || lit ? 3 : 1}
      />
      {mark !== '' && (
        <text
          x={x + wide / 2}
          y={y + high / 2 + 6}
          textAnchor="middle"
          fontSize="17"
          fontWeight="700"
          fill="var(--ink)"
          className="font-heading"
        >
          {mark}
        </text>
      )}
    </g>
  );
}

/** An appliance in its own proportions; zones are marked with how many packs lie or go there. */
export function MiniKitchen({
  appliance,
  marks,
  lit,
}: {
  appliance: MiniAppliance;
  /** Packs of each zone, by zone id. */
  marks: ReadonlyMap<string, number>;
  /** Zones of what is looked at. */
  lit: ReadonlySet<string>;
}) {
  const { laid, wide, high } = laidOut(appliance);
  const scale = Math.min(HIGH / high, 270 / wide);
  const told = laid.flatMap(({ zone }) =>
    marks.has(zone.id) ? [`${zone.name}: ${marks.get(zone.id)}`] : [],
  );
  return (
    <svg
      role="img"
      aria-label={`${appliance.name}: ${told.length > 0 ? told.join(', ') : 'nothing'}`}
      width={wide * scale + 4}
      height={high * scale + 4}
      viewBox={`-2 -2 ${wide * scale + 4} ${high * scale + 4}`}
      className="max-w-full"
    >
      {laid.map((one) => (
        <ZoneRect
          key={one.zone.id}
          laid={one}
          scale={scale}
          mark={marks.has(one.zone.id) ? String(marks.get(one.zone.id)) : ''}
          lit={lit.has(one.zone.id)}
        />
      ))}
    </svg>
  );
}
