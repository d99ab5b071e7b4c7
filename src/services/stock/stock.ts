import { firstOutKey } from '@/core/firstout/firstOutKey';
import { foodsWithWords, nearestFoods } from '@/core/foods/findFood';
import { STATES } from '@/core/model/history';
import { readPackageCode } from '@/core/labels/readPackageCode';
import { sql } from '@/store/database';
import { readPackageByCode, readStock } from '@/store/packages';
import { countOutside, readFills } from '@/store/today';
import { viewContext } from '../household/context';
import { type PackageView, toPackageView } from './packageView';
import { Problem } from '../door/problem';

export interface StockQuery {
  /** Part of a food's name, spelling forgiven, or a package code. */
  q?: string | undefined;
  zone?: string | undefined;
  state?: string | undefined;
  after?: string | undefined;
  limit?: number | undefined;
}

export interface StockView {
  packages: PackageView[];
  total: number;
  /** Give it as `after` for the next page; `null` on the last. */
  next: string | null;
  today: string;
}

const KEY = /^\d{4}-\d{2}-\d{2} [01] [01] \d{4}-\d{2}-\d{2} [A-Z0-9]+$/;

function readKey(after: string | undefined): string | null {
  if (after === undefined) return null;
  if (!KEY.test(after)) throw new Problem(400, 'invalid', '“after” is not a key this list gave.');
  return after;
}

/** One page of what is in the store, first out first. */
export async function readStockPage(query: StockQuery): Promise<StockView> {
  const context = await viewContext();
  const { household, reference, today } = context;
  const words = query.q?.trim() ?? '';
  const limit = query.limit ?? 100;
  const [fills, outside] = await Promise.all([
    readFills(sql(), household.id),
    countOutside(sql(), household.id),
  ]);
  const total = [...fills.values()].reduce((sum, { packages }) => sum + packages, outside);
  const byCode = words === '' ? null : await readPackageByCode(sql(), household.id, words.toUpperCase());
  if (byCode && byCode.gone === null) {
    return { packages: [toPackageView(byCode, context)], total, next: null, today };
  }
  let foodIds: string[] | null = null;
  if (words !== '') {
    const held = foodsWithWords(reference.index, words, 400);
    // A word that names no food may be a code, written in a hurry.
    const meant =
      held.length > 0 ? null : await readPackageByCode(sql(), household.id, readPackageCode(words));
    if (meant && meant.gone === null)
      return { packages: [toPackageView(meant, context)], total, next: null, today };
    const found = held.length > 0 ? held : nearestFoods(reference.index, words, 20);
    foodIds = found.map(({ id }) => id);
  }
  const state = STATES.find((known) => known === query.state) ?? null;
  const packages = await readStock(sql(), household.id, {
    foodIds,
    zoneId: query.zone ?? null,
    state,
    after: readKey(query.after),
    limit: limit + 1,
  });
  const page = packages.slice(0, limit);
  const last = page.at(-1);
  return {
    packages: page.map((found) => toPackageView(found, context)),
    total,
    next: packages.length > limit && last ? firstOutKey(last) : null,
    today,
  };
}
