import type { Package } from '@/core/model/package';
import { type Cells, type Table, type TableWorld, text, yes } from './table';

const money = (minor: number | null): string => (minor === null ? '' : (minor / 100).toFixed(2));

const COLUMNS = [
  'code',
  'food',
  'name',
  'amount',
  'unit',
  'packs',
  'form',
  'wrap',
  'zone',
  'appliance',
  'did',
  'start',
  'came_frozen',
  'frozen_on',
  'opened_on',
  'printed',
  'printed_date',
  'blanched',
  'price',
  'currency',
  'note',
  'state',
  'until',
  'until_kind',
  'not_for_eating',
  'counter_since',
  'cap',
  'history',
] as const;

/** Worked out, or the same for all. */
const WORKED_OUT = ['currency', 'state', 'until', 'until_kind', 'not_for_eating'];

/** Columns that tell what a package is. */
export const STOCK_TOLD = COLUMNS.filter((name) => !WORKED_OUT.includes(name));

function stockCells(image: Package, { kitchen, currency }: TableWorld): Cells | null {
  if (image.gone !== null) return null;
  const zone = kitchen.zones.find(({ id }) => id === image.zoneId);
  const [start] = image.history;
  return {
    code: image.code,
    food: image.foodId,
    name: image.called,
    amount: text(image.amount),
    unit: image.unit,
    packs: '1',
    form: text(image.form),
    wrap: text(image.wrap),
    zone: text(zone?.name),
    appliance: text(zone?.applianceName),
    did: text(start?.did),
    start: text(start?.on),
    came_frozen: yes(start && 'frozen' in start && start.frozen),
    frozen_on: text(image.history.find(({ did }) => did === 'frozen')?.on),
    opened_on: text(image.openedOn),
    printed: text(image.printed?.kind),
    printed_date: text(image.printed?.date),
    blanched: yes(image.blanched),
    price: money(image.priceMinor),
    currency,
    note: image.note,
    state: image.state,
    until: image.governingDate,
    until_kind: image.governingKind,
    not_for_eating: yes(image.condemned),
    counter_since: text(image.counterSince),
    cap: text(image.cap),
    history: JSON.stringify(image.history),
  };
}

/** Every package that is here. It comes in like any list of packages. */
export const stock: Table = {
  section: 'packages',
  columns: COLUMNS,
  cells: ({ image }, world) => stockCells(image as Package, world),
  wayIn: null,
};
