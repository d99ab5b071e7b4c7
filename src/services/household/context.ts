import { cache } from 'react';
import { sql } from '@/store/database';
import type { Package } from '@/core/model/package';
import type { Household } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { readOnCounter } from '@/store/packages';
import { now, todayIn } from '../door/clock';
import { keptKitchen, keptSince } from './kept';
import { ourHousehold, referenceOf } from './household';
import type { ViewContext } from '../stock/packageView';

/** A view's context with the household it is for. */
export type HouseholdContext = ViewContext & { household: Household };

/** Household, reference, kitchen and today: what every view begins with; read once for the parts of one page. */
export const viewContext = cache(async (): Promise<HouseholdContext> => {
  const household = await ourHousehold();
  const [reference, kitchen] = await Promise.all([
    referenceOf(household),
    keptKitchen(household, () => readKitchen(sql(), household.id)),
  ]);
  return { household, reference, kitchen, today: todayIn(household.timeZone), at: now() };
});

/** What is on the counter. */
export const readCounter = (household: Household): Promise<Package[]> =>
  keptSince(household, 'counter', () => readOnCounter(sql(), household.id));

/** The minute of an instant, for what changes with the minutes on the counter. */
export const minuteOf = (at: string): string => at.slice(0, 16);
