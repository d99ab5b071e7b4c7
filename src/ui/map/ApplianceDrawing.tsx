import type { SeenAppliance, SeenZone } from '@/services/today/seenToday';
import { frontGrid } from './frontGrid';
import { ZoneDrawing, type ZoneRoom } from './ZoneDrawing';

const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** How wide a compartment wants to be drawn, px: what strips of tape in its zones need to be read. */
const ALONE_PX = 160;
const WITH_DOOR_PX = 355;
/** How high all compartments together are drawn before their strips ask for more, px. */
const HIGH_PX = 350;
const LEAST_TRACK_PX = 44;
/** A narrow zone among wider ones is drawn so wide at least. */
const READ_PX = 92;

/** Pixels an appliance needs at least, by its widest row of compartments and their doors. */
export function wantedWidth({ compartments }: SeenAppliance): number {
  const rows = new Map<number, number>();
  for (const { box, door_mm: door } of compartments) {
    rows.set(box.yMm, (rows.get(box.yMm) ?? 0) + (door > 0 ? WITH_DOOR_PX : ALONE_PX));
  }
  return Math.max(ALONE_PX, ...rows.values());
}

/** One appliance as a front elevation (a chest from the lid down), its compartments and zones in their own proportions. */
export function ApplianceDrawing({ appliance }: { appliance: SeenAppliance }) {
  const { columns, rows, cells } = frontGrid(appliance.compartments, { widthMm: 0, heightMm: 0 });
  const last = Math.max(...appliance.compartments.map(({ box }) => box.xMm));
  return (
    <article
      aria-label={appliance.name}
      className="flex flex-1 flex-col overflow-hidden rounded-card border-2 border-ink bg-snow"
    >
      <header className="flex flex-wrap items-baseline justify-between gap-x-3 border-b-2 border-ink px-2.5 py-1">
        <h2 className="text-[1.05rem]">{appliance.name}</h2>
        <p className="text-[0.9375rem] text-slate">
          {percent(appliance.fill)} full ·{' '}
          {appliance.shape === 'chest' ? `${appliance.lifts} lifts deep` : appliance.free_words}
        </p>
      </header>
      <div
        className="grid flex-1 gap-0.5 bg-ink"
        style={{
          gridTemplateColumns: across(columns),
          gridTemplateRows: rows.map((size) => (size < 60 ? '0px' : 'auto')).join(' '),
        }}
      >
        {cells.map(({ items, column, row }) =>
          items.map((inside) => (
            <div
              key={inside.id}
              className="flex min-w-0 flex-col bg-snow"
              style={{ gridColumn: `${column[0]} / ${column[1]}`, gridRow: `${row[0]} / ${row[1]}` }}
            >
              {inside.name !== '' && (
                <h3 className="border-b border-slate/60 px-2.5 text-[0.9375rem]">{inside.name}</h3>
              )}
              <CompartmentFront
                inside={inside}
                zones={appliance.zones.filter((zone) => zone.compartment_id === inside.id)}
                pxPerMm={scaleOf(appliance)}
                doorFirst={inside.box.xMm === 0 && last > 0}
              />
            </div>
          )),
        )}
      </div>
    </article>
  );
}

/**
 * Columns in the proportion of their measures; gaps of a few millimetres between compartments stay thin.
 *
 * @param alone a column in which a zone has to be read, however narrow it is
 */
const across = (sizes: readonly number[], alone: (column: number) => boolean = () => false): string =>
  sizes
    .map((size, at) =>
      size < 60 ? 'auto' : `minmax(${alone(at) && sizes.length > 1 ? READ_PX : 0}px, ${size}fr)`,
    )
    .join(' ');

/** Rows in the proportion of their measures, higher where strips need it. */
function down(sizes: readonly number[], pxPerMm: number): string {
  return sizes
    .map((size) =>
      size < 60 ? 'auto' : `minmax(${Math.max(LEAST_TRACK_PX, Math.round(size * pxPerMm))}px, auto)`,
    )
    .join(' ');
}

