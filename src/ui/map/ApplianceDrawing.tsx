import type { ApplianceView } from '@/services/drawing';
import { ZoneDrawing } from './ZoneDrawing';

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}

/** One appliance as a front elevation; zones are as high as their share of the volume. */
export function ApplianceDrawing({ appliance }: { appliance: ApplianceView }) {
  const body = appliance.zones.filter(({ side }) => side === 'body');
  const door = appliance.zones.filter(({ side }) => side === 'door');
  const lifts = Math.max(0, appliance.zones.length - 1);
  return (
    <article
      aria-label={appliance.name}
      className="flex flex-col overflow-hidden rounded-card border-2 border-ink bg-snow"
    >
      <header className="flex flex-wrap items-baseline justify-between gap-x-3 border-b-2 border-ink px-2.5 py-1">
        <h2 className="text-[1.05rem]">{appliance.name}</h2>
        <p className="text-[0.9375rem] text-slate">
          {percent(appliance.fill)} full ·{' '}
          {appliance.shape === 'chest' ? `${lifts} lifts deep` : `${appliance.free_litres} L free`}
        </p>
      </header>
      <div className="flex flex-1 divide-x-2 divide-ink">
        <Column zones={body} wide={door.length > 0} />
        {door.length > 0 && <Column zones={door} wide={false} door />}
      </div>
    </article>
  );
}

function Column({
  zones,
  wide,
  door = false,
}: {
  zones: ApplianceView['zones'];
  wide: boolean;
  door?: boolean;
}) {
  return (
    <ul className={`flex min-w-0 flex-col ${wide ? 'flex-[2.2]' : 'flex-1'}`}>
      {zones.map((zone) => (
        <li
          key={zone.id}
          className="flex min-h-min flex-col border-b border-slate/60 last:border-b-0"
          style={{ flex: `${zone.litres} 1 0` }}
        >
          <ZoneDrawing zone={zone} room={wide ? 'wide' : door ? 'door' : 'narrow'} />
        </li>
      ))}
    </ul>
  );
}
