import { sayPastDate } from '@/core/calendar/sayDate';
import { groupStock, type StockGroup, totalsOf } from '@/core/stock/groupStock';
import { readGone } from '@/store/gonePackages';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import { viewContext } from '../household/context';
import { type ApplianceView, readDrawing } from '../kitchen/drawing';
import { askStock } from './askStock';
import { type PackageView, toPackageView } from './packageView';
import { placeNames } from './placeNames';
import { type AskedView, toAsked } from './stock';
import { sayTotals } from './stockGroups';

/** What answers a question: how many, how much, where, how old, which first. */
export interface FindView {
  asked: AskedView;
  /** "4 packs, 1.6 kg, in 2 places; the oldest from 5 Oct. First: UJ49, Lower shelf, Larder fridge, tomorrow." */
  says: string;
  groups: { key: string; name: string; sizes: string; oldest: string; where: string; first: PackageView }[];
  more: number;
  /** Appliances it lies in, and how many in each zone. */
  appliances: ApplianceView[];
  lit: Record<string, number>;
  /** What left lately and may be brought back: by undoing how it left, or from its page. */
  gone: { code: string; name: string; words: string; command: string; comes_back: boolean }[];
}

const MOST_GROUPS = 8;
const MOST_GONE = 5;
const GONE_WORDS: Readonly<Record<string, string>> = {
  taken: 'taken',
  discarded: 'binned',
  given: 'given away',
  composted: 'composted',
  cooked: 'cooked',
  merged: 'put to another',
  lost: 'written off as lost',
};

function sayFound(
  groups: readonly StockGroup[],
  packs: number,
  totals: string,
  places: number,
  first: PackageView | undefined,
): string {
  if (packs === 0 || !first) return 'There is none of it here.';
  const oldest = groups.reduce((least, one) => (one.oldestOn < least.oldestOn ? one : least));
  const where = first.zone ? `${first.zone.name}, ${first.zone.appliance}` : 'out of the cold';
  return [
    `${packs} ${packs === 1 ? 'pack' : 'packs'}${totals === '' ? '' : `, ${totals}`}, in ${places} ${places === 1 ? 'place' : 'places'};`,
    packs === 1 ? `from ${oldest.oldest}.` : `the oldest from ${oldest.oldest}.`,
    `${packs === 1 ? '' : 'First: '}${first.code}, ${where}, ${first.due_words}.`,
  ].join(' ');
}

/** Answers "where is the butter", "mince", "oldest in the chest", a person, a place, a code. */
export async function readFind(query: { q?: string | undefined }): Promise<FindView> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const { asking, rows } = await askStock(context, query);
  const none = (query.q?.trim() ?? '') === '';
  const mine = none ? [] : rows;
  const placeOf = placeNames(kitchen);
  const groups = groupStock(mine, 'food', today, placeOf, context.mayEat);
  const shown = groups.slice(0, MOST_GROUPS);
  const lit: Record<string, number> = {};
  for (const { zoneId } of mine) if (zoneId !== null) lit[zoneId] = (lit[zoneId] ?? 0) + 1;
  const meant = asking.parts.flatMap(({ narrows, not }) => (narrows.by === 'food' && !not ? [narrows] : []));
  const [found, appliances, left] = await Promise.all([
    readPackages(
      sql(),
      household.id,
      shown.map(({ first }) => first.id),
    ),
    mine.length === 0 ? [] : readDrawing(context),
    readGone(sql(), household.id, {
      foodIds: meant.flatMap(({ foods }) => [...foods]),
      words: meant.length === 1 ? (meant[0]?.words ?? []) : [],
      limit: MOST_GONE,
    }),
  ]);
  const views = shown.flatMap(({ key, name, sizes, oldest, zones, first }) => {
    const one = found.get(first.id);
    return one && one.gone === null
      ? [
          {
            key,
            name,
            sizes,
            oldest,
            where: zones.map(placeOf).slice(0, 3).join('; '),
            first: toPackageView(one, context),
          },
        ]
      : [];
  });
  return {
    asked: toAsked(asking),
    says: none
      ? ''
      : sayFound(
          groups,
          mine.length,
          sayTotals(totalsOf(mine)),
          new Set(mine.map(({ zoneId }) => zoneId)).size,
          views[0]?.first,
        ),
    groups: views,
    more: groups.length - views.length,
    appliances: appliances.filter(({ zones }) => zones.some(({ id }) => lit[id] !== undefined)),
    lit,
    gone: left.flatMap(({ found: one, command, undone }) =>
      one.gone === null || one.gone.how === 'undone' || undone
        ? []
        : [
            {
              code: one.code,
              name: one.called,
              words: `${GONE_WORDS[one.gone.how] ?? 'gone'} ${sayPastDate(one.gone.on, today)}`,
              command,
              comes_back: one.gone.how === 'lost' || (one.gone.how === 'taken' && one.gone.on === today),
            },
          ],
    ),
  };
}
