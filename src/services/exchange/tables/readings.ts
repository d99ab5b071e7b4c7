import { mustNumber, type Table, text, wrong } from './table';

/** What thermometers said, °C. */
export const readings: Table = {
  section: 'readings',
  columns: ['zone_id', 'zone', 'appliance', 'at', 'celsius'],
  cells: ({ zone_id: id, at, celsius }, { kitchen }) => {
    const zone = kitchen.zones.find((one) => one.id === id);
    return {
      zone_id: text(id),
      zone: text(zone?.name),
      appliance: text(zone?.applianceName),
      at: text(at),
      celsius: text(celsius),
    };
  },
  wayIn: {
    one: 'reading',
    many: 'readings',
    told: ['zone_id', 'at', 'celsius'],
    rank: ({ at = '' }) => at,
    tellings: (rows, { kitchen }) =>
      rows.map((cells) => {
        const zone =
          kitchen.zones.find(({ id }) => id === cells.zone_id) ??
          kitchen.zones.find(
            ({ name, applianceName }) => name === cells.zone && applianceName === cells.appliance,
          ) ??
          wrong(`There is no zone “${cells.zone ?? ''}” in “${cells.appliance ?? ''}” here.`);
        return { type: 'zone.measure', at: cells.at, zone: zone.id, celsius: mustNumber(cells, 'celsius') };
      }),
  },
};
