import type { Metadata } from 'next';
import { readFoodRows } from '@/services/household/foods';
import { type Search, textsOf } from '../../../search';
import { FoodBrowser } from '@/ui/kitchen/FoodBrowser';

export const metadata: Metadata = { title: 'Foods' };

export default async function FoodsPage({ searchParams }: { searchParams: Search }) {
  const { q, group } = await textsOf(searchParams, 'q', 'group');
  const list = await readFoodRows({ q, group });
  return (
    <>
      <h1 className="text-[1.6rem]">Foods</h1>
      <p className="mb-3 text-slate">
        How long each keeps, where, and how it freezes. Choose one for its source and for your own wishes.
      </p>
      <FoodBrowser list={list} q={q ?? ''} group={group ?? ''} />
    </>
  );
}
