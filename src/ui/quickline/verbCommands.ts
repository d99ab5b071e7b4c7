import { mayOffer } from '@/core/keeping/mayEat';
import { v4 as newUuid } from 'uuid';
import { type AmountUnit, sayAmount } from '@/core/units/sayAmount';
import type { NamedFood } from '@/core/foods/findFood';
import type { Verb, VerbReading } from '@/core/quickline/readVerb';
import type { PackageView } from '@/services/stock/packageView';
import type { NewCommand } from '../door/doorClient';

/** When a meal is meant by its day alone: six in the evening, by this browser's clock. */
export function mealTime(on: string | null): string | null {
  return on === null ? null : new Date(`${on}T18:00`).toISOString();
}

/** For today it is taken; for a day to come it is promised to that day's meal, and stays where it is. */
export const takeOrPromise = (
  asked: { foods: string[]; amount: number; unit: AmountUnit },
  on: string | null,
  today: string,
): NewCommand =>
  on !== null && on > today
    ? { type: 'meal.promise', meal: newUuid(), on, ...asked, by: mealTime(on) }
    : { type: 'stock.take', ...asked, by: mealTime(on), on };

/** What a verb at the line would do to which packages, first out first. */
export interface VerbPlan {
  packages: PackageView[];
  commands: NewCommand[];
  /** Why it cannot be done; empty: it can. */
  fault: string;
  /** How much of the package it is, where that is not all; empty: all, or as the line says. */
  part: string;
  /** Several are there, and one is meant: the first unless another is picked. */
  which: boolean;
  /** Where it goes is asked on the package itself. */
  asksOn: string | null;
}

const FITS: Record<Exclude<Verb, 'undo'>, (view: PackageView) => boolean> = {
  take: ({ verdict }) => mayOffer({ may: verdict }),
  open: ({ opened, state }) => !opened && state !== 'frozen',
  move: () => true,
  freeze: ({ state, verdict }) => state !== 'frozen' && mayOffer({ may: verdict }),
  thaw: ({ state }) => state === 'frozen',
  bin: () => true,
  where: () => true,
};

const NONE: Record<Exclude<Verb, 'undo'>, string> = {
  take: 'There is none of it that may be eaten.',
  open: 'There is none of it that is closed and not frozen.',
  move: 'There is none of it here.',
  freeze: 'There is none of it that may still be frozen.',
  thaw: 'There is none of it in a freezer.',
  bin: 'There is none of it here.',
  where: 'There is none of it here.',
};

const COMMANDS: Record<
  Exclude<Verb, 'undo' | 'where'>,
  (reading: Pick<VerbReading<NamedFood>, 'zone' | 'reason'>) => NewCommand | null
> = {
  take: () => ({ type: 'package.take' }),
  open: () => ({ type: 'package.open' }),
  bin: ({ reason }) => ({ type: 'package.discard', reason }),
  move: ({ zone }) => zone && { type: 'package.move', zone: zone.id },
  freeze: ({ zone }) => zone && { type: 'package.freeze', zone: zone.id },
  thaw: ({ zone }) => zone && { type: 'package.thaw', method: 'fridge', zone: zone.id },
};

/** Part of one package, the open one first: half the butter, the rest of the milk. */
function shareOf(
  plan: VerbPlan,
  fit: readonly PackageView[],
  { verb, share }: Pick<VerbReading<NamedFood>, 'verb' | 'share'>,
): VerbPlan {
  const one = fit.find(({ opened }) => opened) ?? fit[0];
  if (!one || share === null) return plan;
  const part = Math.max(1, Math.round(one.amount * share));
  const whole = share === 1 || part >= one.amount;
  if (verb !== 'take' && !whole)
    return { ...plan, packages: [one], fault: 'Only taking goes by parts. Split it first.' };
  const command = COMMANDS[verb as 'take']({ zone: null, reason: 'unwanted' });
  if (!command) return { ...plan, packages: [one], asksOn: one.code };
  return {
    ...plan,
    packages: [one],
    part: whole ? '' : sayAmount(part, one.unit),
    commands: [{ ...command, package: one.id, version: one.version, ...(whole ? {} : { amount: part }) }],
  };
}

/** Works out what a verb does. @param packages those of the food, first out first */
export function verbPlan(
  reading: VerbReading<NamedFood>,
  packages: readonly PackageView[],
  today: string,
): VerbPlan {
  const { verb, count } = reading;
  const plan: VerbPlan = {
    packages: [],
    commands: [],
    fault: reading.fault,
    part: '',
    which: false,
    asksOn: null,
  };
  if (plan.fault !== '' || verb === 'undo') return plan;
  const fit = packages.filter(FITS[verb]);
  if (fit.length === 0) return { ...plan, fault: NONE[verb] };
  if (verb === 'where') return { ...plan, packages: fit };
  if (reading.share !== null) return shareOf(plan, fit, reading);
  const inPieces =
    verb === 'take' && fit.every(({ unit }) => unit === 'pc') && fit.some(({ amount }) => amount > 1);
  if (inPieces) {
    const foods = reading.foods.map(({ id }) => id);
    const take = takeOrPromise({ foods, amount: count, unit: 'pc' }, reading.on, today);
    return { ...plan, packages: fit.slice(0, 3), commands: [take] };
  }
  if (fit.length < count) return { ...plan, packages: fit, fault: `There are only ${fit.length} of it.` };
  const chosen = fit.slice(0, count);
  const dates = new Set(fit.map(({ governing }) => governing.date));
  const which = verb === 'open' && count === 1 && dates.size > 1;
  if (verb === 'take' && reading.on !== null && reading.on > today) {
    const [first] = chosen;
    const amount = chosen.reduce((sum, one) => sum + one.amount, 0);
    const asked = { foods: reading.foods.map(({ id }) => id), amount, unit: first?.unit ?? 'g' };
    return { ...plan, packages: chosen, commands: [takeOrPromise(asked, reading.on, today)] };
  }
  const command = COMMANDS[verb](reading);
  if (!command) return { ...plan, packages: chosen, asksOn: chosen[0]?.code ?? null };
  return {
    ...plan,
    which,
    packages: which ? [...fit] : chosen,
    commands: chosen.map(({ id, version }) => ({ ...command, package: id, version })),
  };
}
