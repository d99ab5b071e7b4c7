'use client';

import { memo, type KeyboardEvent, type PointerEvent } from 'react';
import type { ZoneKind } from '@/core/model/drawing';
import { Said } from '../../units/Said';

/** What a pointer takes hold of: the zone itself, or one of its edges. */
export type Grip = 'whole' | 'left' | 'right' | 'top' | 'bottom';

interface Props {
  id: string;
  name: string;
  says: string;
  kind: ZoneKind;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Millimetres of a pixel. */
  mm: number;
  selected: boolean;
  wrong: boolean;
  ghost: boolean;
  onGrip: (event: PointerEvent<SVGElement>, id: string, grip: Grip) => void;
  onKey: (event: KeyboardEvent<SVGElement>, id: string) => void;
  onSelect: (id: string) => void;
}

const WORD_PX = 15;
const GRIP_PX = 14;
/** Of the letters' height, about. */
const LETTER_WIDE = 0.56;
/** Room for a zone's measures, on one line. */
const MEASURES_PX = 112;
/** Room for what marks a drawer or a rack, at the foot. */
const MARK_PX = 14;

/** A name in the lines it takes in so many letters; a word that is longer still is written smaller. */
function fitName(name: string, letters: number): { lines: string[]; size: number } {
  if (name.length <= letters) return { lines: [name], size: 1 };
  const lines = name.split(' ').reduce<string[]>((all, word) => {
    const last = all.at(-1);
    return last !== undefined && last.length + word.length < letters
      ? [...all.slice(0, -1), `${last} ${word}`]
      : [...all, word];
  }, []);
  const longest = Math.max(...lines.map(({ length }) => length));
  return { lines, size: Math.min(1, Math.max(0.7, letters / longest)) };
}

/** One zone on the paper: a box with its name and measures; choose it to take hold of its edges. */
export const ZoneOnPaper = memo(function ZoneOnPaper(props: Props) {
  const { id, name, says, kind, x, y, width, height, mm, selected, wrong, ghost, onGrip, onKey, onSelect } =
    props;
  const line = WORD_PX * mm;
  // Words that nobody could read are not drawn; they would cost every frame of a drag.
  const readable = height > line && width > 2 * line;
  const words = readable
    ? fitName(name, (width / mm - 10) / (WORD_PX * LETTER_WIDE))
    : { lines: [], size: 1 };
  const measured = width > MEASURES_PX * mm && height > line * (words.lines.length + 1.2) + MARK_PX * mm;
  return (
    <g opacity={ghost ? 0.3 : 1} style={ghost ? { pointerEvents: 'none' } : undefined}>
      <g
        role="button"
        tabIndex={0}
        aria-label={says}
        aria-pressed={selected}
        data-zone-box={name}
        className="cursor-grab outline-none focus-visible:[&>rect:first-of-type]:stroke-deep focus-visible:[&>rect:first-of-type]:[stroke-width:4px]"
        onPointerDown={(event) => onGrip(event, id, 'whole')}
        onKeyDown={(event) => onKey(event, id)}
        onFocus={() => onSelect(id)}
      >
        <rect
          x={x}
          y={y}
          width={width}
          height={height}
          rx={kind === 'bin' || kind === 'basket' ? Math.min(16, width / 6) : 2}
          fill={wrong ? 'url(#wrong)' : selected ? 'var(--ice-top)' : 'var(--snow)'}
          stroke={wrong ? 'var(--beet)' : selected ? 'var(--deep)' : 'var(--slate)'}
          strokeWidth={selected ? 3 : 1.5}
          strokeDasharray={kind === 'layer' ? `${8 * mm} ${5 * mm}` : undefined}
          vectorEffect="non-scaling-stroke"
        />
        <KindMark {...{ kind, x, y, width, height, mm }} />
        {readable && (
          <svg x={x} y={y} width={width} height={height} aria-hidden className="pointer-events-none">
            {words.lines.map((said, at) => (
              <text
                key={said}
                x={6 * mm}
                y={line * (1.15 + at * 1.1)}
                fontSize={line * words.size}
                fill="var(--ink)"
                className="font-heading font-semibold"
              >
                {said}
              </text>
            ))}
            {measured && (
              <text
                x={6 * mm}
                y={line * (1.2 + words.lines.length * 1.1)}
                fontSize={line * 0.93}
                fill="var(--slate-deep)"
              >
                <Said>{`${Math.round(width)} × ${Math.round(height)} mm`}</Said>
              </text>
            )}
          </svg>
        )}
      </g>
    </g>
  );
});

/** The edges of the chosen zone, to be taken hold of; drawn over everything else. */
export function GripsOnPaper({
  id,
  x,
  y,
  width,
  height,
  mm,
  onGrip,
}: Pick<Props, 'id' | 'x' | 'y' | 'width' | 'height' | 'mm' | 'onGrip'>) {
  // A finger's breadth, but never so much that a small zone could not be taken hold of in its middle.
  const reach = Math.min(22 * mm, Math.max(9 * mm, Math.min(width, height) / 2.5));
  return (
    <>
      {(
        [
          ['left', x, y + height / 2, 'ew-resize'],
          ['right', x + width, y + height / 2, 'ew-resize'],
          ['top', x + width / 2, y, 'ns-resize'],
          ['bottom', x + width / 2, y + height, 'ns-resize'],
        ] as const
      ).map(([grip, cx, cy, cursor]) => (
        <g key={grip} data-grip={grip} style={{ cursor }} onPointerDown={(event) => onGrip(event, id, grip)}>
          <circle cx={cx} cy={cy} r={reach} fill="transparent" />
          <circle
            cx={cx}
            cy={cy}
            r={(GRIP_PX / 2) * mm}
            fill="var(--deep)"
            stroke="var(--snow)"
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
    </>
  );
}

/** What tells a drawer from a shelf at a glance. */
function KindMark({
  kind,
  x,
  y,
  width,
  height,
  mm,
}: Pick<Props, 'kind' | 'x' | 'y' | 'width' | 'height' | 'mm'>) {
  const common = { stroke: 'var(--slate)', vectorEffect: 'non-scaling-stroke' as const, 'aria-hidden': true };
  switch (kind) {
    case 'shelf':
      return <line {...common} strokeWidth={4} x1={x} x2={x + width} y1={y + height} y2={y + height} />;
    case 'drawer':
      return (
        <line
          {...common}
          strokeWidth={4}
          strokeLinecap="round"
          x1={x + width / 2 - 22 * mm}
          x2={x + width / 2 + 22 * mm}
          y1={y + height - 9 * mm}
          y2={y + height - 9 * mm}
        />
      );
    case 'door':
      return (
        <line
          {...common}
          strokeWidth={2}
          x1={x}
          x2={x + width}
          y1={y + height - Math.min(height * 0.25, 9 * mm)}
          y2={y + height - Math.min(height * 0.25, 9 * mm)}
        />
      );
    case 'tray':
      return <line {...common} strokeWidth={6} x1={x} x2={x + width} y1={y + height} y2={y + height} />;
    case 'basket':
      return (
        <g {...common} strokeWidth={1} opacity={0.6}>
          {[0.25, 0.5, 0.75].map((share) => (
            <line
              key={share}
              x1={x + width * share}
              x2={x + width * share}
              y1={y + height * 0.55}
              y2={y + height}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </g>
      );
    case 'bin':
    case 'layer':
      return null;
  }
}
