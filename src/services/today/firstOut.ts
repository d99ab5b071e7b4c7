import { firstOutKey } from '@/core/firstout/firstOutKey';
import type { Package } from '@/core/model/package';
import { sql } from '@/store/database';
import { readAnswered, readAsking } from '@/store/today';
import { type HouseholdContext, readCounter } from '../household/context';
import { type HeadsUp, toHeadsUp } from './headsUp';
import { type PackageView, toPackageView } from '../stock/packageView';
import { Problem } from '../door/problem';

/** Packages alike in food, date, place and amount: one row of first out. */
export interface FirstOutRow {
  view: PackageView;
  heads_up: HeadsUp;
  packages: { id: string; code: string; version: number }[];
}

/** The whole house, one room, or one appliance. */
export interface ScopeView {
  /** `""`, `room:Larder`, `appliance:<id>`. */
  key: string;
  name: string;
  zone_ids: string[] | null;
}

const ROWS = 24;
const MOST_ANSWERED = 60;

function toRows(packages: readonly Package[], context: HouseholdContext): FirstOutRow[] {
  const rows = new Map<string, FirstOutRow>();
  for (const found of packages) {
    const view = toPackageView(found, context);
    const key = [
      view.food.name,
      view.governing.date,
      view.governing.kind,
      view.zone?.id,
      view.amount,
      view.unit,
      view.state,
      view.opened,
      found.answer?.until,
    ].join('|');
    const row = rows.get(key);
    const one = { id: found.id, code: found.code, version: found.version };
    if (row) row.packages.push(one);
    else rows.set(key, { view, heads_up: toHeadsUp(found, view, context), packages: [one] });
  }
  return [...rows.values()];
}

/** What may be chosen as scope in this kitchen. */
export function scopesOf({ kitchen }: HouseholdContext): ScopeView[] {
  const zonesOf = (ids: string[]): string[] =>
    kitchen.zones.filter(({ applianceId }) => ids.includes(applianceId)).map(({ id }) => id);
  const rooms = [...new Set(kitchen.appliances.map(({ room }) => room))];
  return [
    { key: '', name: 'Whole house', zone_ids: null },
    ...rooms.map((room) => ({
      key: `room:${room}`,
      name: room,
      zone_ids: zonesOf(
        kitchen.appliances.filter((appliance) => appliance.room === room).map(({ id }) => id),
      ),
    })),
    ...kitchen.appliances.map(({ id, name }) => ({ key: `appliance:${id}`, name, zone_ids: zonesOf([id]) })),
  ];
}

/** The scope with this key. @throws Problem 400 */
export function scopeNamed(context: HouseholdContext, key: string | undefined): ScopeView {
  const found = scopesOf(context).find((scope) => scope.key === (key ?? ''));
  if (!found) throw new Problem(400, 'invalid', 'There is no such room or appliance in this kitchen.');
  return found;
}

const KEY = /^\d{4}-\d{2}-\d{2} [01] [01] \d{4}-\d{2}-\d{2} [A-Z0-9]+$/;

/** A page of what asks for an answer, first out first; `next` is the key of the page after it. */
export async function readAskingPage(
  context: HouseholdContext,
  scope: ScopeView,
  after: string | null,
): Promise<{ rows: FirstOutRow[]; next: string | null }> {
  if (after !== null && !KEY.test(after)) {
    throw new Problem(400, 'invalid', '“after” is not a key this list gave.');
  }
  const { household, today } = context;
  const packages = await readAsking(sql(), household.id, {
    today,
    after,
    limit: ROWS + 1,
    zoneIds: scope.zone_ids,
  });
  const page = packages.slice(0, ROWS);
  const last = page.at(-1);
  const over = after === null && scope.zone_ids === null ? await readOverTime(context, page) : [];
  return {
    rows: toRows([...over, ...page], context),
    next: packages.length > ROWS && last ? firstOutKey(last) : null,
  };
}

/** What stood out of the cold for too long while nobody looked: it asks whatever its date says. */
async function readOverTime(context: HouseholdContext, shown: readonly Package[]): Promise<Package[]> {
  const onCounter = await readCounter(context.household);
  return onCounter.filter(
    (found) =>
      toPackageView(found, context).verdict === 'discard' && !shown.some(({ id }) => id === found.id),
  );
}

/** What is near its date and has had its answer. */
export async function readAnsweredRows(context: HouseholdContext, scope: ScopeView): Promise<FirstOutRow[]> {
  const packages = await readAnswered(sql(), context.household.id, {
    today: context.today,
    limit: MOST_ANSWERED,
    zoneIds: scope.zone_ids,
  });
  return toRows(packages, context);
}