/** Pixels a millimetre of height gets in an appliance. */
function scaleOf({ compartments }: SeenAppliance): number {
  const foot = Math.max(...compartments.map(({ box }) => box.yMm + box.heightMm));
  return HIGH_PX / foot;
}

function CompartmentFront({
  inside,
  zones,
  pxPerMm,
  doorFirst,
}: {
  inside: SeenAppliance['compartments'][number];
  zones: SeenZone[];
  pxPerMm: number;
  doorFirst: boolean;
}) {
  const door = zones.filter(({ side }) => side === 'door');
  const body = zones.filter(({ side }) => side === 'body');
  return (
    <div
      className={`flex flex-1 divide-ink ${doorFirst ? 'flex-row-reverse divide-x-2 divide-x-reverse' : 'divide-x-2'}`}
    >
      <Front zones={body} inside={inside} pxPerMm={pxPerMm} wide={door.length > 0} />
      {door.length > 0 && (
        <div className="relative flex min-w-0 flex-1 bg-line/60 p-1">
          <Hinges />
          <Front zones={door} inside={inside} pxPerMm={pxPerMm} wide={false} door />
        </div>
      )}
    </div>
  );
}

/** What an open door hangs on. */
function Hinges() {
  return ['top-[12%]', 'bottom-[12%]'].map((where) => (
    <span key={where} aria-hidden className={`absolute -left-[5px] h-6 w-2.5 rounded-sm bg-ink ${where}`} />
  ));
}

function Front({
  zones,
  inside,
  pxPerMm,
  wide,
  door = false,
}: {
  zones: SeenZone[];
  inside: SeenAppliance['compartments'][number];
  pxPerMm: number;
  wide: boolean;
  door?: boolean;
}) {
  const outer = zones.filter(({ parent_id: parent }) => parent === null);
  const { columns, rows, cells } = frontGrid(outer, inside.box);
  return (
    <ul
      className={`grid min-w-0 ${wide ? 'flex-[2.2]' : 'flex-1'} ${door ? 'overflow-hidden rounded-part border border-slate bg-snow' : ''}`}
      style={{
        gridTemplateColumns: across(columns, (at) =>
          cells.some(({ column: [from, to] }) => from === at + 1 && to === at + 2),
        ),
        gridTemplateRows: down(rows, pxPerMm),
      }}
    >
      {cells.map(({ items, column, row }) => (
        <li
          key={items[0]?.id}
          className={`flex min-w-0 divide-x divide-dashed divide-slate/60 border-slate/60 not-last:border-b ${column[0] > 1 ? 'border-l' : ''}`}
          style={{ gridColumn: `${column[0]} / ${column[1]}`, gridRow: `${row[0]} / ${row[1]}` }}
        >
          {items.map((zone) => {
            const share = (zone.box.widthMm / inside.box.widthMm) * (1 / items.length);
            return (
              <ZoneWithNested
                key={zone.id}
                zone={zone}
                zones={zones}
                room={door ? 'door' : share < (wide ? 0.7 : 0.5) ? 'tight' : wide ? 'wide' : 'narrow'}
              />
            );
          })}
        </li>
      ))}
    </ul>
  );
}

/** A zone, and at its foot the bins and trays that stand in it. */
function ZoneWithNested({ zone, zones, room }: { zone: SeenZone; zones: SeenZone[]; room: ZoneRoom }) {
  const nested = zones.filter(({ parent_id: parent }) => parent === zone.id);
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <ZoneDrawing zone={zone} room={room} />
      {nested.length > 0 && (
        <div className="flex flex-wrap gap-1 px-1 pb-1">
          {nested.map((inner) => (
            <div key={inner.id} className="flex min-w-24 flex-1 rounded-part border border-slate/60">
              <ZoneWithNested zone={inner} zones={zones} room="narrow" />
            </div>
          ))}
        </div>
      )}
    </div>
  );
}
