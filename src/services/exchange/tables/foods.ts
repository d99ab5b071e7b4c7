import type { Food } from '@/core/model/food';
import { NO_WISH, WISHES, type WishKey } from '@/core/model/wish';
import { referenceFigure } from '@/core/foods/wish';
import { listed, listIn } from './list';
import { numberIn, type Table, text, wrong, yes, yesIn } from './table';

const FIGURE: Readonly<Record<Exclude<WishKey, 'leadDays'>, string>> = {
  fridgeDays: 'fridge_days',
  openedDays: 'opened_days',
  thawedDays: 'thawed_days',
  counterDays: 'counter_days',
  freezerMonths: 'freezer_months',
};
const FIGURES = WISHES.filter((key) => key !== 'leadDays');
const TOLD = ['name', 'after', 'aliases', ...Object.values(FIGURE), 'note', 'retired'];

/** Foods of the household's own: each after a published one, whose figures it has, or shorter ones. */
export const foods: Table = {
  section: 'foods',
  columns: ['id', ...TOLD, 'food_group', 'outage_class'],
  cells: (row, { foods: all }) => {
    const food = all.get(String(row.id)) ?? (row.figures as Food);
    return {
      id: text(row.id),
      name: text(row.name),
      after: text(food.copyOf),
      aliases: listed(food.aliases),
      ...Object.fromEntries(FIGURES.map((key) => [FIGURE[key], text(referenceFigure(food, key))])),
      note: food.note,
      retired: yes(row.retired),
      food_group: text(row.food_group),
      outage_class: text(row.outage_class_id),
    };
  },
  wayIn: {
    one: 'food of your own',
    many: 'foods of your own',
    // Here it gets an id of its own: one that says the same is the same.
    told: TOLD,
    // One that is off the list may have the name of one that is on it.
    rank: ({ retired }) => (retired === 'yes' ? '0' : '1'),
    tellings: (rows, { foods: all }) =>
      rows.flatMap((cells) => {
        const { name = '', after = '' } = cells;
        const near = all.get(after);
        if (!near || near.own) wrong(`“${name}” is after “${after}”, which is no published food here.`);
        const told = FIGURES.map((key) => [key, numberIn(cells, FIGURE[key])] as const);
        // What is as published is no wish.
        const wish = Object.fromEntries(
          told.filter(([key, figure]) => figure !== referenceFigure(near, key)),
        );
        const add = {
          type: 'food.add',
          copy: near.id,
          name,
          aliases: listIn(cells.aliases),
          note: cells.note,
          wish: { ...NO_WISH, ...wish },
        };
        return yesIn(cells, 'retired') ? [add, { type: 'food.retire', food: name }] : [add];
      }),
  },
};
