import { sayFullDate, sayKeptUntil } from '@/core/calendar/sayDate';
import {
  type Grouping,
  GROUPINGS,
  groupStock,
  type StockGroup,
  type StockTotals,
  totalsOf,
} from '@/core/stock/groupStock';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { minuteOf, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { askStock, type StockAsk } from './askStock';
import { type PackageView, toPackageView } from './packageView';
import { placeNames } from './placeNames';
import { type AskedView, toAsked } from './stock';

export interface GroupsQuery extends StockAsk {
  by?: string | undefined;
  /** How many groups to pass over, and how many to give. */
  from?: number | undefined;
  limit?: number | undefined;
}

/** A group as it is shown: words ready to read. */
export interface GroupView extends Pick<
  StockGroup,
  'key' | 'name' | 'sizes' | 'oldest' | 'band' | 'verdict'
> {
  /** The name as it is shown: a meal pack has its size in it. */
  title: string;
  packs: number;
  /** "1.2 kg", "600 ml and 3 pieces". */
  comes_to: string;
  due_words: string;
  due_full: string;
  /** At most two places by name, and how many more. */
  where: string;
  /** The package that goes first, for one press. */
  first: PackageView;
}

export interface GroupsView {
  groups: GroupView[];
  count: number;
  by: Grouping;
  asked: AskedView;
  /** "312 packs", "84.2 kg", "€612.00, 13 without a price". */
  totals: string[];
  /** How many are shown, and how many are here. */
  packs: number;
  all: number;
  /** Words that this household asks again and again. */
  kept: string[];
  /** How many of what is asked for lie in each zone. */
  lit: Record<string, number>;
}

const USUAL_PAGE = 200;

/** What packages come to, as words; empty when they are nothing but counted. */
export function sayTotals({ grams, millilitres, pieces }: StockTotals): string {
  return [
    grams > 0 ? sayAmount(grams, 'g') : '',
    millilitres > 0 ? sayAmount(millilitres, 'ml') : '',
    pieces > 0 ? `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}` : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}

function allTotals(totals: StockTotals, currency: string): string[] {
  const money = sayMoney(totals.minor, currency);
  return [
    `${totals.packs} ${totals.packs === 1 ? 'pack' : 'packs'}`,
    ...sayTotals(totals)
      .split(', ')
      .filter((words) => words !== ''),
    ...(totals.minor > 0
      ? [totals.unpriced > 0 ? `${money}, ${totals.unpriced} without a price` : money]
      : []),
  ];
}

/** What is asked for, counted in groups. */
export async function readStockGroups(query: GroupsQuery): Promise<GroupsView> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const { asking, rows, total } = await askStock(context, query);
  const by = GROUPINGS.find((known) => known === query.by) ?? 'food';
  const placeOf = placeNames(kitchen);
  const name = `groups ${household.openCut ? minuteOf(context.at) : today} ${JSON.stringify([by, query.q ?? '', query.zone ?? '', query.state ?? ''])}`;
  const { groups, totals, lit } = await keptSince(household, name, () => {
    const counted: Record<string, number> = {};
    for (const { zoneId } of rows) if (zoneId !== null) counted[zoneId] = (counted[zoneId] ?? 0) + 1;
    const told = groupStock(rows, by, today, placeOf, context.mayEat);
    return Promise.resolve({
      groups: told,
      totals: allTotals(totalsOf(rows), household.currency),
      lit: counted,
    });
  });
  const shown = groups.slice(query.from ?? 0, (query.from ?? 0) + (query.limit ?? USUAL_PAGE));
  const [firsts, kept] = await Promise.all([
    readPackages(
      sql(),
      household.id,
      shown.map(({ first }) => first.id),
    ),
    keptSince(household, 'askings', () => readKept(sql(), household.id, ['asking'])),
  ]);
  return {
    groups: shown.flatMap((group) => {
      const first = firsts.get(group.first.id);
      if (!first || first.gone !== null) return [];
      const places = group.zones.map(placeOf);
      const more = places.length - 2;
      const { governingDate, governingKind } = group.first;
      return {
        key: group.key,
        name: group.name,
        title: group.name,
        sizes: group.sizes,
        oldest: group.oldest,
        band: group.band,
        verdict: group.verdict,
        packs: group.totals.packs,
        comes_to: sayTotals(group.totals),
        due_words:
          group.band === 'past' ? 'past' : sayKeptUntil(governingDate, today, first.state === 'frozen'),
        due_full: `${governingKind === 'use-by' ? 'use by' : 'best by'} ${sayFullDate(governingDate)}`,
        where: `${places.slice(0, 2).join('; ')}${more > 0 ? ` and ${more} more` : ''}`,
        first: toPackageView(first, context),
      };
    }),
    count: groups.length,
    by,
    asked: toAsked(asking),
    totals,
    packs: rows.length,
    all: total,
    kept: [...kept.asking.values()].map(({ words }) => words),
    lit,
  };
}
