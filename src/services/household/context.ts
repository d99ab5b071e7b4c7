import { cache } from 'react';
import { sql } from '@/store/database';
import type { Package } from '@/core/model/package';
import type { Household } from '@/store/households';
import { type Kitchen, readKitchen } from '@/store/kitchens';
import { mayEat, type OpenVerdict, UNKNOWN_FOOD } from '@/core/keeping/mayEat';
import { readFirstOut, readOnCounter } from '@/store/packages';
import { now, todayIn } from '../door/clock';
import { keptKitchen, keptSince } from './kept';
import { readOpenCuts } from '../outage/openCut';
import { ourHousehold, type Reference, referenceOf } from './household';
import type { ViewContext } from '../stock/packageView';

/** More than a household has. */
const MOST_PACKAGES = 20_000;

/** A view's context with the household it is for. */
export type HouseholdContext = ViewContext & {
  household: Household;
  /** What a power cut says of a package that nobody decided. */
  openVerdict: (found: { id: string }) => OpenVerdict | null;
};

/** The verdicts of power cuts that are not put away, by package; empty without one, as almost always. */
const readOpenVerdicts = (
  household: Household,
  standing: { reference: Reference; kitchen: Kitchen },
  today: string,
  at: string,
): Promise<ReadonlyMap<string, OpenVerdict>> =>
  keptSince(household, `open verdicts ${minuteOf(at)}`, async () => {
    const ask = await readOpenCuts(sql(), household, standing, today, at);
    return ask ? ask(await readFirstOut(sql(), household.id, MOST_PACKAGES)) : new Map();
  });

/** What every view of a household begins with. */
export async function contextOf(household: Household): Promise<HouseholdContext> {
  const [reference, kitchen] = await Promise.all([
    referenceOf(household),
    keptKitchen(household, () => readKitchen(sql(), household.id)),
  ]);
  const [today, at] = [todayIn(household.timeZone), now()];
  const open = household.openCut
    ? await readOpenVerdicts(household, { reference, kitchen }, today, at)
    : null;
  const openVerdict = ({ id }: { id: string }): OpenVerdict | null => open?.get(id) ?? null;
  return {
    ...{ household, reference, kitchen, today, at, openVerdict },
    mayEat: (found) => {
      const food = reference.byId.get(found.foodId) ?? UNKNOWN_FOOD;
      return mayEat(found, {
        today,
        at,
        hot: false,
        food,
        eaters: household.settings,
        cut: openVerdict(found),
      });
    },
  };
}

/** Household, reference, kitchen and today: what every view begins with; read once for the parts of one page. */
export const viewContext = cache(async (): Promise<HouseholdContext> => contextOf(await ourHousehold()));

/** What is on the counter. */
export const readCounter = (household: Household): Promise<Package[]> =>
  keptSince(household, 'counter', () => readOnCounter(sql(), household.id));

/** The minute of an instant, for what changes with the minutes on the counter. */
export const minuteOf = (at: string): string => at.slice(0, 16);
