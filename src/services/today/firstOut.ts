import { firstOutKey } from '@/core/firstout/firstOutKey';
import type { Package } from '@/core/model/package';
import { sql } from '@/store/database';
import { sayDueDate } from '@/core/calendar/sayDate';
import { isFreezerDay } from '@/core/firstout/askOn';
import { readAnswered, readAsking, readComing, readPlanned } from '@/store/today';
import { type HouseholdContext, readCounter } from '../household/context';
import { type HeadsUp, toHeadsUp } from './headsUp';
import { type PackageView, toPackageView } from '../stock/packageView';
import { Problem } from '../door/problem';

/** Packages alike: one question for all of them, one row of first out. The first to go stands for the row. */
export interface FirstOutRow {
  view: PackageView;
  /** "8 × 500 ml", "3 packages". */
  group_words: string;
  /** Where and until when the others are, when that differs; empty: all alike. */
  others_words: string;
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
const MOST_COMING = 60;
const MOST_FROZEN = 400;

/** What the same answer fits: food, state, whether it is past, and what was answered. */
function rowKey(found: Package, view: PackageView): string {
  return [
    view.food.name,
    view.food.id,
    view.governing.kind,
    view.unit,
    view.state,
    view.opened,
    view.verdict,
    view.days_left < 0,
    found.answer?.what,
    found.answer?.day,
  ].join('|');
}

function groupWords(views: readonly PackageView[]): string {
  const [first] = views;
  if (!first) return '';
  const alike = views.every(({ amount }) => amount === first.amount);
  if (!alike) return `${views.length} packages`;
  if (first.unit === 'pc' && first.amount === 1 && views.length > 1) return `${views.length} packs`;
  return views.length === 1 ? first.amount_words : `${views.length} × ${first.amount_words}`;
}

function othersWords(views: readonly PackageView[]): string {
  const [first] = views;
  const last = views.at(-1);
  if (!first || !last || first === last) return '';
  const places = new Set(views.map(({ zone }) => zone?.name ?? 'counter'));
  const dates = last.governing.date === first.governing.date ? '' : `the last ${last.due_words}`;
  const where = places.size > 1 ? `in ${places.size} places` : '';
  return [where, dates].filter((part) => part !== '').join(', ');
}

function toRows(packages: readonly Package[], context: HouseholdContext): FirstOutRow[] {
  const groups = new Map<string, { found: Package; view: PackageView }[]>();
  for (const found of packages) {
    const view = toPackageView(found, context);
    const key = rowKey(found, view);
    groups.set(key, [...(groups.get(key) ?? []), { found, view }]);
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group;
    if (!first) return [];
    const views = group.map(({ view }) => view);
    return {
      view: first.view,
      group_words: groupWords(views),
      others_words: othersWords(views),
      heads_up: toHeadsUp(first.found, first.view, context),
      packages: group.map(({ found: { id, code, version } }) => ({ id, code, version })),
    };
  });
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

/** What comes near its date and does not ask yet: chilled food of the next days. */
export async function readComingRows(context: HouseholdContext, scope: ScopeView): Promise<FirstOutRow[]> {
  const packages = await readComing(sql(), context.household.id, {
    today: context.today,
    limit: MOST_COMING,
    zoneIds: scope.zone_ids,
    frozen: false,
  });
  return toRows(packages, context);
}

/** What comes near its date in one freezer: a line a week, answered at once. */
export interface FreezerRow {
  appliance: string;
  name: string;
  /** "14 packages come near their date, the first Trout on 9 Feb". */
  says: string;
  packages: { id: string; code: string; version: number }[];
  zone: string;
}

/** Once a week, for each freezer, what comes near its date and had no answer. */
export async function readFreezerRows(context: HouseholdContext, scope: ScopeView): Promise<FreezerRow[]> {
  if (!isFreezerDay(context.today)) return [];
  const packages = await readComing(sql(), context.household.id, {
    today: context.today,
    limit: MOST_FROZEN,
    zoneIds: scope.zone_ids,
    frozen: true,
  });
  const byAppliance = new Map<string, Package[]>();
  for (const found of packages) {
    const zone = context.kitchen.zones.find(({ id }) => id === found.zoneId);
    if (zone) byAppliance.set(zone.applianceId, [...(byAppliance.get(zone.applianceId) ?? []), found]);
  }
  return [...byAppliance].flatMap(([appliance, found]) => {
    const [first] = found;
    const zone = context.kitchen.zones.find(({ id }) => id === first?.zoneId);
    if (!first || !zone) return [];
    const count =
      found.length === 1
        ? 'One package comes near its date'
        : `${found.length} packages come near their date`;
    return {
      appliance,
      name: zone.applianceName,
      says: `${count}; first ${first.called}, ${sayDueDate(first.governingDate, context.today)}`,
      packages: found.map(({ id, code, version }) => ({ id, code, version })),
      zone: zone.id,
    };
  });
}

/** What was answered “eat tonight” or planned, until it is taken or dropped: first out first. */
export async function readToEatRows(context: HouseholdContext, scope: ScopeView): Promise<FirstOutRow[]> {
  const packages = await readPlanned(sql(), context.household.id, {
    today: context.today,
    limit: MOST_ANSWERED,
    zoneIds: scope.zone_ids,
  });
  return toRows(
    packages.filter(({ answer }) => answer?.what === 'eat-tonight' || answer?.what === 'plan'),
    context,
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
