import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { instantInZone } from '@/core/calendar/instantInZone';
import { sayLevel } from '@/core/ledger/shopping/setLevel';
import { sayLine } from '@/core/ledger/shopping/writeShopping';
import type { Kit, Level, PackSize, ShoppingLine } from '@/core/model/kept';
import { type MayEat, mayOffer } from '@/core/keeping/mayEat';
import { neededPacks, type Standing } from '@/core/shopping/neededPacks';
import { sayStanding } from '@/core/shopping/sayStanding';
import type { StockRow } from '@/core/stock/stockRow';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { type BoughtLot, readBought } from '@/store/bought';
import { sql } from '@/store/database';
import { type EatenRow, readEaten } from '@/store/eaten';
import { readKept } from '@/store/kept';
import { readFirstAt } from '@/store/commands';
import { type HouseholdContext, viewContext } from '../household/context';
import { readStockRows } from '../stock/stockRows';
import groupNames from './groupNames.json';

/** A line of the list as it is shown. */
export interface ShoppingLineView {
  line: ShoppingLine;
  words: string;
  group: string;
  /** "You have 3, the oldest from May …"; empty for what is no food. */
  have: string;
  /** What one pack is as a rule. */
  usual: PackSize | null;
  /** What one pack cost the last time, in words and minor units. */
  last_words: string;
  last_minor: number | null;
}

/** A food with a level, and how it stands. */
export interface LevelView {
  food: string;
  name: string;
  group: string;
  level: Level;
  level_words: string;
  says: string;
  size: PackSize | null;
  size_words: string;
  need: number;
  /** So many of it are on the list already. */
  listed: number;
}

export interface ShoppingView {
  lines: ShoppingLineView[];
  levels: LevelView[];
  /** Groups in the order of the household's way through the shop, those of the list only, each with its name. */
  groups: { id: string; name: string }[];
  /** All groups, in that order. */
  order: string[];
  kits: KitView[];
  total_words: string;
}

/** A kit, and what is missing for all of its sets. */
export interface KitView {
  kit: Kit;
  ready: number;
  missing: { food: string; called: string; amount: number; unit: PackSize['unit']; words: string }[];
  says: string;
}

const LOOKS_BACK_DAYS = 56;
/** A house that is younger is counted as if it were a week old: what was eaten on one day is no pace. */
const LEAST_DAYS = 7;
const SHOPS_EVERY_DAYS = 7;
const PRICES_DAYS = 365;
const MOST_LOTS = 2000;
const NAMES: Readonly<Record<string, string>> = groupNames;

/** What a food keeps when it is bought fresh; `null`: it is frozen here as a rule, or keeps for months. */
function keepsDays(food: string, rows: readonly StockRow[], { reference }: HouseholdContext): number | null {
  const known = reference.byId.get(food);
  const days = known?.fridgeDaysMax ?? null;
  if (days === null || days > 60) return null;
  const frozen = rows.filter(({ state }) => state === 'frozen').length;
  return rows.length > 0 && frozen * 2 >= rows.length ? null : days;
}

/** Minor units of one pack the last time it was bought, as near as the lots tell. */
function lastPrice(lots: readonly BoughtLot[], food: string | null, size: PackSize | null): number | null {
  const lot = lots.find(({ foodId, priceMinor }) => foodId === food && priceMinor !== null);
  if (!lot || lot.priceMinor === null) return null;
  if (!size || size.unit !== lot.unit) return lot.priceMinor;
  return Math.round((lot.priceMinor * size.amount) / lot.amount);
}

interface Known {
  rows: ReadonlyMap<string, StockRow[]>;
  eaten: ReadonlyMap<string, EatenRow[]>;
  days: number;
}

const NO_LEVEL: Level = { kind: 'on-offer', packs: 1, size: null };

function standingOf(food: string, level: Level, known: Known, context: HouseholdContext): Standing {
  const rows = known.rows.get(food) ?? [];
  return neededPacks(rows, level, known.eaten.get(food) ?? [], {
    today: context.today,
    days: known.days,
    everyDays: SHOPS_EVERY_DAYS,
    keepsDays: keepsDays(food, rows, context),
    mayEat: context.mayEat,
  });
}

const byFood = <Row extends { foodId: string }>(rows: readonly Row[]): Map<string, Row[]> => {
  const found = new Map<string, Row[]>();
  for (const row of rows) {
    const its = found.get(row.foodId);
    if (its) its.push(row);
    else found.set(row.foodId, [row]);
  }
  return found;
};

