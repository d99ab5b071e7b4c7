'use client';

import { Said } from '../units/Said';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { HaulLine, HaulPart } from '@/core/model/haul';
import { moveCut } from '@/core/haul/planLine';
import { packingOf } from '@/core/portions/packing';
import { sayAmount } from '@/core/units/sayAmount';
import { typedIn } from '@/core/units/typedIn';
import { useSay } from '../units/useSay';
import { useWording } from '../units/useWording';
import { GOAL_WORDS } from './benchWords';

const STEP = { g: 10, ml: 10, pc: 1 } as const;
/** More packs than this are too narrow to be cut by hand. */
const MOST_CUT = 14;

/** The whole line as a strip of tape with a cut between packs; a cut is dragged, or moved with the arrow keys. */
export function PortionBar({
  line,
  chosen,
  onChoose,
  onParts,
  packed,
}: {
  line: HaulLine;
  /** Index of the pack that is weighed or looked at. */
  chosen: number;
  onChoose: (pack: number) => void;
  onParts: (parts: HaulPart[]) => void;
  packed: boolean;
}) {
  const say = useSay();
  const wording = useWording();
  const frame = useRef<HTMLDivElement>(null);
  const dragged = useRef<{ cut: number; x: number; parts: HaulPart[] } | null>(null);
  const packs = line.parts.flatMap((part, nth) => part.amounts.map((amount) => ({ amount, part, nth })));
  const step = STEP[line.unit];
  const cuts = !packed && packs.length > 1 && packs.length <= MOST_CUT;

  const onMove = (event: PointerEvent): void => {
    const told = dragged.current;
    const wide = frame.current?.clientWidth;
    if (!told || !wide) return;
    const by = Math.round((((event.clientX - told.x) / wide) * line.amount) / step) * step;
    onParts(moveCut({ parts: told.parts }, told.cut, by));
  };
  const onKey = (event: KeyboardEvent, cut: number): void => {
    const by = { ArrowLeft: -step, ArrowRight: step, PageDown: -10 * step, PageUp: 10 * step }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onParts(moveCut(line, cut, by));
  };

  if (packs.length > 24) {
    return (
      <p className="rounded-part border border-tape-edge bg-tape px-3 py-2 text-tape-ink">
        {packs.length} packs, <Said>{sayAmount(packs[0]?.amount ?? 0, line.unit)}</Said> each
      </p>
    );
  }
  return (
    <div
      ref={frame}
      className="flex overflow-x-auto rounded-part border border-tape-edge bg-tape"
      onPointerMove={onMove}
      onPointerUp={() => (dragged.current = null)}
    >
      {packs.map(({ amount, part, nth }, at) => (
        <div key={at} className="relative flex min-w-12" style={{ flex: `${amount} 1 0` }}>
          <button
            type="button"
            aria-pressed={at === chosen}
            onClick={() => onChoose(at)}
            className={`min-h-14 w-full min-w-11 cursor-pointer overflow-hidden px-1.5 py-1 text-left text-tape-ink sm:px-2 ${
              nth % 2 === 1 ? 'bg-[color-mix(in_srgb,var(--tape-edge)_45%,var(--tape))]' : ''
            } ${at === chosen ? 'shadow-[inset_0_-4px_0_var(--deep)]' : ''}`}
          >
            <span className="block truncate font-heading font-semibold">
              <span className={packs.length > 4 ? 'sm:hidden' : 'hidden'}>
                {line.unit === 'pc' ? amount : typedIn(line.unit, wording).show(amount)}
              </span>
              <span className={packs.length > 4 ? 'hidden sm:inline' : ''}>
                <Said>{sayAmount(amount, line.unit)}</Said>
              </span>
            </span>
            <span className={`truncate text-[0.9375rem] ${packs.length > 4 ? 'hidden sm:block' : 'block'}`}>
              {part.goes === 'freezer' ? (packingOf(part.packing).form ?? 'frozen') : GOAL_WORDS[part.goes]}
            </span>
          </button>
          {cuts && at < packs.length - 1 && (
            <span
              role="slider"
              tabIndex={0}
              aria-label={`Cut between pack ${at + 1} and ${at + 2}`}
              aria-valuemin={1}
              aria-valuemax={amount + (packs[at + 1]?.amount ?? 1) - 1}
              aria-valuenow={amount}
              aria-valuetext={say(
                `${sayAmount(amount, line.unit)} and ${sayAmount(packs[at + 1]?.amount ?? 0, line.unit)}`,
              )}
              onKeyDown={(event) => onKey(event, at)}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                dragged.current = { cut: at, x: event.clientX, parts: line.parts };
              }}
              onPointerMove={onMove}
              className="absolute inset-y-0 -right-3 z-10 w-6 cursor-col-resize touch-none before:absolute before:inset-y-0 before:left-1/2 before:border-l-2 before:border-dashed before:border-tape-ink/50"
            />
          )}
        </div>
      ))}
    </div>
  );
}
