import { isNotFor } from '@/core/foods/forWhom';
import { groupStock } from '@/core/stock/groupStock';
import { LUNCH_SLOTS, lunchOptions, type LunchOption } from '@/core/stock/packLunch';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readPackages } from '@/store/packages';
import { chosenPerson } from '../household/person';
import { viewContext } from '../household/context';
import { type PackageView, toPackageView } from '../stock/packageView';
import { readStockRows } from '../stock/stockRows';
import { helpYourself } from '@/core/stock/helpYourself';

/** A tile to help oneself from: what goes first of a kind. */
export interface TileView {
  key: string;
  first: PackageView;
  packs: number;
}

export interface TakeView {
  people: string[];
  person: string | null;
  /** Ready to eat, cold and anybody's. */
  ready: TileView[];
  /** What is one's own, on this device. */
  mine: TileView[];
  /** Kept for somebody: not to be taken unasked. */
  handsOff: { code: string; words: string }[];
  lunch: { id: string; name: string; options: LunchOption[] }[];
}

const MOST_TILES = 48;

/** What may be taken without asking, and what lunches may be packed from. */
export async function readTake(): Promise<TakeView> {
  const context = await viewContext();
  const { household, reference, today, mayEat } = context;
  const [rows, told] = await Promise.all([readStockRows(household, today), chosenPerson()]);
  const { people } = household.settings;
  const person = people.find((name) => name === told) ?? null;
  const foodOf = (id: string) => reference.byId.get(id);
  const lunch = LUNCH_SLOTS.map((slot) => ({
    id: slot.id,
    name: slot.name,
    options: lunchOptions(rows, slot, foodOf, today, mayEat, household.settings.marks),
  }));
  // Nobody is offered what is not for her (K14).
  const risks = person === null ? [] : household.settings.marks[person];
  const free = helpYourself(rows, foodOf, today, mayEat).filter(
    ({ foodId }) => !isNotFor(foodOf(foodId) ?? {}, risks),
  );
  const groupsOf = (whose: string) =>
    groupStock(
      free.filter((row) => row.whose === whose),
      'food',
      today,
      () => '',
      mayEat,
    ).slice(0, MOST_TILES);
  const [anybodys, own] = [groupsOf(''), person === null ? [] : groupsOf(person)];
  const found = await readPackages(
    sql(),
    household.id,
    [...anybodys, ...own].map(({ first }) => first.id),
  );
  const tiles = (groups: ReturnType<typeof groupsOf>): TileView[] =>
    groups.flatMap(({ key, first, totals }) => {
      const one = found.get(first.id);
      return one && one.gone === null
        ? [{ key, first: toPackageView(one, context), packs: totals.packs }]
        : [];
    });
  return {
    people,
    person,
    ready: tiles(anybodys),
    mine: tiles(own),
    handsOff: rows
      .filter(({ handsOff, whose }) => handsOff || (whose !== '' && whose !== person))
      .map(({ code, called, amount, unit, whose }) => ({
        code,
        words: `${called} ${sayAmount(amount, unit)}${whose === '' ? '' : `, for ${whose}`}`,
      })),
    lunch,
  };
}
