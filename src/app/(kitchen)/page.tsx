import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { asksWhichDoor } from '@/services/household/households';
import { ourWording } from '@/services/household/inOurUnits';
import { orNotFound } from '@/services/door/problem';
import { todayText } from '@/services/today/seenToday';
import { readToday } from '@/services/today/today';
import { type Search, textsOf } from './search';
import { TodayBench } from '@/ui/today/TodayBench';

export default async function TodayPage({ searchParams }: { searchParams: Search }) {
  const { scope } = await textsOf(searchParams, 'scope');
  if (scope === undefined && (await asksWhichDoor())) redirect('/start');
  const view = await orNotFound(readToday({ scope }));
  if (!view) notFound();
  return (
    <TodayBench
      told={todayText(view, await ourWording())}
      phone={(await headers()).get('x-orderly-frost-phone') === '1'}
    />
  );
}
