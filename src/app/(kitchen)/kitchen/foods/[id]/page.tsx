import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readFood } from '@/services/foodDetail';
import { Problem } from '@/services/problem';
import { FoodCard } from '@/ui/kitchen/FoodCard';

type Params = Promise<{ id: string }>;

export const metadata: Metadata = { title: 'Food' };

export default async function FoodPage({ params }: { params: Params }) {
  const detail = await readFood((await params).id).catch((error: unknown) => {
    if (error instanceof Problem && error.status === 404) return null;
    throw error;
  });
  if (!detail) notFound();
  return <FoodCard detail={detail} />;
}
