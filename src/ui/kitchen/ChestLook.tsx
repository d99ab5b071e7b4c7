import type { ApplianceDrawing } from '@/core/model/drawing';
import { liftsTo } from '@/core/kitchen/liftsTo';
import { type Look, panelsOf, paperOf, zonesOnPaper } from './draw/panels';

/** A chest to scale with its measures, from the side or from above; each zone with how many lifts it costs. */
export function ChestLook({ drawing, look }: { drawing: ApplianceDrawing; look: Look }) {
  const panels = panelsOf(drawing, look);
  const word = Math.max(18, Math.round(paperOf(panels, 0).width / 27));
  const paper = paperOf(panels, word * 1.8);
  return (
    <figure>
      <figcaption className="text-slate">
        {look === 'front' ? 'From the side, the lid on top' : 'From above, your side at the foot'}
      </figcaption>
      <svg
        role="img"
        aria-label={`${drawing.name} ${look === 'front' ? 'from the side' : 'from above'}: ${drawing.zones
          .map((zone) => `${zone.name}, ${liftsTo(zone, drawing)} lifts`)
          .join('; ')}`}
        viewBox={`${paper.x} ${paper.y} ${paper.width} ${paper.height}`}
        className="max-h-80 w-full"
      >
        {panels.map(({ key, x, y, width, height }) => (
          <g key={key}>
            <rect
              {...{ x, y, width, height }}
              rx={8}
              fill="var(--rime)"
              stroke="var(--ink)"
              strokeWidth={5}
            />
            <text x={x} y={y - word * 0.6} fontSize={word} fill="var(--slate-deep)">
              {width} mm wide, {height} mm {look === 'front' ? 'high' : 'deep'}
            </text>
          </g>
        ))}
        {zonesOnPaper(drawing, panels, look).map(({ id, rect }) => {
          const zone = drawing.zones.find((one) => one.id === id);
          if (!zone) return null;
          const lifts = liftsTo(zone, drawing);
          return (
            <g key={id}>
              <rect
                {...rect}
                rx={6}
                fill={lifts === 0 ? 'var(--snow)' : lifts === 1 ? 'var(--ice-top)' : 'var(--ice)'}
                fillOpacity={look === 'front' ? 0.85 : 1}
                stroke="var(--slate)"
                strokeWidth={2}
              />
              <svg {...rect}>
                <text
                  x={8}
                  y={word * 1.2}
                  fontSize={word}
                  className="font-heading font-semibold"
                  fill="var(--ink)"
                >
                  {zone.name}
                </text>
                <text x={8} y={word * 2.4} fontSize={word * 0.9} fill="var(--ink)">
                  {rect.width} × {rect.height} ·{' '}
                  {lifts === 0 ? 'at hand' : `${lifts} ${lifts === 1 ? 'lift' : 'lifts'}`}
                </text>
              </svg>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
