import { drawingOf } from '@/store/kitchens';
import type { DrawnZone, ZoneRules } from '@/core/model/drawing';
import { listed, listIn } from './list';
import { type Cells, idIn, mustNumber, numberIn, type Table, text, wrong, yes, yesIn } from './table';

const MM = {
  x_mm: 'xMm',
  y_mm: 'yMm',
  z_mm: 'zMm',
  width_mm: 'widthMm',
  height_mm: 'heightMm',
  depth_mm: 'depthMm',
} as const;
const TOLD = [
  'id',
  'appliance_id',
  'compartment_id',
  'parent_id',
  'name',
  'purpose',
  'kind',
  'side',
  ...Object.keys(MM),
  'humidity',
  'only',
  'never',
  'person',
  'limit_litres',
  'hard_to_reach',
  'kept_empty',
  'leakproof',
];

function zoneIn(cells: Cells): Record<keyof DrawnZone, unknown> {
  return {
    id: idIn(cells),
    compartmentId: cells.compartment_id,
    parentId: cells.parent_id || null,
    name: cells.name,
    purpose: cells.purpose,
    kind: cells.kind,
    side: cells.side,
    ...(Object.fromEntries(
      Object.entries(MM).map(([column, name]) => [name, mustNumber(cells, column)]),
    ) as Record<(typeof MM)[keyof typeof MM], number>),
    humidity: cells.humidity || null,
    only: listIn(cells.only),
    never: listIn(cells.never),
    person: cells.person,
    limitLitres: numberIn(cells, 'limit_litres'),
    hardToReach: yesIn(cells, 'hard_to_reach'),
    keptEmpty: yesIn(cells, 'kept_empty'),
    leakproof: yesIn(cells, 'leakproof'),
  };
}

/** The drawn kitchen, a zone a row. A row changes its zone, or adds one, in an appliance that is drawn here. */
export const zones: Table = {
  section: 'zones',
  columns: ['appliance', ...TOLD, 'measured_c', 'measured_at'],
  cells: (row, { kitchen }) => {
    const rules = row.rules as ZoneRules;
    const appliance = kitchen.appliances.find(({ id }) => id === row.appliance_id);
    return {
      ...Object.fromEntries(TOLD.map((name) => [name, text(row[name])])),
      appliance: text(appliance?.name),
      only: listed(rules.only),
      never: listed(rules.never),
      person: rules.person,
      limit_litres: text(rules.limitLitres),
      hard_to_reach: yes(rules.hardToReach),
      kept_empty: yes(rules.keptEmpty),
      leakproof: yes(rules.leakproof),
      measured_c: text(row.measured_c),
      measured_at: text(row.measured_at),
    };
  },
  wayIn: {
    one: 'zone',
    many: 'zones',
    told: TOLD,
    together: ({ appliance_id: id = '' }) => id,
    tellings: (rows, { kitchen }) => {
      const [first = {}] = rows;
      const drawn = drawingOf(kitchen, first.appliance_id ?? '');
      const record = kitchen.appliances.find(({ id }) => id === drawn?.id);
      if (!drawn || !record)
        return wrong(
          `“${first.appliance ?? ''}” is not drawn here. Draw it first, or bring the whole household.`,
        );
      const told = new Map(rows.map((cells) => [cells.id, zoneIn(cells)]));
      const there = new Set(drawn.zones.map(({ id }) => id));
      return [
        {
          type: 'appliance.draw',
          version: record.version,
          rehome: [],
          appliance: {
            ...drawn,
            zones: [
              ...drawn.zones.map((zone) => told.get(zone.id) ?? zone),
              ...rows.filter(({ id = '' }) => !there.has(id)).map(zoneIn),
            ],
          },
        },
      ];
    },
  },
};
