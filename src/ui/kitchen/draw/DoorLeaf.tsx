import { GAP_MM, type Panel } from './panels';

/** The leaf stands out around its racks by so much, mm. */
export const RIM_MM = 16;
const HINGE_MM = 44;

/** An open door behind its racks: the leaf with its seal, two hinges towards the inside, the handle on its far edge. */
export function DoorLeaf({ panel: { x, y, width, height, hinge } }: { panel: Panel }) {
  if (hinge === null) return null;
  const far = hinge === 'left' ? x + width + RIM_MM : x - RIM_MM;
  const near = hinge === 'left' ? x - GAP_MM : x + width + RIM_MM;
  const line = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const };
  return (
    <g aria-hidden>
      <rect
        {...line}
        x={far - 9}
        y={y + height * 0.38}
        width={18}
        height={height * 0.24}
        rx={9}
        fill="var(--slate)"
        strokeWidth={1}
      />
      {[0.08, 0.92].map((share) => (
        <rect
          key={share}
          x={near}
          y={y + height * share - HINGE_MM / 2}
          width={GAP_MM - RIM_MM}
          height={HINGE_MM}
          rx={8}
          fill="var(--slate)"
        />
      ))}
      <rect
        {...line}
        x={x - RIM_MM}
        y={y - RIM_MM}
        width={width + 2 * RIM_MM}
        height={height + 2 * RIM_MM}
        rx={26}
        fill="var(--line)"
        strokeWidth={1.5}
      />
    </g>
  );
}
