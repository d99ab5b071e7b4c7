import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readFood } from '@/services/household/foodDetail';
import { orNotFound } from '@/services/door/problem';
import { FoodCard } from '@/ui/kitchen/FoodCard';

type Params = Promise<{ id: string }>;

export const metadata: Metadata = { title: 'Food' };

export default async function FoodPage({ params }: { params: Params }) {
  const detail = await inOurUnits(await orNotFound(readFood((await params).id)));
  if (!detail) notFound();
  return <FoodCard detail={detail} />;
}
