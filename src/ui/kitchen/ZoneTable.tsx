import type { ZoneListing } from '@/services/zones';

/** The household's zones as they are drawn on Today. */
export function ZoneTable({ zones }: { zones: ZoneListing[] }) {
  return (
    <section className="card mt-4 overflow-x-auto p-5" aria-labelledby="zones">
      <h2 id="zones" className="text-lg">
        Zones
      </h2>
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="text-slate">
            {['Zone', 'Appliance', 'For', 'Room inside', 'Temperature'].map((title) => (
              <th key={title} scope="col" className="py-1 pr-4 font-normal">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {zones.map((zone) => (
            <tr key={zone.id}>
              <th scope="row" className="py-2 pr-4 font-heading font-semibold">
                {zone.name}
              </th>
              <td className="pr-4">
                {zone.appliance.name}, {zone.appliance.room}
              </td>
              <td className="pr-4">{zone.purpose}</td>
              <td className="pr-4 whitespace-nowrap">
                {zone.litres} l, {zone.width_mm} × {zone.depth_mm} × {zone.height_mm} mm
              </td>
              <td
                className={`whitespace-nowrap ${zone.cold === 'fridge' && zone.temperature_c > 4 ? 'text-beet' : ''}`}
              >
                {String(zone.temperature_c).replace('-', '−')} °C
                {zone.cold === 'fridge' && zone.temperature_c > 4 ? ', warm' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
