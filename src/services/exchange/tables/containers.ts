import type { Container } from '@/core/model/container';
import { type Cells, idIn, mustNumber, type Table, text, yes, yesIn } from './table';

const SIDES = ['long', 'wide', 'high'] as const;
const columnsOf = (which: 'outer' | 'inner'): string[] => SIDES.map((side) => `${which}_${side}_mm`);
const COLUMNS = [
  'id',
  'name',
  'count',
  'litres',
  ...columnsOf('outer'),
  ...columnsOf('inner'),
  'lid',
  'leakproof',
  'rigid',
];

const measured = (which: 'outer' | 'inner', mm: readonly number[]): Cells =>
  Object.fromEntries(columnsOf(which).map((name, at) => [name, text(mm[at])]));

/** What the household owns to pack in. */
export const containers: Table = {
  section: 'containers',
  columns: COLUMNS,
  cells: (row) => {
    const { id, name, count, litres, outerMm, innerMm, lid, leakproof, rigid } = row.container as Container;
    return {
      id,
      name,
      count: text(count),
      litres: text(litres),
      ...measured('outer', outerMm),
      ...measured('inner', innerMm),
      lid: yes(lid),
      leakproof: yes(leakproof),
      rigid: yes(rigid),
    };
  },
  wayIn: {
    one: 'container',
    many: 'containers',
    told: COLUMNS,
    tellings: (rows) =>
      rows.map((cells) => ({
        type: 'container.set',
        container: {
          id: idIn(cells),
          name: cells.name,
          outerMm: columnsOf('outer').map((name) => mustNumber(cells, name)),
          innerMm: columnsOf('inner').map((name) => mustNumber(cells, name)),
          litres: mustNumber(cells, 'litres'),
          lid: yesIn(cells, 'lid'),
          leakproof: yesIn(cells, 'leakproof'),
          rigid: yesIn(cells, 'rigid'),
          count: mustNumber(cells, 'count'),
        },
      })),
  },
};
