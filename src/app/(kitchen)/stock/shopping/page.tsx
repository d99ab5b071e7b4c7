import type { Metadata } from 'next';
import { inOurUnits } from '@/services/household/inOurUnits';
import { readShopping } from '@/services/shopping/shopping';
import { ShoppingBench } from '@/ui/shopping/ShoppingBench';

export const metadata: Metadata = { title: 'Shopping' };

export default async function ShoppingPage() {
  const view = await inOurUnits(await readShopping());
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">Shopping</h1>
      <ShoppingBench view={view} />
    </>
  );
}