/** How many sets of a kit can be filled from what is here and nobody's, and what the rest of them lacks. */
function toKit(kit: Kit, rows: ReadonlyMap<string, StockRow[]>, mayEat: MayEat): KitView {
  const parts = kit.parts.map((part) => {
    const free = (rows.get(part.food) ?? []).filter(
      (row) => row.unit === part.unit && row.whose === '' && !row.handsOff && mayOffer(mayEat(row)),
    );
    return { part, there: free.reduce((sum, { amount }) => sum + amount, 0) };
  });
  const ready = Math.min(kit.sets, ...parts.map(({ part, there }) => Math.floor(there / part.amount)));
  const missing = parts.flatMap(({ part, there }) => {
    const amount = part.amount * kit.sets - there;
    return amount > 0 ? [{ ...part, amount, words: `${part.called} ${sayAmount(amount, part.unit)}` }] : [];
  });
  const says =
    missing.length === 0
      ? `${kit.sets} of ${kit.sets} can be filled from what is here.`
      : `${ready} of ${kit.sets} can be filled; missing: ${missing.map(({ words }) => words).join(', ')}.`;
  return { kit, ready, missing, says };
}

/** The shopping list, the levels with what they lack, and the kits. */
export async function readShopping(): Promise<ShoppingView> {
  const context = await viewContext();
  const { household, reference, today } = context;
  const kept = await readKept(sql(), household.id, ['level', 'shopping', 'shop-order', 'kit']);
  const lines = [...kept.shopping.values()];
  const foods = [...new Set([...kept.level.keys(), ...lines.flatMap(({ food }) => food ?? [])])];
  const since = addDays(today, -LOOKS_BACK_DAYS);
  const [all, eaten, lots, firstAt] = await Promise.all([
    readStockRows(household, today),
    readEaten(sql(), household.id, instantInZone(since, '00:00', household.timeZone), foods),
    readBought(sql(), household.id, addDays(today, -PRICES_DAYS), MOST_LOTS),
    readFirstAt(sql(), household.id),
  ]);
  const age = firstAt === null ? 0 : daysBetween(dateInZone(firstAt, household.timeZone), today);
  const known: Known = {
    rows: byFood(all),
    eaten: byFood(eaten),
    days: Math.min(LOOKS_BACK_DAYS, Math.max(LEAST_DAYS, age)),
  };
  const groupOf = (food: string | null): string =>
    food === null ? '' : (reference.byId.get(food)?.group ?? '');
  const nameOf = (food: string): string => reference.byId.get(food)?.name ?? food;
  const told = kept['shop-order'].get('') ?? [];
  const order = [...told, ...Object.keys(NAMES).filter((group) => !told.includes(group))];
  const place = (group: string): number => order.indexOf(group);
  const views = lines
    .map((line): ShoppingLineView => {
      const group = groupOf(line.food);
      const standing =
        line.food === null
          ? null
          : standingOf(line.food, kept.level.get(line.food) ?? NO_LEVEL, known, context);
      const minor = lastPrice(lots, line.food, line.size ?? standing?.size ?? null);
      return {
        line,
        words: sayLine(line),
        group,
        have: standing ? sayStanding(standing, today) : '',
        usual: standing?.size ?? null,
        last_words: minor === null ? '' : `${sayMoney(minor, household.currency)} the last time`,
        last_minor: minor,
      };
    })
    .sort((a, b) => place(a.group) - place(b.group) || a.line.called.localeCompare(b.line.called));
  const levels = [...kept.level]
    .map(([food, level]): LevelView => {
      const standing = standingOf(food, level, known, context);
      const size = standing.size;
      return {
        food,
        name: nameOf(food),
        group: groupOf(food),
        level,
        level_words: sayLevel(level),
        says: sayStanding(standing, today),
        size,
        size_words: size ? sayAmount(size.amount, size.unit) : '',
        need: standing.need,
        listed: lines.filter((line) => line.food === food).reduce((sum, { packs }) => sum + packs, 0),
      };
    })
    .sort((a, b) => b.need - a.need || a.name.localeCompare(b.name));
  const wanted = views.filter(({ line }) => !line.ticked);
  const minor = wanted.reduce((sum, { last_minor, line }) => sum + (last_minor ?? 0) * line.packs, 0);
  const unknown = wanted.filter(({ last_minor }) => last_minor === null).length;
  return {
    lines: views,
    levels,
    groups: order.flatMap((id) =>
      views.some(({ group }) => group === id) ? [{ id, name: NAMES[id] ?? id }] : [],
    ),
    order,
    kits: [...kept.kit.values()].map((kit) => toKit(kit, known.rows, context.mayEat)),
    total_words:
      wanted.length === 0 || minor === 0
        ? ''
        : `about ${sayMoney(minor, household.currency)}${unknown > 0 ? `, and ${unknown} without a price` : ''}`,
  };
}
