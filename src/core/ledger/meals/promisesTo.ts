import { freeAmount } from '../../firstout/promised';
import type { Meal, MealTake } from '../../model/meal';
import type { LedgerEvent, Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { sayAmount } from '../../units/sayAmount';
import { sayPlainDate } from '../../calendar/sayDate';
import { isHandsOff, sayKept } from '../package/kept';
import { whyUnfit } from '../package/whyUnfit';

/** A package as a meal takes it. */
export const takeOf = ({ id, code, called, unit }: Package, amount: number): MealTake => ({
  package: id,
  code,
  called,
  amount,
  unit,
});

/** How much of a package a meal may have: what nobody else was promised. */
export const freeFor = (found: Package, meal: string, today: string): number =>
  freeAmount({ amount: found.amount, promised: withoutMeal(found, meal), answer: null }, today);

const withoutMeal = (found: Package, meal: string) =>
  (found.promised ?? []).filter((one) => one.meal !== meal);

/** What a package promised to a meal is given back. */
export function giveBack(found: Package, meal: Pick<Meal, 'id' | 'name'>): LedgerEvent[] {
  if (!(found.promised ?? []).some((one) => one.meal === meal.id)) return [];
  const after = { ...found, promised: withoutMeal(found, meal.id), version: found.version + 1 };
  const says = `${found.called} ${found.code} is not promised to ${meal.name} any more.`;
  return [{ type: 'package.promised', before: found, after, says }];
}

/** Why a package cannot be promised to a meal. @throws Refusal `plan`, `promised`, or what makes it unfit */
function refuse(found: Package, amount: number, meal: Pick<Meal, 'id' | 'on' | 'name'>, world: World): void {
  const name = `${found.called} ${found.code}`;
  if (found.gone) throw new Refusal('meal', `${name} is not here any more.`);
  if (found.keptFor && isHandsOff(found, world.today))
    throw new Refusal('promised', `${name} is kept ${sayKept(found.keptFor)}.`);
  const unfit = whyUnfit(found, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  if (found.useBy !== null && meal.on > found.useBy)
    throw new Refusal(
      'plan',
      `By ${sayPlainDate(meal.on)} ${name} is past its use by, ${sayPlainDate(found.useBy)}. Eat it sooner, or freeze it.`,
    );
  // A plan by itself becomes the meal's.
  const free = freeFor(found, meal.id, world.today);
  if (amount > free)
    throw new Refusal(
      'promised',
      free === 0
        ? `${name} is promised already.`
        : `Of ${name} only ${sayAmount(free, found.unit)} are not promised yet.`,
    );
}

/** What a package is promised to a meal from now on. @throws Refusal as {@link refuse} */
export function promiseTo(
  found: Package,
  amount: number,
  meal: Pick<Meal, 'id' | 'on' | 'name'>,
  world: World,
): LedgerEvent[] {
  const before = (found.promised ?? []).find((one) => one.meal === meal.id);
  refuse(found, amount, meal, world);
  if (before && before.amount === amount && before.on === meal.on && before.name === meal.name) return [];
  const answer = found.answer?.what === 'plan' ? null : found.answer;
  const promise = { meal: meal.id, name: meal.name, on: meal.on, amount };
  const after: Package = {
    ...found,
    answer,
    promised: [...withoutMeal(found, meal.id), promise],
    version: found.version + 1,
  };
  const says = `${found.called} ${found.code}: ${sayAmount(amount, found.unit)} promised to ${meal.name}.`;
  return [{ type: 'package.promised', before: found, after, says }];
}
