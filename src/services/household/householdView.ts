import type { HouseholdSettings } from '@/core/model/setting';
import { asksForKeys } from '../keys/asksForKeys';
import { calendarKey } from '../keys/calendarKeys';
import { chosenPerson } from './person';
import { viewContext } from './context';
import { publicUrl } from '../papers/publicUrl';

/** What the household set for itself, and its foods. */
export interface HouseholdView {
  name: string;
  time_zone: string;
  id: number;
  demo: boolean;
  person: string | null;
  settings: Omit<HouseholdSettings, 'feedKey'>;
  calendar_address: string;
  /** The address is a member's own, and ends with her. */
  calendar_own: boolean;
  foods: number;
  own_foods: number;
  wishes: number;
}

/** What a household decides for itself. */
export async function readHouseholdView(): Promise<HouseholdView> {
  const { household, reference } = await viewContext();
  const person = await chosenPerson();
  const { feedKey, ...settings } = household.settings;
  const calendar = await calendarKey(feedKey);
  const listed = reference.foods.filter(({ retired }) => !retired);
  return {
    id: household.id,
    demo: household.demo,
    person: settings.people.find((name) => name === person) ?? null,
    name: household.name,
    time_zone: household.timeZone,
    settings,
    calendar_address: `${publicUrl()}/calendar.ics?key=${calendar}`,
    calendar_own: asksForKeys(),
    foods: listed.length,
    own_foods: listed.filter(({ own }) => own).length,
    wishes: reference.wishes.size,
  };
}
