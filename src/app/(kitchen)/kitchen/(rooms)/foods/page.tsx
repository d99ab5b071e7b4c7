import type { Metadata } from 'next';
import { readFoodRows } from '@/services/household/foods';
import { FoodBrowser } from '@/ui/kitchen/FoodBrowser';

export const metadata: Metadata = { title: 'Foods' };

type Search = Promise<Record<string, string | string[] | undefined>>;

export default async function FoodsPage({ searchParams }: { searchParams: Search }) {
  const search = await searchParams;
  const text = (name: string): string | undefined => {
    const value = search[name];
    return typeof value === 'string' && value !== '' ? value : undefined;
  };
  const list = await readFoodRows({ q: text('q'), group: text('group') });
  return (
    <>
      <h1 className="text-[1.6rem]">Foods</h1>
      <p className="mb-3 text-slate">
        How long each keeps, where, and how it freezes. Choose one for its source and for your own wishes.
      </p>
      <FoodBrowser list={list} q={text('q') ?? ''} group={text('group') ?? ''} />
    </>
  );
}
