'use client';

import {
  type KeyboardEvent,
  type PointerEvent,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { changeZone, removeZone, slideEdge, withZones, zoneIn } from '@/core/kitchen/changeZone';
import { type ApplianceDrawing, AXES, type DrawnZone, snap, SNAP_MM } from '@/core/model/drawing';
import { Refusal } from '@/core/model/refusal';
import { type Look, paperOf, panelsFor, zonesOnPaper } from './panels';
import { DoorLeaf, RIM_MM } from './DoorLeaf';
import { sayZone } from './sayZone';
import type { Drawing } from './useDrawing';
import { type Grip, GripsOnPaper, ZoneOnPaper } from './ZoneOnPaper';
import { useSay } from '../../units/useSay';

const [ACROSS, DOWN, BACK] = AXES;
/** Two lines of words above each compartment. */
const WORDS_PX = 42;
/** Of the paper before it is measured, px. */
const USUAL_PAPER = { width: 850, height: 460 };

/** A change of place or size under way, as long as the pointer is down. */
interface Drag {
  id: string;
  grip: Grip;
  from: { x: number; y: number };
  live: ApplianceDrawing;
  fault: string;
}

/** What a movement by `dx` and `dy` mm on the paper does to a zone. Seen from above, down on the paper is towards the front. */
function moved(
  drawing: ApplianceDrawing,
  id: string,
  grip: Grip,
  dx: number,
  dy: number,
  look: Look,
): ApplianceDrawing {
  const zone = zoneIn(drawing, id);
  const vertical = look === 'front' ? DOWN : BACK;
  const towards = look === 'front' ? dy : -dy;
  switch (grip) {
    case 'whole':
      return changeZone(drawing, id, {
        xMm: zone.xMm + dx,
        [vertical.start]: zone[vertical.start] + towards,
      } as Partial<DrawnZone>);
    case 'left':
    case 'right':
      return slideEdge(drawing, id, { axis: ACROSS, far: grip === 'right' }, dx);
    case 'top':
    case 'bottom':
      return slideEdge(
        drawing,
        id,
        { axis: vertical, far: (grip === 'bottom') === (look === 'front') },
        towards,
      );
  }
}

/** The same movement without any check, to show where it would go. */
function shown(
  drawing: ApplianceDrawing,
  id: string,
  grip: Grip,
  dx: number,
  dy: number,
  look: Look,
): ApplianceDrawing {
  if (grip !== 'whole') return drawing;
  const zone = zoneIn(drawing, id);
  return withZones(drawing, [
    look === 'front'
      ? { ...zone, xMm: zone.xMm + dx, yMm: zone.yMm + dy }
      : { ...zone, xMm: zone.xMm + dx, zMm: zone.zMm - dy },
  ]);
}

function tried(
  work: () => ApplianceDrawing,
  otherwise: () => ApplianceDrawing,
): { live: ApplianceDrawing; fault: string } {
  try {
    return { live: work(), fault: '' };
  } catch (error) {
    if (error instanceof Refusal) return { live: otherwise(), fault: error.says };
    throw error;
  }
}

/** The appliance on paper, true to scale, to be changed by pointer and by keys. */
export function DrawPaper({ drawing: state, look }: { drawing: Drawing; look: Look }) {
  const { present, selected, change, select, refuse } = state;
  const svg = useRef<SVGSVGElement>(null);
  const say = useSay();
  const [mm, setMm] = useState(2);
  const [size, setSize] = useState(USUAL_PAPER);
  const [drag, setDrag] = useState<Drag | null>(null);
  const dragging = useRef<Drag | null>(null);
  const frame = useRef(0);
  const live = drag?.live ?? present;
  const panels = useMemo(() => panelsFor(live, look, WORDS_PX * mm, size), [live, look, mm, size]);
  const paper = useMemo(() => paperOf(panels, WORDS_PX * mm), [panels, mm]);
  const zones = useMemo(() => zonesOnPaper(live, panels, look), [live, panels, look]);
  const byId = useMemo(() => new Map(live.zones.map((zone) => [zone.id, zone])), [live]);

  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const measure = (): void => {
      const scale = Math.min(element.clientWidth / paper.width, element.clientHeight / paper.height);
      if (scale > 0) setMm((before) => (Math.abs(before - 1 / scale) < 0.01 ? before : 1 / scale));
      const { clientWidth: width, clientHeight: height } = element;
      if (width > 0 && height > 0)
        setSize((before) =>
          before.width === width && before.height === height ? before : { width, height },
        );
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    return () => watch.disconnect();
  }, [paper.width, paper.height]);

  const setLive = useCallback((next: Drag | null) => {
    dragging.current = next;
    setDrag(next);
  }, []);

  const onGrip = useCallback(
    (event: PointerEvent<SVGElement>, id: string, grip: Grip) => {
      if (event.button !== 0) return;
      event.stopPropagation();
      select(id);
      (event.currentTarget as SVGElement & { focus(): void }).focus?.();
      svg.current?.setPointerCapture(event.pointerId);
      setLive({ id, grip, from: { x: event.clientX, y: event.clientY }, live: present, fault: '' });
    },
    [present, select, setLive],
  );

  const onMove = (event: PointerEvent<SVGSVGElement>): void => {
    const held = dragging.current;
    if (!held) return;
    const { clientX, clientY } = event;
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => {
      const dx = snap((clientX - held.from.x) * mm);
      const dy = snap((clientY - held.from.y) * mm);
      if (dx === 0 && dy === 0) return setLive({ ...held, live: present, fault: '' });
      const { id, grip } = held;
      setLive({
        ...held,
        ...tried(
          () => moved(present, id, grip, dx, dy, look),
          () => shown(present, id, grip, dx, dy, look),
        ),
      });
    });
  };

  const onDrop = (event: PointerEvent<SVGSVGElement>): void => {
    const held = dragging.current;
    if (!held) return;
    cancelAnimationFrame(frame.current);
    const dx = snap((event.clientX - held.from.x) * mm);
    const dy = snap((event.clientY - held.from.y) * mm);
    setLive(null);
    if (dx !== 0 || dy !== 0) change((drawing) => moved(drawing, held.id, held.grip, dx, dy, look));
  };

  const onKey = useCallback(
    (event: KeyboardEvent<SVGElement>, id: string) => {
      const steps: Record<string, [number, number]> = {
        ArrowLeft: [-SNAP_MM, 0],
        ArrowRight: [SNAP_MM, 0],
        ArrowUp: [0, -SNAP_MM],
        ArrowDown: [0, SNAP_MM],
      };
      const step = steps[event.key];
      if (step) {
        event.preventDefault();
        const [dx, dy] = step;
        const grip: Grip = !event.shiftKey ? 'whole' : dx !== 0 ? 'right' : 'bottom';
        change((drawing) => moved(drawing, id, grip, dx, dy, look));
      } else if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        document.getElementById('zone-name')?.focus();
      } else if (event.key === 'Delete') {
        event.preventDefault();
        change((drawing) => removeZone(drawing, id), null);
      } else if (event.key === 'Escape') refuse('');
    },
    [change, look, refuse],
  );

  const chosen = zones.find(({ id }) => id === selected);
  const box = chosen?.box;
  return (
    <svg
      ref={svg}
      viewBox={`${paper.x} ${paper.y} ${paper.width} ${paper.height}`}
      className="h-full w-full touch-none select-none"
      role="group"
      aria-label={`${present.name}, drawn to scale, seen from ${look === 'front' ? 'the front' : 'above'}`}
      data-paper={look}
      onPointerMove={onMove}
      onPointerUp={onDrop}
      onPointerCancel={() => setLive(null)}
      onPointerDown={() => select(null)}
    >
      <defs>
        <pattern
          id="wrong"
          width="10"
          height="10"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="10" height="10" fill="var(--beet-tint)" />
          <rect width="3" height="10" fill="var(--beet-hatch)" />
        </pattern>
      </defs>
      {panels.map((panel) => (
        <g key={panel.key}>
          <DoorLeaf panel={panel} />
          <rect
            x={panel.x}
            y={panel.y}
            width={panel.width}
            height={panel.height}
            rx={8}
            fill={panel.cold === 'freezer' ? 'var(--ice-foot)' : 'var(--rime)'}
            stroke="var(--ink)"
            strokeWidth={2.5}
            vectorEffect="non-scaling-stroke"
          />
          <svg
            x={panel.x}
            y={panel.y - RIM_MM - WORDS_PX * mm}
            width={panel.width + 40}
            height={WORDS_PX * mm}
            aria-hidden
          >
            <text y={16 * mm} fontSize={15 * mm} fill="var(--ink)" className="font-heading font-semibold">
              {panel.title}
            </text>
            <text y={33 * mm} fontSize={14 * mm} fill="var(--slate-deep)">
              {say(`${panel.width} × ${panel.height} mm`)}
              {look === 'above' ? ', front at the foot' : ''}
            </text>
          </svg>
        </g>
      ))}
      {zones.map(({ id, rect, box: own }) => {
        const zone = byId.get(id);
        if (!zone) return null;
        const level =
          box === undefined || (own.yMm < box.yMm + box.heightMm && box.yMm < own.yMm + own.heightMm);
        return (
          <ZoneOnPaper
            key={id}
            id={id}
            name={zone.name}
            kind={zone.kind}
            says={sayZone(zone)}
            {...rect}
            mm={mm}
            selected={id === selected}
            wrong={drag?.id === id && drag.fault !== ''}
            ghost={look === 'above' && !level}
            onGrip={onGrip}
            onKey={onKey}
            onSelect={select}
          />
        );
      })}
      {chosen && <GripsOnPaper id={chosen.id} {...chosen.rect} mm={mm} onGrip={onGrip} />}
      {drag !== null && drag.fault !== '' && (
        <text
          x={paper.x + 4}
          y={paper.y + paper.height - 6}
          fontSize={16 * mm}
          fill="var(--beet)"
          className="font-semibold"
        >
          {drag.fault}
        </text>
      )}
    </svg>
  );
}
