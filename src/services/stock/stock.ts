import type { Asking } from '@/core/stock/asking';
import type { StockRow } from '@/core/stock/stockRow';
import { groupKey, GROUPINGS } from '@/core/stock/groupStock';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import { viewContext } from '../household/context';
import { askStock, type StockAsk } from './askStock';
import { type PackageView, toPackageView } from './packageView';
import { placeNames } from './placeNames';
import { Problem } from '../door/problem';

export interface StockQuery extends StockAsk {
  /** A group of the list of groups, with what it is grouped by: only what is in it. */
  by?: string | undefined;
  group?: string | undefined;
  after?: string | undefined;
  limit?: number | undefined;
}

/** What was understood of the words, and what was not. */
export interface AskedView {
  parts: { from: number; to: number; says: string; guessed: boolean }[];
  unknown: Asking['unknown'];
  oldest: boolean;
}

export interface StockView {
  packages: PackageView[];
  /** How many are asked for, and how many are here. */
  count: number;
  total: number;
  asked: AskedView;
  /** Give it as `after` for the next page; `null` on the last. */
  next: string | null;
  today: string;
}

const USUAL_PAGE = 100;

export const toAsked = ({ parts, unknown, oldest }: Asking): AskedView => ({
  parts: parts.map(({ from, to, says, guessed }) => ({ from, to, says, guessed })),
  unknown,
  oldest,
});

const keyOf = ({ firstOut, startOn }: StockRow, oldest: boolean): string =>
  oldest ? `${startOn} ${firstOut}` : firstOut;
const KEY = /^(?:\d{4}-\d{2}-\d{2} )?\d{4}-\d{2}-\d{2} [01] [01] \d{4}-\d{2}-\d{2} [A-Z0-9]+$/;

/** One page of what is in the store, first out first. @throws Problem 400 for a key this list never gave */
export async function readStockPage(query: StockQuery): Promise<StockView> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const { after, group, limit = USUAL_PAGE } = query;
  if (after !== undefined && !KEY.test(after))
    throw new Problem(400, 'invalid', '“after” is not a key this list gave.');
  const { asking, rows, total } = await askStock(context, query);
  const by = GROUPINGS.find((known) => known === query.by) ?? 'food';
  const placeOf = placeNames(kitchen);
  const mine =
    group === undefined ? rows : rows.filter((row) => groupKey(row, by, today, placeOf).key === group);
  const from = after === undefined ? 0 : mine.findIndex((row) => keyOf(row, asking.oldest) > after);
  const page = from < 0 ? [] : mine.slice(from, from + limit);
  const found = await readPackages(
    sql(),
    household.id,
    page.map(({ id }) => id),
  );
  const last = page.at(-1);
  return {
    packages: page.flatMap(({ id }) => {
      const one = found.get(id);
      return one && one.gone === null ? [toPackageView(one, context)] : [];
    }),
    count: mine.length,
    total,
    asked: toAsked(asking),
    next: last && from + page.length < mine.length ? keyOf(last, asking.oldest) : null,
    today,
  };
}
