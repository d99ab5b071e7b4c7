import { cache } from 'react';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { readOnCounter } from '@/store/packages';
import { now, todayIn } from '../door/clock';
import { ourHousehold, referenceOf } from './household';
import type { ViewContext } from '../stock/packageView';

/** A view's context with the household it is for. */
export type HouseholdContext = ViewContext & { household: Household };

/** Household, reference, kitchen and today: what every view begins with; read once for the parts of one page. */
export const viewContext = cache(async (): Promise<HouseholdContext> => {
  const household = await ourHousehold();
  const [reference, kitchen] = await Promise.all([referenceOf(household), readKitchen(sql(), household.id)]);
  return { household, reference, kitchen, today: todayIn(household.timeZone), at: now() };
});

/** What is on the counter; read once for the parts of one page. */
export const readCounter = cache((householdId: number) => readOnCounter(sql(), householdId));
