import type { HouseholdSettings } from '@/core/model/setting';
import { viewContext } from './context';
import { publicUrl } from '../papers/publicUrl';

/** What the household set for itself, and its foods. */
export interface HouseholdView {
  name: string;
  time_zone: string;
  settings: Omit<HouseholdSettings, 'feedKey'>;
  calendar_address: string;
  foods: number;
  own_foods: number;
  wishes: number;
}

/** What a household decides for itself. */
export async function readHouseholdView(): Promise<HouseholdView> {
  const { household, reference } = await viewContext();
  const { feedKey, ...settings } = household.settings;
  const listed = reference.foods.filter(({ retired }) => !retired);
  return {
    name: household.name,
    time_zone: household.timeZone,
    settings,
    calendar_address: `${publicUrl()}/calendar.ics?key=${feedKey}`,
    foods: listed.length,
    own_foods: listed.filter(({ own }) => own).length,
    wishes: reference.wishes.size,
  };
}
