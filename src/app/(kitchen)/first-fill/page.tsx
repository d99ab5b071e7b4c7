import type { Metadata } from 'next';
import { readKitchenPlan } from '@/services/kitchen/kitchenPlan';
import { FirstFill } from '@/ui/movein/FirstFill';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'What is there already' };

/** What lies in the cold already, zone by zone with the door open. */
export default async function FirstFillPage() {
  const { appliances } = await readKitchenPlan();
  return (
    <OnlyWhoMay type="haul.store">
      <FirstFill appliances={appliances} />
    </OnlyWhoMay>
  );
}
