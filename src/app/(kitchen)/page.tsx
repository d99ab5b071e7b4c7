import { readToday } from '@/services/today';
import { KitchenMap } from '@/ui/map/KitchenMap';
import { ZoneStrip } from '@/ui/map/ZoneStrip';
import { FirstOut } from '@/ui/today/FirstOut';

export default async function TodayPage() {
  const view = await readToday();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:h-[calc(100dvh-9.6rem)] lg:grid-cols-[minmax(0,1.78fr)_minmax(0,1fr)]">
      <div className="flex min-h-0 flex-col gap-2.5 max-lg:order-2 max-lg:mt-2 max-md:hidden">
        <div className="max-lg:hidden">
          <Heading words={view.today_words} summary={view.summary} />
        </div>
        <div className="min-h-0 flex-1 lg:overflow-y-auto [&>*]:min-h-full">
          <KitchenMap appliances={view.appliances} />
        </div>
      </div>
      <div className="flex min-h-0 flex-col gap-3 max-lg:order-1">
        <div className="lg:hidden">
          <Heading words={view.today_words} summary={view.summary} />
        </div>
        <ZoneStrip appliances={view.appliances} />
        <FirstOut rows={view.first_out} settled={view.settled} />
      </div>
    </div>
  );
}

function Heading({ words, summary }: { words: string; summary: string }) {
  return (
    <>
      <h1 className="text-[1.6rem] leading-tight">{words.replace(/ \d{4}$/, '')}</h1>
      <p className="text-slate">{summary}</p>
    </>
  );
}
