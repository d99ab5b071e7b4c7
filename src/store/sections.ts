import { fromJson, fromSqlInstant, type Sql, toSqlInstant } from './database';

/** How a column is written in a household's document. */
type Kind = 'plain' | 'flag' | 'json' | 'instant' | 'bytes';

/** A table as a section of a household's document: its columns, its order. */
export interface Section {
  name: string;
  table: string;
  columns: Readonly<Record<string, Kind>>;
  /** A key by which pages of it follow each other; unique in the household. */
  order: readonly string[];
  /** How many rows a page of it has. */
  page: number;
}

const SHELF = 500;

function section(
  name: string,
  table: string,
  order: readonly string[],
  columns: Record<string, Kind>,
  page = SHELF,
): Section {
  return { name, table, order, columns, page };
}

/** What a household has, in the order in which it can be written: whatever is spoken of stands before. */
export const SECTIONS: readonly Section[] = [
  section('foods', 'food', ['id'], {
    id: 'plain',
    name: 'plain',
    food_group: 'plain',
    outage_class_id: 'plain',
    retired: 'flag',
    figures: 'json',
  }),
  section('appliances', 'appliance', ['position', 'id'], {
    id: 'plain',
    name: 'plain',
    room: 'plain',
    shape: 'plain',
    position: 'plain',
  }),
  section('compartments', 'compartment', ['appliance_id', 'position', 'id'], {
    id: 'plain',
    appliance_id: 'plain',
    position: 'plain',
    name: 'plain',
    cold: 'plain',
    x_mm: 'plain',
    y_mm: 'plain',
    width_mm: 'plain',
    height_mm: 'plain',
    depth_mm: 'plain',
    door_mm: 'plain',
  }),
  section('zones', 'zone', ['compartment_id', 'side', 'position', 'id'], {
    id: 'plain',
    appliance_id: 'plain',
    compartment_id: 'plain',
    parent_id: 'plain',
    name: 'plain',
    purpose: 'plain',
    kind: 'plain',
    side: 'plain',
    position: 'plain',
    x_mm: 'plain',
    y_mm: 'plain',
    z_mm: 'plain',
    width_mm: 'plain',
    depth_mm: 'plain',
    height_mm: 'plain',
    humidity: 'plain',
    rules: 'json',
    measured_c: 'plain',
    measured_at: 'instant',
  }),
  section('readings', 'reading', ['zone_id', 'at'], { zone_id: 'plain', at: 'instant', celsius: 'plain' }),
  section('containers', 'container', ['id'], { id: 'plain', name: 'plain', container: 'json' }),
  section('wishes', 'wish', ['food_id'], { food_id: 'plain', wish: 'json', lead_days: 'plain' }),
  section('jobs', 'job', ['id'], {
    id: 'plain',
    kind: 'plain',
    name: 'plain',
    every_days: 'plain',
    last_on: 'plain',
    due_on: 'plain',
    frost_mm: 'plain',
    retired: 'flag',
  }),
  section('kept', 'kept', ['kind', 'subject'], { kind: 'plain', subject: 'plain', value: 'json' }),
  section('codes', 'learned_code', ['code'], { code: 'plain', means: 'json' }),
  section('hauls', 'haul', ['begun_at', 'id'], {
    id: 'plain',
    begun_at: 'instant',
    closed_at: 'instant',
    haul: 'json',
  }),
  section('haul_lines', 'haul_line', ['haul_id', 'position', 'id'], {
    id: 'plain',
    haul_id: 'plain',
    position: 'plain',
    food_id: 'plain',
    packed: 'flag',
    line: 'json',
  }),
  section('commands', 'command', ['recorded_at', 'id'], {
    id: 'plain',
    type: 'plain',
    digest: 'plain',
    at: 'instant',
    recorded_at: 'instant',
    says: 'plain',
    note: 'plain',
    told_by: 'plain',
    undoes: 'plain',
    undone_by: 'plain',
    response: 'json',
  }),
  section('lots', 'lot', ['id'], {
    id: 'plain',
    food_id: 'plain',
    command_id: 'plain',
    did: 'plain',
    start_on: 'plain',
    amount: 'plain',
    unit: 'plain',
    price_minor: 'plain',
    currency: 'plain',
  }),
  section('packages', 'package', ['id'], { image: 'json' }),
  section('events', 'ledger_event', ['id'], {
    command_id: 'plain',
    seq: 'plain',
    type: 'plain',
    package_id: 'plain',
    setting: 'plain',
    subject: 'plain',
    zone_id: 'plain',
    at: 'instant',
    says: 'plain',
    before_image: 'json',
    after_image: 'json',
  }),
  section('photos', 'photo', ['id'], { id: 'plain', kept_at: 'instant', jpeg: 'bytes' }, 4),
];

