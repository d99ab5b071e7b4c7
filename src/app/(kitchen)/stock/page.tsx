import type { Metadata } from 'next';
import { readStockPage } from '@/services/stock/stock';
import { readZones } from '@/services/kitchen/zones';
import { StockTable } from '@/ui/stock/StockTable';

export const metadata: Metadata = { title: 'Stock' };

type Search = Promise<Record<string, string | string[] | undefined>>;

export default async function StockPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const text = (name: string): string | undefined => {
    const value = search[name];
    return typeof value === 'string' && value !== '' ? value : undefined;
  };
  const [stock, { zones }] = await Promise.all([
    readStockPage({ q: text('q'), state: text('state'), zone: text('zone') }),
    readZones(),
  ]);
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
