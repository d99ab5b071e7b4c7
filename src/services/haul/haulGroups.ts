import { daysBetween } from '@/core/calendar/calendarDate';
import type { Food } from '@/core/model/food';
import type { HaulLine, HaulPart } from '@/core/model/haul';
import type { Package } from '@/core/model/package';
import type { Container } from '@/core/model/container';
import { packedLitres } from '@/core/packaging/packedLitres';
import { liesClosed } from '@/core/placement/liesClosed';
import type { PlacingPackage } from '@/core/placement/placing';
import { gramsOf, packLayout, type PackLayout } from '@/core/portions/packLayout';
import { packingOf } from '@/core/portions/packing';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import type { HouseholdContext } from '../household/context';
import { packagesOfPart } from './haul';

/** Packs of one part that still want a place. */
export interface HaulGroup {
  key: string;
  line: HaulLine;
  at: number;
  part: HaulPart;
  food: Food;
  amounts: number[];
  /** A name for each pack, to tell them apart. */
  names: string[];
  /** Of those that are packed, in the order of the amounts. */
  packages: Package[];
  daysLeft: number;
}

/** The groups of packs that are not put away yet, open lines as they are planned. */
export async function readGroups(
  context: HouseholdContext,
  lines: readonly HaulLine[],
): Promise<HaulGroup[]> {
  const { household, reference, today } = context;
  const packages = await readPackages(
    sql(),
    household.id,
    lines.flatMap((line) => line.packages ?? []),
  );
  return lines.flatMap((line) => {
    const food = reference.byId.get(line.food);
    if (!food) return [];
    return line.parts.flatMap((part, at): HaulGroup[] => {
      const here = packagesOfPart(line, at).flatMap((id) => {
        const found = packages.get(id);
        return found && found.gone === null && found.counterSince !== null ? [found] : [];
      });
      if (line.packages !== null && here.length === 0) return [];
      const left = here[0]
        ? daysBetween(today, here[0].governingDate)
        : (food.fridgeDaysMax ?? 30) - daysBetween(line.start.on, today);
      const amounts = here.length > 0 ? here.map(({ amount }) => amount) : part.amounts;
      return [
        {
          key: `${line.id}:${at}`,
          line,
          at,
          part,
          food,
          daysLeft: left,
          amounts,
          names: amounts.map((_, nth) => `${line.id}:${at}:${nth}`),
          packages: here,
        },
      ];
    });
  });
}

export function layoutOf(
  { part, line, food, amounts }: HaulGroup,
  containers: readonly Container[],
): PackLayout {
  const own = containers.find(({ id }) => id === part.container) ?? null;
  return packLayout(packingOf(part.packing), { amount: Math.max(...amounts), unit: line.unit }, food, own);
}

/** The largest piece of it that does not give, mm; `null`: it gives. */
function rigidOf(layout: PackLayout): [number, number, number] | null {
  const whole = (...mm: [number, number, number]): [number, number, number] => {
    const [long, wide, high] = mm;
    return [Math.round(long), Math.round(wide), Math.round(high)];
  };
  if (layout.kind === 'vessel') return whole(layout.diameterMm, layout.diameterMm, layout.heightMm);
  if (layout.kind === 'round') return whole(layout.diameterMm, layout.diameterMm, layout.diameterMm);
  if (layout.kind === 'lump' && layout.heightMm > 40) {
    return whole(layout.lengthMm, layout.widthMm, layout.heightMm);
  }
  return null;
}

export function toPlacing(
  group: HaulGroup,
  state: 'chilled' | 'frozen',
  takes: number,
  containers: readonly Container[],
): PlacingPackage {
  const { form, wrap } = packingOf(group.part.packing);
  const { line } = group;
  const { unit } = line;
  return {
    id: group.key,
    food: group.food,
    closed: liesClosed(
      { opened: line.openedOn !== null, wrap, did: line.start.did, loose: false },
      group.food,
    ),
    state,
    litres: group.amounts.reduce(
      (sum, amount) => sum + packedLitres({ amount, unit, form, wrap }, group.food.densityKgPerL),
      0,
    ),
    rigidMm: rigidOf(layoutOf(group, containers)),
    daysLeft: state === 'frozen' ? null : group.daysLeft,
    takesPerWeek: takes,
  };
}

/** Whole grams of some amounts of it. */
export const gramsIn = ({ line, food }: HaulGroup, amounts: readonly number[]): number =>
  Math.round(amounts.reduce((sum, amount) => sum + gramsOf(amount, line.unit, food.densityKgPerL), 0));

/** The same packs with only those that are wanted. */
export function somePacks(
  group: HaulGroup,
  key: string,
  wanted: (pack: string) => boolean,
): HaulGroup | null {
  const mine = group.names.map((name) => wanted(name));
  const only = <Item>(all: readonly Item[]): Item[] => all.filter((_, at) => mine[at]);
  if (!mine.includes(true)) return null;
  return {
    ...group,
    key,
    amounts: only(group.amounts),
    names: only(group.names),
    packages: group.packages.length === 0 ? [] : only(group.packages),
  };
}
