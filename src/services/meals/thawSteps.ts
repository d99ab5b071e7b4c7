import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { sayDueDate } from '@/core/calendar/sayDate';
import { promisesOf } from '@/core/firstout/promised';
import { bestWay, thawWays, type ThawWay } from '@/core/meals/thawWays';
import type { Package } from '@/core/model/package';
import { packedLitres } from '@/core/packaging/packedLitres';
import { rankZones } from '@/core/placement/rankZones';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import { readPlanned } from '@/store/today';
import { type HouseholdContext, minuteOf } from '../household/context';
import { keptSince } from '../household/kept';
import { readKitchenContents } from '../kitchen/kitchenContents';
import { readMeals } from './mealsOf';
import { rememberedThawHours } from './rememberedThawHours';

/** One frozen package that a meal waits for: how it may be thawed, and until when to begin. */
export interface ThawStep {
  package: string;
  code: string;
  version: number;
  called: string;
  amount_words: string;
  /** The meal's id; empty: planned for a day by itself. */
  meal: string;
  meal_name: string;
  on: string;
  meal_at: string;
  ways: ThawWay[];
  /** The way that is planned; `null`: none works any more. */
  best: ThawWay | null;
  /** It lies and thaws already: until when it must be eaten then, in words; `null`: it lies frozen. */
  thawing: {
    use_by: string;
    words: string;
    late: boolean;
    water_h: number | null;
    /** It is soft days before its meal, when nobody cooks: when, in words; empty: it is not. */
    idle: string;
  } | null;
  /** Where it may thaw in the fridge; `null`: there is no room for it. */
  zone: { id: string; name: string } | null;
}

const MOST_ASKED = 60;

/** What lies and thaws: by when it must be eaten, whether that is before its meal, and how long cold water takes at most for what is hard. */
function thawingOf(
  found: Package,
  on: string,
  ways: readonly ThawWay[],
  today: string,
  cooking: ReadonlySet<string>,
): ThawStep['thawing'] {
  const begun = found.history.findLast(({ did }) => did === 'thawing')?.on ?? today;
  const hours = ways.find(({ way }) => way === 'fridge')?.hours ?? 0;
  const soft = addDays(begun, Math.ceil(hours / 24));
  return {
    idle: soft < on && !cooking.has(soft) ? sayDueDate(soft, today) : '',
    use_by: found.governingDate,
    words: sayDueDate(found.governingDate, today),
    late: found.governingDate < on,
    water_h: ways.find(({ way }) => way === 'cold-water')?.hours ?? null,
  };
}

/** The same, worked out once a change and minute. */
export const keptThawSteps = (context: HouseholdContext): Promise<ThawStep[]> =>
  keptSince(context.household, `thaw ${minuteOf(context.at)}`, () => readThawSteps(context));

/** What thaws when, by the meals that are planned: each frozen package with its ways, the most pressing first. */
async function readThawSteps(context: HouseholdContext): Promise<ThawStep[]> {
  const { household, reference, today, at } = context;
  const planned = await readMeals(household);
  const ahead = planned.meals.filter(({ on, state }) => state === 'planned' && on >= today);
  const cooking = new Set(ahead.map(({ on }) => on));
  const wanted = ahead.flatMap((meal) => meal.takes.map((take) => take.package));
  const [promised, alone] = await Promise.all([
    readPackages(sql(), household.id, wanted.slice(0, 500)),
    readPlanned(sql(), household.id, { today, limit: MOST_ASKED, zoneIds: null }),
  ]);
  const named = ahead.flatMap((meal) =>
    meal.takes.flatMap((take) => {
      const found = promised.get(take.package);
      return found ? [{ found, meal: meal.id, name: meal.name, on: meal.on, at: planned.atOf(meal) }] : [];
    }),
  );
  const dinner = planned.rhythm.slots.at(-1)?.id ?? '';
  const own = alone.flatMap((found) =>
    promisesOf(found, today)
      .filter(({ meal }) => meal === '')
      .map(({ on }) => ({ found, meal: '', name: '', on, at: planned.atOf({ on, slot: dinner }) })),
  );
  const frozen = [...named, ...own].filter(
    ({ found }) => (found.state === 'frozen' || found.state === 'thawing') && found.gone === null,
  );
  if (frozen.length === 0) return [];
  const { zones, lying } = await readKitchenContents(context);
  const zoneFor = (found: Package): ThawStep['zone'] => {
    const food = reference.byId.get(found.foodId);
    if (!food) return null;
    const litres = packedLitres(found, food.densityKgPerL);
    const asked = {
      ...{ id: found.id, food, state: 'chilled' as const, litres, rigidMm: null },
      ...{ daysLeft: Math.max(0, daysBetween(today, found.governingDate)), takesPerWeek: 0 },
    };
    const best = rankZones(asked, zones, lying).find(
      ({ zone, fault }) => zone.cold === 'fridge' && fault === null,
    );
    return best ? { id: best.zone.id, name: best.zone.name } : null;
  };
  return frozen
    .flatMap(({ found, meal, name, on, at: mealAt }): ThawStep[] => {
      const food = reference.byId.get(found.foodId);
      if (!food) return [];
      const zone = zoneFor(found);
      const ways = thawWays(found, food, mealAt, at, rememberedThawHours);
      // What is cooked as it is waits for nobody.
      if (ways.every(({ way }) => way === 'from-frozen')) return [];
      const usable = zone === null ? ways.filter(({ way }) => way !== 'fridge') : ways;
      return [
        {
          ...{ package: found.id, code: found.code, version: found.version, called: found.called },
          ...{
            amount_words: sayAmount(found.amount, found.unit),
            meal,
            meal_name: name,
            on,
            meal_at: mealAt,
          },
          ...{ ways, best: bestWay(usable), zone },
          thawing: found.state === 'thawing' ? thawingOf(found, on, ways, today, cooking) : null,
        },
      ];
    })
    .sort((a, b) => ((a.best?.startBy ?? '') < (b.best?.startBy ?? '') ? -1 : 1));
}
