import { labelText } from '@/core/labels/labelText';
import { readPackageCode } from '@/core/labels/readPackageCode';
import { sql } from '@/store/database';
import { readPackageByCode } from '@/store/packages';
import { Problem } from '../door/problem';
import { inHousehold } from '../household/chosen';
import { viewContext } from '../household/context';
import { toPackageView } from '../stock/packageView';
import { readTake } from '../take/take';
import { countLook } from './attempts';
import { householdOfLabel } from './labelKey';
import { mustBe } from './whoAsks';

/** One thing a guest may take. */
export interface GuestTile {
  id: string;
  version: number;
  code: string;
  name: string;
  amount_words: string;
  due_words: string;
  packs: number;
}

/** What a guest sees of a kitchen: its name and what stands under “Help yourself”. */
export interface GuestView {
  household: string;
  ready: GuestTile[];
}

/** What stands under “Help yourself”, for anybody. */
export async function readGuest(): Promise<GuestView> {
  const { household } = await viewContext();
  const { ready } = await readTake();
  return {
    household: household.name,
    ready: ready.map(({ first, packs }) => ({
      id: first.id,
      version: first.version,
      code: first.code,
      name: first.food.name,
      amount_words: first.amount_words,
      due_words: first.due_words,
      packs,
    })),
  };
}

/** What one label says today: no more than stands on it, and whether it may still be eaten. */
export interface GuestLabel {
  code: string;
  name: string;
  amount_words: string;
  happened: string;
  due: string;
  then_do: string;
  left_words: string;
  /** Not to be eaten any more; or gone from the store. */
  unfit: boolean;
  gone: boolean;
  /** It stands under “Help yourself”: its tile. */
  tile: GuestTile | null;
}

async function labelOf(code: string, tiles: readonly GuestTile[]): Promise<GuestLabel> {
  const context = await viewContext();
  const found = await readPackageByCode(sql(), context.household.id, readPackageCode(code));
  if (!found || found.gone?.how === 'undone')
    throw new Problem(404, 'not-found', 'There is no such label here.');
  const view = toPackageView(found, context);
  const food = context.reference.byId.get(found.foodId);
  const { amount, happened, due, thenDo, notFor } = labelText(found, food, context.household.settings);
  return {
    code: found.code,
    name: view.food.name,
    amount_words: amount,
    happened,
    due,
    then_do: [notFor, thenDo].filter((part) => part !== '').join(' · '),
    left_words: view.left_words,
    unfit: view.verdict === 'discard' || view.verdict === 'ask',
    gone: found.gone !== null,
    tile: tiles.find((tile) => tile.code === found.code) ?? null,
  };
}

/** A label that a guest of the household scanned. @throws Problem 403, 404 */
export async function readLabelAsGuest(code: string): Promise<GuestLabel> {
  await mustBe('guest', 'cook', 'household', 'reader');
  return labelOf(code, (await readGuest()).ready);
}

/** A label read by the key that is printed on it, by whoever holds it. @throws Problem 404, 429 */
export async function readLabelByKey(code: string, key: string): Promise<GuestLabel> {
  const right = await countLook('label');
  const household = await householdOfLabel(code, key);
  if (household === null) throw new Problem(404, 'not-found', 'There is no such label here.');
  const label = await inHousehold(household, () => labelOf(code, []));
  await right();
  return label;
}
