import { addDays } from '@/core/calendar/calendarDate';
import type { Haul, HaulLine, HaulPart } from '@/core/model/haul';
import { type LabelText, labelText } from '@/core/labels/labelText';
import { tapeWords } from '@/core/labels/tapeWords';
import { asFrozen } from '@/core/ledger/package/asFrozen';
import type { Package } from '@/core/model/package';
import type { Container } from '@/core/model/container';
import { type AmountUnit, sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readContainers } from '@/store/containers';
import { readCode, readHaulLines, readLastPacked, readLatestHauls, readOpenHaul } from '@/store/hauls';
import { type BoughtLot, readBought } from '@/store/bought';
import { readPackages } from '@/store/packages';
import { freezerCold } from './freezerCold';
import { type HouseholdContext, viewContext } from '../household/context';

/** A packed package of a haul, with its label. */
export interface HaulPack {
  id: string;
  code: string;
  version: number;
  line: string;
  part: number;
  amount: number;
  amount_words: string;
  /** Its exact share of the line's price. */
  price_minor: number | null;
  /** Still on the counter. */
  waiting: boolean;
  zone: { id: string; name: string } | null;
  gone: boolean;
  label: LabelText;
  /** Printed as frozen, though it is still on the counter. */
  to_freeze: boolean;
  tape: string[];
}

/** What a food cost when it was bought last. */
export interface LastBuy {
  on: string;
  /** Minor units for a kilo, a litre or a piece. */
  minor: number;
  unit: AmountUnit;
}

export interface HaulView {
  now: string;
  today: string;
  haul: Haul | null;
  lines: HaulLine[];
  packs: HaulPack[];
  last_buys: Record<string, LastBuy>;
  /** How each food was split the last time. */
  last_split: Record<string, { amount: number; unit: AmountUnit; parts: HaulPart[]; preparation: string[] }>;
  usual: { food: string; name: string; amount: number; unit: AmountUnit }[];
  /** The haul before this one, to begin from. */
  before: {
    name: string;
    lines: { food: string; called: string; amount: number; unit: AmountUnit }[];
    /** Photos of its receipt, by id. */
    receipts: readonly string[];
  } | null;
  containers: Container[];
}

const BUYS_DAYS = 180;
const MOST_BUYS = 2000;
const MOST_USUAL = 10;

function lastBuys(lots: readonly BoughtLot[], ids: ReadonlySet<string>): Record<string, LastBuy> {
  const buys: Record<string, LastBuy> = {};
  for (const { foodId, priceMinor, amount, unit, startOn } of lots) {
    if (priceMinor === null || buys[foodId] || !ids.has(foodId)) continue;
    const minor = Math.round((priceMinor / amount) * (unit === 'pc' ? 1 : 1000));
    buys[foodId] = { on: startOn, minor, unit };
  }
  return buys;
}

function usualOf(lots: readonly BoughtLot[], { reference }: HouseholdContext): HaulView['usual'] {
  const seen = new Map<string, { lot: BoughtLot; times: number }>();
  for (const lot of lots) {
    const known = seen.get(lot.foodId);
    if (known) known.times += 1;
    else seen.set(lot.foodId, { lot, times: 1 });
  }
  return [...seen.values()]
    .sort((a, b) => b.times - a.times || (a.lot.foodId < b.lot.foodId ? -1 : 1))
    .slice(0, MOST_USUAL)
    .flatMap(({ lot }) => {
      const food = reference.byId.get(lot.foodId);
      return food ? [{ food: food.id, name: food.name, amount: lot.amount, unit: lot.unit }] : [];
    });
}

/** Ids of the packages of a part of a line, in order. */
export function packagesOfPart(line: HaulLine, part: number): string[] {
  const before = line.parts.slice(0, part).reduce((sum, { amounts }) => sum + amounts.length, 0);
  const count = line.parts[part]?.amounts.length ?? 0;
  return (line.packages ?? []).slice(before, before + count);
}

