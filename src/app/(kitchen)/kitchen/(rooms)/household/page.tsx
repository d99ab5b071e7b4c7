import type { Metadata } from 'next';
import { readHouseholdView } from '@/services/household/householdView';
import { CalendarAddress } from '@/ui/kitchen/CalendarAddress';
import { HouseholdDoors } from '@/ui/kitchen/HouseholdDoors';
import { HouseholdForm } from '@/ui/kitchen/HouseholdForm';
import { HeadsUpForm } from '@/ui/kitchen/HeadsUpForm';
import { IfMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'Household' };

export default async function HouseholdPage() {
  const view = await readHouseholdView();
  return (
    <>
      <h1 className="text-[1.6rem]">{view.name}</h1>
      <p className="mb-3 text-slate">
        Who lives here, how you measure, when heads-ups come and how cautious the dates are. {view.foods}{' '}
        foods are known, {view.own_foods} of them your own, {view.wishes} with a wish of yours.
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <IfMay type="household.set">
          <HouseholdForm view={view} />
        </IfMay>
        <IfMay type="household.set">
          <HeadsUpForm settings={view.settings} />
        </IfMay>
        <CalendarAddress
          address={view.calendar_address}
          own={view.calendar_own}
          notifyAt={view.settings.notifyAt}
        />
        <HouseholdDoors view={view} />
      </div>
    </>
  );
}