/** A row of a document. */
export type SectionRow = Record<string, unknown>;

const out: Readonly<Record<Kind, (value: unknown) => unknown>> = {
  plain: (value) => value,
  flag: (value) => value === 1,
  json: (value) => fromJson(value),
  instant: (value) => fromSqlInstant(String(value)),
  bytes: (value) => (value as Buffer).toString('base64'),
};
const back: Readonly<Record<Kind, (value: unknown) => unknown>> = {
  plain: (value) => value,
  flag: (value) => value === true,
  json: (value) => JSON.stringify(value),
  instant: (value) => toSqlInstant(String(value)),
  bytes: (value) => Buffer.from(String(value), 'base64'),
};

/** Rows of a section, page by page, each page after the one before (EXPLAIN: primary key or an index of the household). */
export async function* readSection(
  sql: Sql,
  householdId: number,
  part: Section,
): AsyncGenerator<SectionRow[]> {
  const { table, columns, order, page } = part;
  const names = [...new Set([...Object.keys(columns), ...order])];
  let after: Record<string, unknown> | null = null;
  for (;;) {
    const key = order.map((name) => `\`${name}\``).join(', ');
    const rows: SectionRow[] = await sql.rows<SectionRow>(
      `SELECT ${names.map((name) => `\`${name}\``).join(', ')}
         FROM \`${table}\`
        WHERE household_id = :householdId
          ${after ? `AND (${key}) > (${order.map((name) => `:after_${name}`).join(', ')})` : ''}
        ORDER BY ${key}
        LIMIT :page`,
      { householdId, page, ...after },
    );
    const last = rows.at(-1);
    if (last) {
      yield rows.map((row) =>
        Object.fromEntries(
          Object.entries(columns).map(([name, kind]) => [
            name,
            row[name] === null ? null : out[kind](row[name]),
          ]),
        ),
      );
      after = Object.fromEntries(order.map((name) => [`after_${name}`, last[name]]));
    }
    if (rows.length < page) return;
  }
}

/** Which of these ids stand in a table already, whichever household's they are. */
export async function idsTaken(
  sql: Sql,
  table: 'food' | 'lot' | 'package',
  ids: readonly string[],
): Promise<string[]> {
  const taken: string[] = [];
  for (let from = 0; from < ids.length; from += SHELF) {
    const rows = await sql.rows<{ id: string }>(`SELECT id FROM ${table} WHERE id IN (:ids)`, {
      ids: ids.slice(from, from + SHELF),
    });
    taken.push(...rows.map(({ id }) => id));
  }
  return taken;
}

/** Writes rows of a section, some at once; `more`: columns that the document does not tell. */
export async function putSection(
  sql: Sql,
  householdId: number,
  { table, columns }: Section,
  rows: readonly SectionRow[],
  more: Record<string, unknown> = {},
): Promise<void> {
  if (rows.length === 0) return;
  const names = Object.keys(columns);
  const values: Record<string, unknown> = { householdId, ...more };
  const lines = rows.map((row, at) => {
    for (const [name, kind] of Object.entries(columns)) {
      const told = row[name] ?? null;
      values[`${name}_${at}`] = told === null ? null : back[kind](told);
    }
    return `(:householdId, ${[...Object.keys(more).map((name) => `:${name}`), ...names.map((name) => `:${name}_${at}`)].join(', ')})`;
  });
  await sql.run(
    `INSERT INTO \`${table}\` (household_id, ${[...Object.keys(more), ...names].map((name) => `\`${name}\``).join(', ')})
     VALUES ${lines.join(',\n            ')}`,
    values,
  );
}

/** Zones one in another are written flat first; then what lies in what. */
export async function nestZones(sql: Sql, householdId: number, zones: readonly SectionRow[]): Promise<void> {
  for (const { id, parent_id: parentId } of zones) {
    if (parentId === null) continue;
    await sql.run(`UPDATE zone SET parent_id = :parentId WHERE household_id = :householdId AND id = :id`, {
      householdId,
      id,
      parentId,
    });
  }
}
