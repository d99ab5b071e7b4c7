import Link from 'next/link';
import { Said } from '../units/Said';
import type { FoodDetail } from '@/services/household/foodDetail';
import { CopyFoodForm } from './CopyFoodForm';
import { FIT_WORDS, HOME_WORDS, sayGroup, sayRange } from './foodWords';
import { FoodPackages } from './FoodPackages';
import { WishForm } from './WishForm';
import { IfMay } from '../door/IfMay';

/** Everything known of a food: figures, advice, source; the household's wishes; copying it. */
export function FoodCard({ detail }: { detail: FoodDetail }) {
  const { food } = detail;
  const { water, protein, fat } = food.composition;
  const facts: (readonly [string, string | null])[] = [
    ['In the fridge', sayRange(food.fridgeDaysMin, food.fridgeDaysMax, 'day')],
    ['Once opened', sayRange(food.openedDaysMin, food.openedDaysMax, 'day')],
    ['Once thawed', sayRange(null, food.thawedDays, 'day')],
    ['Out of the cold', sayRange(null, food.counterDaysMax, 'day') ?? 'two hours in all, one above 32 °C'],
    ['In the freezer', sayRange(food.freezerMonthsMin, food.freezerMonthsMax, 'month')],
    [
      'Freezing',
      [FIT_WORDS[food.freezeFit], ...food.freezePrep.map((step) => step.replaceAll('-', ' '))].join('; '),
    ],
    [
      'Blanching',
      food.blanchMinutes === null
        ? null
        : `${food.blanchMinutes} min${food.blanchOptional ? `; raw it keeps ${food.unblanchedMonthsMax ?? 1} months` : ', needed'}`,
    ],
    ['Best place', HOME_WORDS[food.home] ?? food.home],
    ['Ethylene', food.ethylene === 'none' ? null : `${food.ethylene}: keep givers away from takers`],
    ['Signs of spoilage', detail.spoilage],
    ['Note', food.note === '' ? null : food.note],
    ['Source', `after ${food.source}`],
    [
      'Made of',
      `water ${Math.round(water * 100)} %, protein ${Math.round(protein * 100)} %, fat ${Math.round(fat * 100)} %`,
    ],
  ];
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
      <div className="space-y-4">
        <article className="card p-5">
          <p className="text-slate">
            <Link href="/kitchen/foods" className="inline-flex min-h-11 items-center text-deep underline">
              All foods
            </Link>{' '}
            · {sayGroup(food.group)}
            {food.own && ' · our own'}
            {food.retired && ' · off the list'}
          </p>
          <h1 className="text-[1.6rem]">{food.name}</h1>
          {food.aliases.length > 0 && <p className="text-slate">also: {food.aliases.join(', ')}</p>}
          {detail.copied_from && <p className="text-slate">copied from {detail.copied_from}</p>}
          <p className="mt-2 font-semibold">
            {food.controlled
              ? 'Time and temperature matter for safety: it has a use by.'
              : 'A matter of quality only: it has a best by.'}
          </p>
          <dl className="mt-3 grid grid-cols-[8.5rem_minmax(0,1fr)] gap-x-3 gap-y-2">
            {facts.map(
              ([name, value]) =>
                value !== null && (
                  <div key={name} className="contents">
                    <dt className="text-slate">{name}</dt>
                    <dd>
                      <Said>{value}</Said>
                    </dd>
                  </div>
                ),
            )}
          </dl>
          <p className="mt-4 text-[0.9375rem] text-slate">
            When in doubt, throw it out. Your local food-safety advice comes first; babies, pregnant, old or
            ill people need more caution.
          </p>
        </article>
        <FoodPackages detail={detail} />
      </div>
      <div className="space-y-4">
        <IfMay type="food.wish">
          <WishForm key={JSON.stringify(detail.wish)} detail={detail} />
        </IfMay>
        <IfMay type="food.add">
          <CopyFoodForm detail={detail} />
        </IfMay>
      </div>
    </div>
  );
}
