import type { Metadata } from 'next';
import { isCalendarDate } from '@/core/calendar/calendarDate';
import { readWeek } from '@/services/meals/week';
import { MealsBench } from '@/ui/meals/MealsBench';

export const metadata: Metadata = { title: 'Meals' };

export default async function MealsPage({ searchParams }: { searchParams: Promise<{ from?: string }> }) {
  const { from } = await searchParams;
  return <MealsBench view={await readWeek(from !== undefined && isCalendarDate(from) ? { from } : {})} />;
}
