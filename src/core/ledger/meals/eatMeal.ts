import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { IntakeLine } from '../../model/intakeLine';
import type { Meal } from '../../model/meal';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { earlier } from '../../calendar/calendarDate';
import { madeOf } from '../package/madeOf';
import { storeLine } from '../package/storeLine';
import { takePackage } from '../package/takePackage';
import { keptDecided } from '../settings/keptDecided';
import { mealOf } from './mealOf';
import { freeFor, giveBack } from './promisesTo';

interface Eating {
  meal: string;
  /** What really went in; what was promised and is not named is given back. */
  takes: { package: string; version: number; amount: number | null }[];
  /** Who ate. */
  ate: string[];
  /** What is put by of it: leftovers, the second half of a double batch. Each begins a new lot with its own clock. */
  put: IntakeLine[];
}

/** The price of what went in, shared by weight over what was put by and what was eaten. */
function costOf(meal: Eating, world: World): number | null {
  let sum = 0;
  for (const { package: id, amount } of meal.takes) {
    const { priceMinor, amount: all } = world.package(id);
    if (priceMinor === null) return null;
    sum += (priceMinor * (amount ?? all)) / all;
  }
  return Math.round(sum);
}

/**
 * A meal was cooked and eaten: what went in leaves the store, what was put by comes in as new lots dated from today (cooking starts a
 * new clock, K10), and it is written down who ate. One undo takes all of it back.
 *
 * @throws Refusal when something of it must not be eaten, or a line cannot be stored
 */
function eatMeal(command: Eating, world: World): Decision {
  const meal = mealOf(world, command.meal);
  if (meal.on > world.today) throw new Refusal('meal', `${meal.name} is still to come.`);
  for (const { package: id, amount } of command.takes) {
    const found = world.package(id);
    if ((amount ?? found.amount) > freeFor(found, meal.id, world.today))
      throw new Refusal('promised', `${found.called} ${found.code} is promised to another meal, too.`);
  }
  const named = new Set(command.takes.map((take) => take.package));
  const cost = costOf(command, world);
  const events = [
    ...command.takes.flatMap((take) => takePackage({ ...take, promised: true }, world, 'cooked')),
    ...meal.takes
      .filter((take) => !named.has(take.package))
      .flatMap((take) => giveBack(world.package(take.package), meal)),
  ].map((event) => ({
    ...event,
    after: {
      ...event.after,
      promised: (event.after.promised ?? []).filter((one) => one.meal !== meal.id),
    },
  }));
  const portions = Math.max(1, command.ate.length) + command.put.reduce((sum, { packs }) => sum + packs, 0);
  const parts = command.takes.map((take) => world.package(take.package));
  const stored = command.put.map((line) => {
    const { lot, events: made } = storeLine(
      {
        ...line,
        // Told late, it is as old as the meal, or older if the cook says so (L5).
        start: {
          did: 'cooked',
          on: line.start.did === 'cooked' ? (earlier(meal.on, line.start.on) ?? meal.on) : meal.on,
        },
        priceMinor: line.priceMinor ?? (cost === null ? null : Math.round((cost * line.packs) / portions)),
      },
      world,
    );
    return { lot, events: made.map((event) => madeOf(event, parts, world)) };
  });
  const made = stored.flatMap((one) => one.events.map(({ after }) => after.code));
  const after: Meal = { ...meal, state: 'eaten', log: { at: world.at, ate: command.ate, made } };
  const says = `${meal.name} eaten${command.ate.length === 0 ? '' : ` by ${command.ate.join(', ')}`}${
    made.length === 0 ? '' : `; ${made.length} put by`
  }.`;
  return {
    lots: stored.map(({ lot }) => lot),
    events: [...events, ...stored.flatMap((one) => one.events)],
    settings: keptDecided(world, 'meal', meal.id, after, says).settings,
  };
}

export const eatMealCommand: CommandKind<Eating> = {
  type: 'meal.eat',
  may: HOUSEHOLD_MAY,
  needs: ({ meal, takes, put }) => ({
    kept: ['meal'],
    packages: takes.map((take) => take.package),
    packagesOfMeal: meal,
    newCodes: put.reduce((sum, { packs }) => sum + packs, 0),
  }),
  decide: eatMeal,
};
