import type { ApplianceDrawing } from '@/core/model/drawing';
import { liftsTo } from '@/core/kitchen/liftsTo';
import type { ChestZoneView } from '@/services/kitchen/chestPlan';
import { type Look, panelsOf, paperOf, zonesOnPaper } from './draw/panels';
import { Said } from '../units/Said';

/** A chest to scale, from the side or from above; each zone with how many lifts it costs, and from the side what lies in it. */
export function ChestLook({
  drawing,
  look,
  zones,
}: {
  drawing: ApplianceDrawing;
  look: Look;
  zones: readonly ChestZoneView[];
}) {
  const panels = panelsOf(drawing, look);
  const word = Math.max(16, Math.round(paperOf(panels, 0).width / 32));
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
        className="max-h-[27rem] w-full"
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
              <Said>
                {width} mm wide, {height} mm {look === 'front' ? 'high' : 'deep'}
              </Said>
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
              <foreignObject {...rect}>
                <div
                  className="flex h-full flex-col gap-[0.25em] overflow-hidden leading-tight text-ink"
                  style={{ fontSize: word, padding: word * 0.35 }}
                >
                  <span className="flex flex-wrap justify-between gap-x-[0.6em]">
                    <b className="font-heading font-semibold">{zone.name}</b>
                    <span>{lifts === 0 ? 'at hand' : `${lifts} ${lifts === 1 ? 'lift' : 'lifts'}`}</span>
                  </span>
                  {look === 'front' && (
                    <span className="flex flex-wrap gap-[0.3em]">
                      {(zones.find((one) => one.id === id)?.foods ?? []).map(({ called, packages }) => (
                        <span
                          key={called}
                          className="border border-tape-edge bg-tape px-[0.4em] font-heading font-semibold text-tape-ink"
                        >
                          {called}
                          {packages > 1 && ` ×${packages}`}
                        </span>
                      ))}
                    </span>
                  )}
                </div>
              </foreignObject>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
