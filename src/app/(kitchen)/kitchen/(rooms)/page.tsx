import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readKitchenPlan } from '@/services/kitchen/kitchenPlan';
import { KitchenBench } from '@/ui/kitchen/KitchenBench';

export const metadata: Metadata = { title: 'Kitchen' };

export default async function KitchenPage() {
  const plan = await inOurUnits(await readKitchenPlan());
  return (
    <>
      <h1 className="sr-only">Kitchen of {plan.household}</h1>
      <KitchenBench plan={plan} />
    </>
  );
}
