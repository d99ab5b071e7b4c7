import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readStockPage } from '@/services/stock/stock';
import { readZones } from '@/services/kitchen/zones';
import { type Search, textsOf } from '../search';
import { StockTable } from '@/ui/stock/StockTable';

export const metadata: Metadata = { title: 'Stock' };

export default async function StockPage({ searchParams }: { searchParams: Search }) {
  const { q, state, zone } = await textsOf(searchParams, 'q', 'state', 'zone');
  const [stock, { zones }] = await inOurUnits(
    await Promise.all([readStockPage({ q, state, zone }), readZones()]),
  );
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">Stock</h1>
      <StockTable
        first={stock}
        zones={zones.map(({ id, name, appliance }) => ({ id, name: `${name}, ${appliance.name}` }))}
      />
    </>
  );
}
