import type { PackLayout } from '@/core/portions/packLayout';
import { Said } from '../units/Said';
import { mm } from './sayLayout';

/** Room for one picture, px. */
export const WIDE = 220;
export const HIGH = 150;

/** A measure along an edge, with its figure. */
function Measure({
  x,
  y,
  length,
  says,
  up = false,
}: {
  x: number;
  y: number;
  length: number;
  says: string;
  up?: boolean;
}) {
  return (
    <g stroke="var(--slate-deep)" fill="var(--slate-deep)" strokeWidth="1.2">
      {up ? (
        <path d={`M${x} ${y}v${length}M${x - 4} ${y}h8M${x - 4} ${y + length}h8`} fill="none" />
      ) : (
        <path d={`M${x} ${y}h${length}M${x} ${y - 4}v8M${x + length} ${y - 4}v8`} fill="none" />
      )}
      <text
        stroke="none"
        fontSize="15"
        textAnchor={up ? 'start' : 'middle'}
        x={up ? x + 7 : x + length / 2}
        y={up ? y + length / 2 + 5 : y + 18}
      >
        <Said>{says}</Said>
      </text>
    </g>
  );
}

export function Flat({ layout, fill }: { layout: Extract<PackLayout, { kind: 'flat' }>; fill: string }) {
  const scale = Math.min((WIDE - 70) / layout.widthMm, (HIGH - 22) / layout.lengthMm);
  const [wide, high] = [layout.widthMm * scale, layout.lengthMm * scale];
  const [x, y] = [4, 4];
  const thick = Math.max(1.5, layout.thicknessMm * scale);
  const cuts = [
    ...Array.from({ length: layout.columns - 1 }, (_, at) => {
      const cx = x + 8 + ((wide - 16) * (at + 1)) / layout.columns;
      return `M${cx} ${y + 18}V${y + high - 8}`;
    }),
    ...Array.from({ length: layout.rows - 1 }, (_, at) => {
      const cy = y + 18 + ((high - 26) * (at + 1)) / layout.rows;
      return `M${x + 8} ${cy}H${x + wide - 8}`;
    }),
  ];
  return (
    <>
      <rect x={x} y={y} width={wide} height={high} rx="5" fill="var(--ice-top)" stroke="var(--ink)" />
      <rect x={x} y={y} width={wide} height="10" fill="var(--ice)" stroke="var(--ink)" />
      <rect x={x + 8} y={y + 18} width={wide - 16} height={high - 26} rx="6" fill={fill} />
      <path d={cuts.join('')} stroke="#3b2a20" strokeWidth="1.8" strokeDasharray="6 4" fill="none" />
      {cuts.length > 0 && (
        <text x={x + 14} y={y + 36} fontSize="15" fill="#2b2a20" fontWeight="600">
          <Said>{Math.round(layout.snapG)} g</Said>
        </text>
      )}
      <Measure x={x + wide + 8} y={y} length={high} says={mm(layout.lengthMm)} up />
      <Measure x={x} y={y + high + 8} length={wide} says={mm(layout.widthMm)} />
      <g transform={`translate(0 ${y + high + 40})`}>
        <rect x={x} y={0} width={wide} height={thick} fill={fill} stroke="var(--ink)" strokeWidth="0.8" />
        <text x={x + wide + 8} y={thick / 2 + 5} fontSize="15" fill="var(--slate-deep)">
          <Said>{layout.thicknessMm.toFixed(layout.thicknessMm < 10 ? 1 : 0)} mm thick</Said>
        </text>
      </g>
    </>
  );
}

