import { HOUSEHOLD_MAY } from '../../model/role';
import { sayFullDate, sayPlainDate } from '../../calendar/sayDate';
import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { Meal, MealBuy } from '../../model/meal';
import type { Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { keptDecided } from '../settings/keptDecided';
import { rhythmOf, slotOf } from './mealOf';
import { giveBack, promiseTo, takeOf } from './promisesTo';

const AHEAD_DAYS_MS = 60 * 86_400_000;

/** A meal as it is told. */
export interface ToldMeal {
  meal: string;
  on: string;
  slot: string;
  /** Empty: called by its day and time. */
  name: string;
  eaters: string[];
  takes: { package: string; amount: number }[];
  /** Words of what is to be bought for it. */
  buys: string[];
  pinned: boolean;
}

/** "Fri dinner": as good tomorrow as today. */
export const usualName = (on: string, slot: string): string =>
  `${sayFullDate(on).slice(0, 3)} ${slot.toLowerCase()}`;

function refuseTold({ on, eaters, slot }: ToldMeal, before: Meal | null, world: World): void {
  if (before?.state === 'eaten')
    throw new Refusal('meal', `${before.name} was eaten already; undo that first.`);
  if (on < world.today) throw new Refusal('meal', `${sayPlainDate(on)} has gone by.`);
  if (Date.parse(on) - Date.parse(world.today) > AHEAD_DAYS_MS)
    throw new Refusal('meal', 'That is more than two months ahead. Plan it when it comes nearer.');
  slotOf(world, slot);
  const known = rhythmOf(world).eaters.map(({ name }) => name);
  const stranger = eaters.find((name) => !known.includes(name));
  if (stranger !== undefined)
    throw new Refusal('meal', `“${stranger}” does not eat here yet. Add them to who eats.`);
}

/** Lines of the shopping list for a meal: new words are written, what is not wanted any more is taken off unless it was bought. */
function shopping(
  before: Meal | null,
  words: readonly string[],
  world: World,
): { buys: MealBuy[]; decisions: Decision[] } {
  const wanted = [...new Set(words.map((word) => word.trim()).filter((word) => word !== ''))];
  const known = before?.buys ?? [];
  const buys = wanted.map(
    (called) => known.find((one) => one.called === called) ?? { line: world.newId(), called },
  );
  const added = buys
    .filter(({ line }) => !known.some((one) => one.line === line))
    .map(({ line, called }) =>
      keptDecided(
        world,
        'shopping',
        line,
        { id: line, food: null, called, packs: 1, size: null, ticked: false },
        `${called}: on the shopping list.`,
      ),
    );
  return {
    buys,
    decisions: [
      ...added,
      ...dropBuys(
        known.filter(({ line }) => !buys.some((one) => one.line === line)),
        world,
      ),
    ],
  };
}

/** Lines that a meal does not want any more; what was ticked stays. */
export const dropBuys = (buys: readonly MealBuy[], world: World): Decision[] =>
  buys.flatMap(({ line, called }) => {
    const on = world.kept('shopping', line);
    return on && !on.ticked ? [keptDecided(world, 'shopping', line, null, `${called}: off the list.`)] : [];
  });

/**
 * Plans a meal, or changes it: its packages are promised to it, so that nobody takes them unasked and they do not count as free;
 * what it does not take any more is given back; what is to be bought stands on the shopping list. A skipped meal is planned again by it.
 *
 * @throws Refusal `meal` for a day gone by or an eater nobody knows, `promised` for what another meal has, `plan` for what is past by then
 */
export function setMeal(command: ToldMeal, world: World): Decision {
  const before = world.kept('meal', command.meal);
  refuseTold(command, before, world);
  const slot = slotOf(world, command.slot);
  const clash = world
    .keptAll('meal')
    .find(
      ({ id, on, slot: at, state }) =>
        id !== command.meal && on === command.on && at === command.slot && state === 'planned',
    );
  if (clash) throw new Refusal('meal', `There is ${clash.name} then already. Move one of the two.`);
  const name = command.name.trim() || usualName(command.on, slot.name);
  const meal = { id: command.meal, on: command.on, name };
  const wanted = new Set(command.takes.map((take) => take.package));
  if (wanted.size < command.takes.length)
    throw new Refusal('promised', 'A package stands twice in this meal. Put the amounts together.');
  const dropped = (before?.takes ?? []).filter((take) => !wanted.has(take.package));
  const found = (id: string): Package => world.package(id);
  const events = [
    ...dropped.flatMap((take) => giveBack(found(take.package), meal)),
    ...command.takes.flatMap((take) => promiseTo(found(take.package), take.amount, meal, world)),
  ];
  const { buys, decisions } = shopping(before, command.buys, world);
  const after: Meal = {
    ...meal,
    slot: command.slot,
    eaters: command.eaters,
    takes: command.takes.map((take) => takeOf(found(take.package), take.amount)),
    buys,
    state: 'planned',
    pinned: command.pinned,
  };
  const says = `${name}${before && before.state === 'planned' ? ' changed' : ' planned'}${
    after.takes.length === 0 ? '' : `: ${[...new Set(after.takes.map(({ called }) => called))].join(', ')}`
  }.`;
  const settings = [keptDecided(world, 'meal', meal.id, after, says), ...decisions];
  return { lots: [], events, settings: settings.flatMap((one) => one.settings) };
}

export const setMealCommand: CommandKind<ToldMeal> = {
  type: 'meal.set',
  may: HOUSEHOLD_MAY,
  needs: ({ meal, takes }) => ({
    kept: ['meal', 'rhythm', 'shopping'],
    packages: takes.map((take) => take.package),
    packagesOfMeal: meal,
  }),
  decide: setMeal,
};
