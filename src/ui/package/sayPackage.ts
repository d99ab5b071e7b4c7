import type { Band } from '@/core/keeping/judgeKeeping';
import type { PackageView } from '@/services/stock/packageView';

const BAND_WORDS: Record<Band, string> = {
  settled: 'settled',
  soon: 'soon',
  today: 'last day',
  past: 'past its date',
};

type Said = Pick<PackageView, 'amount_words' | 'story' | 'due_full' | 'band' | 'verdict' | 'not_for'> & {
  food: Pick<PackageView['food'], 'name'>;
  zone: Pick<NonNullable<PackageView['zone']>, 'name' | 'appliance'> | null;
};

/** What a screen reader hears of a package: food, amount, place, date, band. */
export function sayPackage(view: Said, count = 1): string {
  const place = view.zone ? `${view.zone.name}, ${view.zone.appliance}` : (view.story.split(' · ')[0] ?? '');
  return [
    `${view.food.name}, ${count > 1 ? `${count} × ` : ''}${view.amount_words}`,
    place,
    view.due_full,
    BAND_WORDS[view.band],
    ...(view.verdict === 'discard' ? ['not for eating'] : []),
    ...(view.not_for === '' ? [] : [view.not_for.replace(/\.$/, '')]),
    ...(view.verdict === 'ask' ? ['to be decided at the outage desk'] : []),
  ].join(', ');
}
