import type { Food } from '../model/food';
import type { Form } from '../model/intakeLine';
import type { AmountUnit } from '../units/sayAmount';
import { isWholeBird } from '../foods/foodKinds';
import { cautiousThawHours, planningThawHours } from '../thermal/packageThawHours';

/** A frozen package as far as thawing goes. */
export interface FrozenPack {
  amount: number;
  unit: AmountUnit;
  form: Form | null;
}

export const THAW_WAYS = ['fridge', 'cold-water', 'metal', 'from-frozen'] as const;

/** Cautious hours of a frozen package by each way; `null`: not for it, or not to be told. */
export interface ThawHours {
  fridge: number;
  water: number | null;
  metal: number | null;
}

/** What the heat model and public landmarks say of a frozen package. Heavy: some solutions of the heat equation. */
export const thawHours = (pack: FrozenPack, food: Food): ThawHours => ({
  fridge: planningThawHours(pack, food),
  water: cautiousThawHours(pack, food, 'cold-water-changed'),
  metal: food.controlled ? null : cautiousThawHours(pack, food, 'metal'),
});

/** One way to have a frozen package ready for a meal. */
export interface ThawWay {
  way: (typeof THAW_WAYS)[number];
  /** The heat model's cautious hours, or more by public advice; 0 from frozen. */
  hours: number;
  /** The last moment to begin, ISO 8601 UTC. */
  startBy: string;
  /** That moment has gone by. */
  late: boolean;
  /** How it is done, with its cautions. */
  says: string;
}

const HOUR_MS = 3_600_000;
/** It lies ready so long before the plate: cooking takes its time. */
const COOKING_H = 1;
const CHANGE_H = 0.5;
/** Beyond this a bath is kept cold by nobody. */
const MOST_WATER_H = 6;
/** Thicker or heavier than this the outside is done long before the middle. */
const MOST_FROM_FROZEN_G = 700;
const LOOSE: readonly (Form | null)[] = [
  'loose',
  'cubes',
  'slices',
  'patties',
  'meatballs',
  'flat',
  'scored',
];
/** Groups that go into the pan or oven as they are. */
const FROM_FROZEN = ['soup-sauce', 'leftovers', 'ready-meal', 'bread-bake', 'dough', 'raw-fish', 'raw-meat'];

const hourWords = (hours: number): string =>
  hours < 1 ? `${Math.ceil(hours * 60)} min` : `${Math.ceil(hours)} h`;

/**
 * The ways to have a frozen package ready for a meal, each with its latest start; those that are not for this food are left out.
 * Hours are cautious: a model errs early for dinner (K7).
 *
 * @param mealAt when the meal is on the plate, ISO 8601 UTC
 * @param hoursOf what tells the hours; a caller may remember them
 */
export function thawWays(
  pack: FrozenPack,
  food: Food,
  mealAt: string,
  now: string,
  hoursOf: (pack: FrozenPack, food: Food) => ThawHours = thawHours,
): ThawWay[] {
  const ready = Date.parse(mealAt) - COOKING_H * HOUR_MS;
  const way = (name: ThawWay['way'], hours: number, says: string): ThawWay => {
    const startBy = new Date(ready - hours * HOUR_MS).toISOString();
    return { way: name, hours, startBy, late: startBy < now, says };
  };
  const small = pack.unit === 'pc' || pack.amount <= MOST_FROM_FROZEN_G;
  const fromFrozen =
    FROM_FROZEN.includes(food.group) && !isWholeBird(food) && (small || LOOSE.includes(pack.form));
  const frozen = way('from-frozen', 0, 'From frozen: it cooks half as long again. Measure the middle.');
  // Vegetables go into the pan as they are.
  if (food.group === 'vegetable') return [frozen];
  const { fridge, water, metal } = hoursOf(pack, food);
  const changes = Math.max(0, Math.ceil((water ?? 0) / CHANGE_H) - 1);
  return [
    way('fridge', fridge, `In the fridge, low, on a plate with a rim: ${hourWords(fridge)}.`),
    ...(water !== null && water <= MOST_WATER_H
      ? [
          way(
            'cold-water',
            water,
            `In a tight bag in cold water, changed every half hour (${changes === 0 ? 'no change' : changes === 1 ? 'once' : `${changes} times`}): ${hourWords(water)}. Cook it at once.`,
          ),
        ]
      : []),
    ...(metal === null
      ? []
      : [
          way(
            'metal',
            metal,
            `On a thick metal tray on the counter: ${hourWords(metal)}. Never for meat or fish.`,
          ),
        ]),
    ...(fromFrozen ? [frozen] : []),
  ];
}

/** The way that is planned: the fridge while there is time, else the quickest that still works; `null`: none does. */
export const bestWay = (ways: readonly ThawWay[]): ThawWay | null => ways.find(({ late }) => !late) ?? null;
