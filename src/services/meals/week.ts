import { addDays, type CalendarDate } from '@/core/calendar/calendarDate';
import { sayDueDate, sayFullDate } from '@/core/calendar/sayDate';
import type { Meal, MealRhythm } from '@/core/model/meal';
import type { Package } from '@/core/model/package';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { viewContext } from '../household/context';
import { type PackageView, toPackageView } from '../stock/packageView';
import { type LeftoverView, readLeftovers } from './leftovers';
import { readMeals } from './mealsOf';
import { readThawedOver, type ThawedOver } from './thawedOver';
import { keptThawSteps, type ThawStep } from './thawSteps';

/** A meal with what it takes, as it is now. */
export interface MealView extends Omit<Meal, 'takes' | 'buys'> {
  at: string;
  /** What it takes cost, minor units; `null`: of some of it nobody told. */
  cost_minor: number | null;
  /** Its time has gone by and nobody said what came of it. */
  over: boolean;
  takes: {
    package: string;
    code: string;
    called: string;
    amount: number;
    amount_words: string;
    /** As it lies here; `null`: it is not here any more. */
    view: Pick<
      PackageView,
      'version' | 'state' | 'band' | 'due_words' | 'zone' | 'amount' | 'not_for'
    > | null;
    /** How much of what was promised is not there, in words; empty: nothing. */
    missing: string;
  }[];
  buys: { line: string; called: string; bought: boolean }[];
}

export interface MealsView {
  now: string;
  today: CalendarDate;
  currency: string;
  days: { on: CalendarDate; words: string; full: string }[];
  rhythm: MealRhythm;
  meals: MealView[];
  thaw: ThawStep[];
  /** Thawed for a meal that did not come. */
  thawed: ThawedOver[];
  /** What dinners may be put together from. */
  leftovers: LeftoverView[];
}

const DAYS = 7;
const MOST_PAST_DAYS = 3;

/** The share of the price that is in what a meal takes. */
function costOf({ takes }: Meal, packages: ReadonlyMap<string, Package>): number | null {
  let sum = 0;
  for (const { package: id, amount } of takes) {
    const found = packages.get(id);
    if (!found || found.gone !== null) continue;
    if (found.priceMinor === null) return null;
    sum += (found.priceMinor * Math.min(amount, found.amount)) / found.amount;
  }
  return sum > 0 ? Math.round(sum) : null;
}

function toMealView(
  meal: Meal,
  at: string,
  now: string,
  packages: ReadonlyMap<string, Package>,
  views: ReadonlyMap<string, PackageView>,
  ticked: ReadonlySet<string>,
): MealView {
  return {
    ...meal,
    at,
    cost_minor: costOf(meal, packages),
    over: meal.state === 'planned' && at < now,
    takes: meal.takes.map(({ unit, ...take }) => {
      const view = views.get(take.package);
      const here = view && view.gone === null ? view : null;
      const gone = meal.state === 'planned' ? take.amount - Math.min(take.amount, here?.amount ?? 0) : 0;
      return {
        ...take,
        amount_words: sayAmount(take.amount, unit),
        view: here && {
          ...{ version: here.version, state: here.state, band: here.band, due_words: here.due_words },
          zone: here.zone,
          amount: here.amount,
          not_for: here.not_for,
        },
        missing: gone > 0 ? sayAmount(gone, unit) : '',
      };
    }),
    buys: meal.buys.map((buy) => ({ ...buy, bought: ticked.has(buy.line) })),
  };
}

/** Seven days of meals from a day on, and what must thaw when. */
export async function readWeek({ from }: { from?: string }): Promise<MealsView> {
  const context = await viewContext();
  const { household, today, at: now } = context;
  const planned = await readMeals(household);
  const first = from ?? today;
  const last = addDays(first, DAYS - 1);
  // Meals of the last days that nobody spoke of ask what came of them.
  const since = first === today ? addDays(today, -MOST_PAST_DAYS) : first;
  const shown = planned.meals.filter(
    ({ on, state }) => on <= last && (on >= first || (on >= since && state === 'planned')),
  );
  const [packages, kept, thaw, thawed, leftovers] = await Promise.all([
    readPackages(
      sql(),
      household.id,
      shown.flatMap((meal) => meal.takes.map((take) => take.package)),
    ),
    readKept(sql(), household.id, ['shopping']),
    keptThawSteps(context),
    readThawedOver(context, planned),
    readLeftovers(context),
  ]);
  const views = new Map([...packages].map(([id, found]) => [id, toPackageView(found, context)]));
  const ticked = new Set([...kept.shopping.values()].filter((one) => one.ticked).map(({ id }) => id));
  return {
    now,
    today,
    currency: household.settings.currency,
    days: Array.from({ length: DAYS }, (_, at) => addDays(first, at)).map((on) => ({
      on,
      words: on === today ? 'Today' : sayDueDate(on, today).replace(/^t/, 'T'),
      full: sayFullDate(on),
    })),
    rhythm: planned.rhythm,
    meals: shown.map((meal) => toMealView(meal, planned.atOf(meal), now, packages, views, ticked)),
    thaw,
    thawed,
    leftovers,
  };
}
