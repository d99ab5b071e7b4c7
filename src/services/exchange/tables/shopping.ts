import type { ShoppingLine } from '@/core/model/kept';
import { foodIn, idIn, mustNumber, numberIn, type Table, text, yes, yesIn } from './table';

const COLUMNS = ['id', 'food', 'name', 'packs', 'amount', 'unit', 'ticked'];

/** The shopping list. */
export const shopping: Table = {
  section: 'kept',
  columns: COLUMNS,
  cells: ({ kind, value }) => {
    if (kind !== 'shopping') return null;
    const { id, food, called, packs, size, ticked } = value as ShoppingLine;
    return {
      id,
      food: text(food),
      name: called,
      packs: text(packs),
      amount: text(size?.amount),
      unit: text(size?.unit),
      ticked: yes(ticked),
    };
  },
  wayIn: {
    one: 'line',
    many: 'lines',
    told: COLUMNS,
    tellings: (rows, world) =>
      rows.map((cells) => ({
        type: 'shopping.write',
        line: {
          id: idIn(cells),
          food: cells.food ? foodIn(cells, world) : null,
          called: cells.name,
          packs: numberIn(cells, 'packs') ?? 1,
          size: cells.amount ? { amount: mustNumber(cells, 'amount'), unit: cells.unit } : null,
          ticked: yesIn(cells, 'ticked'),
        },
      })),
  },
};
