'use client';

import type { Container } from '@/core/model/container';
import { Said } from '../../units/Said';
import { fitContainer, type FitZone, mayStandOn, roomForHand } from '@/core/packaging/fit';

/** A zone from the front with containers of one kind in it, to scale, the room for a hand hatched. */
export function FitDrawing({
  zone,
  container,
  containers,
}: {
  zone: FitZone;
  container: Container | null;
  containers: Container[];
}) {
  const [best] = container ? fitContainer(zone, container) : [];
  if (!container || !best) return null;
  const room = roomForHand(zone, container.rigid);
  const word = Math.max(zone.widthMm / 46, zone.heightMm / 20);
  const upon = containers.filter((other) => other.id !== container.id && mayStandOn(other, container).may);
  return (
    <section aria-label={`${container.name} drawn to scale`} className="card p-4">
      <svg
        role="img"
        aria-label={`${best.across} across and ${best.high} high, seen from the front; ${best.deep} behind each other`}
        viewBox={`-2 ${-word * 1.6} ${zone.widthMm + 4} ${zone.heightMm + word * 3.2}`}
        className="max-h-72 w-full"
      >
        <defs>
          <pattern
            id="hand"
            width="12"
            height="12"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="12" height="12" fill="var(--snow)" />
            <rect width="2" height="12" fill="var(--line)" />
          </pattern>
        </defs>
        <text x={0} y={-word * 0.5} fontSize={word} fill="var(--slate-deep)">
          <Said>
            {zone.widthMm} × {zone.heightMm} mm; hatched: room for a hand
          </Said>
        </text>
        <rect
          width={zone.widthMm}
          height={zone.heightMm}
          fill="url(#hand)"
          stroke="var(--ink)"
          strokeWidth={3}
        />
        <rect y={zone.heightMm - room.upMm} width={room.acrossMm} height={room.upMm} fill="var(--snow)" />
        {Array.from({ length: best.across * best.high }, (_, at) => {
          const [column, row] = [at % best.across, Math.floor(at / best.across)];
          return (
            <rect
              key={at}
              x={column * best.acrossMm}
              y={zone.heightMm - (row + 1) * best.upMm}
              width={best.acrossMm}
              height={best.upMm}
              fill="var(--tape)"
              stroke="var(--ink)"
              strokeWidth={1.5}
              rx={4}
            />
          );
        })}
        <text x={0} y={zone.heightMm + word * 1.3} fontSize={word} fill="var(--slate-deep)">
          <Said>
            each {best.acrossMm} mm across, {best.upMm} mm high, {best.backMm} mm to the back; {best.deep}{' '}
            behind each other
          </Said>
        </text>
      </svg>
      <p className="mt-2 text-slate">
        {!container.rigid || !container.lid
          ? `Nothing stands on ${container.name}: ${container.rigid ? 'it has no lid' : 'it gives way'}.`
          : upon.length === 0
            ? `Of your other containers none should stand on ${container.name}.`
            : `On ${container.name} may stand: ${upon.map(({ name }) => name).join(', ')}.`}
      </p>
    </section>
  );
}
