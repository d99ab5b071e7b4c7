import type { Metadata } from 'next';
import { readKitchenPlan } from '@/services/kitchen/kitchenPlan';
import { MoveIn } from '@/ui/movein/MoveIn';

export const metadata: Metadata = { title: 'Move in' };

/** The appliances of one's own kitchen, in a minute each. */
export default async function MoveInPage() {
  const { appliances } = await readKitchenPlan();
  return (
    <MoveIn
      appliances={appliances.map(({ drawing, version, packages }) => ({ drawing, version, packages }))}
    />
  );
}
