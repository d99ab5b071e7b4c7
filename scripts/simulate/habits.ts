import type { CalendarDate } from '../../src/core/calendar/calendarDate';
import { addDays } from '../../src/core/calendar/calendarDate';
import { firstOutKey } from '../../src/core/firstout/firstOutKey';
import { keepingOn } from '../../src/core/keeping/judgeKeeping';
import type { Item } from './larder';

/** How a household goes about its cold store. */
export interface Habit {
  name: string;
  says: string;
  /** The order in which things are taken, the first first. */
  order(items: readonly Item[], today: CalendarDate): Item[];
  /** It goes by its dates: what is past a safety date is thrown out, whatever it looks like. */
  dates: boolean;
  /** Of a thing that came in, how likely a date or a line is written; what is written is known when the next shop is planned. */
  written: number;
  /** Days ahead of its date that something is frozen, when nothing will use it in time; `null`: only meat, on a whim. */
  freezesAhead: number | null;
  /** Days between looks through the fridge; `null`: at the big clean every 30 days. */
  looksEvery: number | null;
  /** A thermometer is read: a warm fridge is set right after so many days. */
  noticesWarm: number;
  /** How likely something left out is put back in time. */
  remembersOut: number;
  /** How likely, at one meal, that one goes by it at all; else what comes to hand. */
  obeys: number;
  /** After a power cut: judged by the published limits; else by nose. */
  judgesCuts: boolean;
  /** Seconds: to bring in one thing, to take one, to look at one. */
  seconds: { store: number; take: number; look: number };
}

const keyOf = ({ id, keeping }: Item): string =>
  firstOutKey({
    ...{ code: String(id).padStart(6, '0'), openedOn: keeping.openedOn, startOn: keeping.startOn },
    ...{ governingDate: keeping.governing.date, governingKind: keeping.governing.kind },
  });

const eatable = (items: readonly Item[], today: CalendarDate): Item[] =>
  items.filter(({ keeping }) => keepingOn(keeping, today).verdict !== 'discard');

const NOTHING = {
  ...{ dates: false, written: 0, freezesAhead: null, looksEvery: null },
  ...{ noticesWarm: 25, remembersOut: 0.3, judgesCuts: false, obeys: 1 },
};

export const NO_DATES: Habit = {
  ...NOTHING,
  name: 'no dates',
  says: 'What comes to hand, nothing written; a big clean once a month.',
  order: (items) => [...items].sort((a, b) => a.depth - b.depth),
  seconds: { store: 2, take: 20, look: 3 },
};

const NEWEST_FIRST: Habit = {
  ...NOTHING,
  name: 'newest first',
  says: 'What was put in last stands in front and is taken first.',
  order: (items) => [...items].sort((a, b) => b.id - a.id),
  seconds: { store: 2, take: 10, look: 3 },
};

const BY_APPETITE: Habit = {
  ...NOTHING,
  name: 'what one fancies',
  says: 'The largest, freshest pack of the kind one fancies.',
  order: (items) => [...items].sort((a, b) => b.grams / (1 + b.spent) - a.grams / (1 + a.spent)),
  seconds: { store: 2, take: 20, look: 3 },
};

const PAPER: Habit = {
  ...NOTHING,
  name: 'a paper list',
  says: 'Two things of three are written down with a date; the oldest on the list first, the rest by hand.',
  order: (items) =>
    [...items].sort((a, b) =>
      a.written && b.written
        ? a.keeping.governing.date < b.keeping.governing.date
          ? -1
          : 1
        : Number(b.written) - Number(a.written) || a.depth - b.depth,
    ),
  ...{ dates: true, written: 0.66, looksEvery: 14, noticesWarm: 14, remembersOut: 0.4, obeys: 0.85 },
  seconds: { store: 20, take: 18, look: 4 },
};

/** The product's own rules: first out by governing date, frozen in time, rounds, thermometers, cuts judged. */
export const ORDERLY: Habit = {
  name: 'Orderly Frost',
  says: 'First out by the product’s own rules at six meals of seven, frozen the day before, a round every three days, cuts judged.',
  order: (items, today) => eatable(items, today).sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : 1)),
  ...{
    dates: true,
    written: 0.97,
    freezesAhead: 1,
    looksEvery: 3,
    noticesWarm: 3,
    remembersOut: 0.85,
    obeys: 0.85,
  },
  judgesCuts: true,
  seconds: { store: 9, take: 8, look: 4 },
};

/** What changes when one thing of the product's advice changes. */
export const VARIANTS: Habit[] = [
  { ...ORDERLY, name: 'frozen two days ahead', freezesAhead: 2 },
  { ...ORDERLY, name: 'frozen on the last day', freezesAhead: 0 },
  { ...ORDERLY, name: 'no rounds', looksEvery: null },
  { ...ORDERLY, name: 'never frozen in time', freezesAhead: null },
  { ...ORDERLY, name: 'everything told', written: 1 },
  { ...ORDERLY, name: 'a third is not told', written: 0.66 },
  { ...ORDERLY, name: 'everything told, half of it obeyed', obeys: 0.5 },
  { ...ORDERLY, name: 'everything told, nothing obeyed', obeys: 0 },
];

export const HABITS: Habit[] = [NO_DATES, NEWEST_FIRST, BY_APPETITE, PAPER, ORDERLY];

/** Things that a habit would freeze today: due so soon, fit for it, and more than is eaten until then. */
export function toFreeze(habit: Habit, items: readonly Item[], today: CalendarDate): Item[] {
  const { freezesAhead } = habit;
  if (freezesAhead === null) return [];
  const last = addDays(today, freezesAhead);
  return items.filter(
    ({ keeping, food, written }) =>
      written &&
      keeping.state === 'chilled' &&
      food.freezeFit !== 'no' &&
      food.freezerMonthsMax !== null &&
      keeping.governing.date >= today &&
      keeping.governing.date <= last,
  );
}
