import { WISHES, type Wish, type WishKey } from '@/core/model/wish';
import { foodIn, numberIn, type Table, text } from './table';

const COLUMN: Readonly<Record<WishKey, string>> = {
  fridgeDays: 'fridge_days',
  openedDays: 'opened_days',
  thawedDays: 'thawed_days',
  counterDays: 'counter_days',
  freezerMonths: 'freezer_months',
  leadDays: 'days_ahead',
};
const FIGURES = WISHES.map((key) => COLUMN[key]);

/** Figures a household wishes for, in days and months. */
export const wishes: Table = {
  section: 'wishes',
  columns: ['food', 'name', ...FIGURES],
  cells: ({ food_id: id, wish }, { foods }) => ({
    food: text(id),
    name: text(foods.get(String(id))?.name),
    ...Object.fromEntries(WISHES.map((key) => [COLUMN[key], text((wish as Wish)[key])])),
  }),
  wayIn: {
    one: 'wish',
    many: 'wishes',
    told: ['food', ...FIGURES],
    tellings: (rows, world) =>
      rows.map((cells) => ({
        type: 'food.wish',
        food: foodIn(cells, world),
        wish: Object.fromEntries(WISHES.map((key) => [key, numberIn(cells, COLUMN[key])])),
      })),
  },
};
