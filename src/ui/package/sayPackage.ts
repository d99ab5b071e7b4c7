import type { Band } from '@/core/keeping/judgeKeeping';
import type { PackageView } from '@/services/stock/packageView';

const BAND_WORDS: Record<Band, string> = {
  settled: 'settled',
  soon: 'soon',
  today: 'last day',
  past: 'past its date',
};

/** What a screen reader hears of a package: food, amount, place, date, band. */
export function sayPackage(view: PackageView, count = 1): string {
  const place = view.zone ? `${view.zone.name}, ${view.zone.appliance}` : (view.story.split(' · ')[0] ?? '');
  return [
    `${view.food.name}, ${count > 1 ? `${count} × ` : ''}${view.amount_words}`,
    place,
    view.due_full,
    BAND_WORDS[view.band],
    ...(view.verdict === 'discard' ? ['not for eating'] : []),
  ].join(', ');
}