/** A package as its label shows it: what is meant for the freezer, as frozen today. */
function labelled(item: Package, part: HaulPart | undefined, context: HouseholdContext) {
  const food = context.reference.byId.get(item.foodId);
  const freezes = part?.goes === 'freezer' && item.counterSince !== null && item.state !== 'frozen';
  const { today, household, kitchen } = context;
  const shown =
    freezes && food
      ? asFrozen(item, food, today, household.settings.caution, freezerCold(kitchen, part?.zone ?? null))
      : item;
  const label = labelText(shown, food, household.settings);
  return { label, tape: tapeWords(label), to_freeze: shown !== item };
}

async function readPacks(lines: readonly HaulLine[], context: HouseholdContext): Promise<HaulPack[]> {
  const { household, kitchen } = context;
  const ids = lines.flatMap(({ packages }) => packages ?? []);
  const found = await readPackages(sql(), household.id, ids);
  const zones = new Map(kitchen.zones.map((zone) => [zone.id, zone]));
  return lines.flatMap((line) =>
    line.parts.flatMap((part, at) =>
      packagesOfPart(line, at).flatMap((id): HaulPack[] => {
        const item = found.get(id);
        if (!item) return [];
        const zone = item.zoneId === null ? undefined : zones.get(item.zoneId);
        return [
          {
            id,
            code: item.code,
            version: item.version,
            line: line.id,
            part: at,
            amount: item.amount,
            amount_words: sayAmount(item.amount, item.unit),
            price_minor: item.priceMinor,
            waiting: item.gone === null && item.counterSince !== null,
            zone: zone ? { id: zone.id, name: zone.name } : null,
            gone: item.gone !== null,
            ...labelled(item, part, context),
          },
        ];
      }),
    ),
  );
}

/** The haul that is open, else none, with all the bench needs to work on it. */
export async function readHaulView(): Promise<HaulView> {
  const context = await viewContext();
  const { household, today, at } = context;
  const [haul, latest, bought, containers] = await Promise.all([
    readOpenHaul(sql(), household.id),
    readLatestHauls(sql(), household.id, 2),
    readBought(sql(), household.id, addDays(today, -BUYS_DAYS), MOST_BUYS),
    readContainers(sql(), household.id),
  ]);
  const lines = haul ? await readHaulLines(sql(), household.id, haul.id) : [];
  const previous = latest.find(({ id }) => id !== haul?.id) ?? null;
  const previousLines = previous ? await readHaulLines(sql(), household.id, previous.id) : [];
  const foods = [
    ...new Set([...lines.map(({ food }) => food), ...usualOf(bought, context).map(({ food }) => food)]),
  ];
  const [packs, splits] = await Promise.all([
    readPacks(lines, context),
    readLastPacked(sql(), household.id, foods),
  ]);
  // What is on the bench now is no last buy of itself.
  const packedNow = new Set(lines.filter((line) => line.packages !== null).map(({ food }) => food));
  const before = bought.filter(({ foodId, startOn }) => !(packedNow.has(foodId) && startOn === today));
  return {
    now: at,
    today,
    haul,
    lines,
    packs,
    last_buys: lastBuys(before, new Set(foods)),
    last_split: Object.fromEntries(
      [...splits.values()]
        .filter((line) => line.haul !== haul?.id)
        .map(({ food, amount, unit, parts, preparation }) => [food, { amount, unit, parts, preparation }]),
    ),
    usual: usualOf(bought, context),
    before:
      previous && previousLines.length > 0
        ? {
            name: previous.name,
            receipts: previous.receipts ?? [],
            lines: previousLines.map(({ food, called, amount, unit }) => ({ food, called, amount, unit })),
          }
        : null,
    containers,
  };
}

/** What a scanned code stands for. */
export async function readLearnedCode(code: string) {
  const { household } = await viewContext();
  return { code, means: await readCode(sql(), household.id, code) };
}
