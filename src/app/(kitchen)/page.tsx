import { readToday } from '@/services/today/today';
import { TodayBench } from '@/ui/today/TodayBench';

type Search = Promise<Record<string, string | string[] | undefined>>;

export default async function TodayPage({ searchParams }: { searchParams: Search }) {
  const { scope } = await searchParams;
  return <TodayBench view={await readToday({ scope: typeof scope === 'string' ? scope : undefined })} />;
}