export function Vessel({ layout, fill }: { layout: Extract<PackLayout, { kind: 'vessel' }>; fill: string }) {
  const scale = Math.min(120 / layout.diameterMm, 160 / layout.heightMm);
  const [wide, high] = [layout.diameterMm * scale, layout.heightMm * scale];
  const level = Math.min(high, (layout.packMl / layout.capacityMl) * high);
  const line = layout.headspaceMm * scale;
  return (
    <>
      <rect x="4" y="8" width={wide} height={high} rx="8" fill="var(--ice-top)" />
      <rect x="4" y={8 + high - level} width={wide} height={level} rx="6" fill={fill} />
      <rect x="4" y="8" width={wide} height={high} rx="8" fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      <path
        d={`M0 ${8 + line}h${wide + 8}`}
        stroke="var(--ember-deep)"
        strokeWidth="2"
        strokeDasharray="6 4"
      />
      <text x={wide + 14} y={8 + line + 5} fontSize="15" fill="var(--ink)">
        <Said>fill line, {layout.fillMl} ml</Said>
      </text>
      <text x={wide + 14} y={8 + line + 25} fontSize="15" fill="var(--slate-deep)">
        <Said>{layout.headspaceMm} mm under the rim</Said>
      </text>
      <text
        x={wide + 14}
        y={Math.max(8 + line + 48, 8 + high - level / 2)}
        fontSize="15"
        fill="var(--slate-deep)"
      >
        <Said>{layout.packMl} ml in it</Said>
      </text>
      <Measure x={4} y={8 + high + 10} length={wide} says={`Ø ${mm(layout.diameterMm)}`} />
    </>
  );
}

/** Rows of small things, as many as there are, drawn to their share. */
export function Grid({
  count,
  across,
  round,
  fill,
  caption,
}: {
  count: number;
  across: number;
  round: boolean;
  fill: string;
  caption: string;
}) {
  const shown = Math.min(count, across * 9);
  const step = Math.min(24, (WIDE - 10) / across, HIGH / Math.ceil(shown / across));
  return (
    <>
      {Array.from({ length: shown }, (_, at) => {
        const [cx, cy] = [8 + (at % across) * step + step / 2, 8 + Math.floor(at / across) * step + step / 2];
        return round ? (
          <circle
            key={at}
            cx={cx}
            cy={cy}
            r={step * 0.42}
            fill={fill}
            stroke="var(--ink)"
            strokeWidth="0.7"
          />
        ) : (
          <rect
            key={at}
            x={cx - step * 0.42}
            y={cy - step * 0.42}
            width={step * 0.84}
            height={step * 0.84}
            rx="3"
            fill={fill}
            stroke="var(--ink)"
            strokeWidth="0.7"
          />
        );
      })}
      <text x="4" y={HIGH + 26} fontSize="15" fill="var(--slate-deep)">
        <Said>{caption}</Said>
      </text>
    </>
  );
}

export function Stack({ layout, fill }: { layout: Extract<PackLayout, { kind: 'stack' }>; fill: string }) {
  const shown = Math.min(8, layout.pieces);
  const scale = Math.min(160 / layout.diameterMm, 150 / (shown * (layout.thickMm + 2)));
  return (
    <>
      {Array.from({ length: shown }, (_, at) => {
        const y = 8 + at * (layout.thickMm + 2) * scale;
        return (
          <g key={at}>
            <rect
              x="8"
              y={y}
              width={layout.diameterMm * scale}
              height={layout.thickMm * scale}
              rx="4"
              fill={fill}
              stroke="var(--ink)"
              strokeWidth="0.8"
            />
            {at < shown - 1 && (
              <path
                d={`M2 ${y + (layout.thickMm + 1) * scale}h${layout.diameterMm * scale + 12}`}
                stroke="var(--deep)"
                strokeWidth="2"
              />
            )}
          </g>
        );
      })}
      <text x="4" y={HIGH + 26} fontSize="15" fill="var(--slate-deep)">
        <Said>
          {layout.pieces} of Ø {mm(layout.diameterMm)}, {layout.papers} papers between
        </Said>
      </text>
    </>
  );
}

export function Box({
  wideMm,
  highMm,
  says,
  fill,
  round = false,
}: {
  wideMm: number;
  highMm: number;
  says: string;
  fill: string;
  round?: boolean;
}) {
  const scale = Math.min((WIDE - 70) / wideMm, (HIGH - 10) / highMm, 1.4);
  const [wide, high] = [wideMm * scale, highMm * scale];
  return (
    <>
      <rect
        x="4"
        y="6"
        width={wide}
        height={high}
        rx={round ? Math.min(wide, high) / 2 : 10}
        fill={fill}
        stroke="var(--ink)"
      />
      <Measure x={4} y={6 + high + 9} length={wide} says={mm(wideMm)} />
      <Measure x={4 + wide + 9} y={6} length={high} says={mm(highMm)} up />
      <text x="4" y={6 + high + 50} fontSize="15" fill="var(--slate-deep)">
        <Said>{says}</Said>
      </text>
    </>
  );
}
