import type { CalendarDate } from '../calendar/calendarDate';
import type { AmountUnit } from '../units/sayAmount';

export const DIETS = ['everything', 'no-meat', 'no-meat-or-fish', 'soft'] as const;
export type Diet = (typeof DIETS)[number];

/** Somebody who eats here, as far as meals go. */
export interface Eater {
  name: string;
  appetite: 'small' | 'usual' | 'large';
  diet: Diet;
}

/** A time at which a household eats. */
export interface MealSlot {
  id: string;
  name: string;
  /** Time of day on the plate, `HH:MM`. */
  at: string;
}

export const DAY_HABITS = ['fish', 'quick', 'no-meat'] as const;
export type DayHabit = (typeof DAY_HABITS)[number];

/** What a household always does on a day: fish on Fridays, quick on Tuesdays. */
export interface Habit {
  /** 0 Sunday to 6 Saturday. */
  weekday: number;
  slot: string;
  what: DayHabit;
}

/** How a household eats: its times, who eats, its habits. */
export interface MealRhythm {
  slots: MealSlot[];
  eaters: Eater[];
  habits: Habit[];
  /** No meat and dairy in one meal. */
  apart: boolean;
}

/** Lunch and dinner, everybody who lives there; nothing else is known of a household that did not say. */
export const usualRhythm = (people: readonly string[]): MealRhythm => ({
  slots: [
    { id: 'lunch', name: 'Lunch', at: '12:30' },
    { id: 'dinner', name: 'Dinner', at: '18:30' },
  ],
  eaters: (people.length === 0 ? ['Cook'] : people).map((name) => ({
    name,
    appetite: 'usual' as const,
    diet: 'everything' as const,
  })),
  habits: [],
  apart: false,
});

/** A package, or a part of it, that a meal takes. */
export interface MealTake {
  package: string;
  code: string;
  called: string;
  amount: number;
  unit: AmountUnit;
}

/** Something a meal wants that is not here: a line of the shopping list. */
export interface MealBuy {
  /** The line's id. */
  line: string;
  called: string;
}

/** One meal of a week: who eats, and what of the cold store it takes. */
export interface Meal {
  id: string;
  on: CalendarDate;
  slot: string;
  name: string;
  /** Names of who eats. */
  eaters: string[];
  takes: MealTake[];
  buys: MealBuy[];
  state: 'planned' | 'eaten' | 'skipped';
  /** Stays as it is when a week is suggested. */
  pinned: boolean;
  /** Packages that it gave back when it was skipped. */
  gaveBack?: string[];
  /** Who ate, and what was put by of it; only of a meal that was eaten. */
  log?: { at: string; ate: string[]; made: string[] };
}

/** Of a package: so much of it is promised to a meal. */
export interface MealPromise {
  meal: string;
  /** "Fri dinner", "Fish pie". */
  name: string;
  on: CalendarDate;
  amount: number;
}
