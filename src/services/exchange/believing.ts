import { doubtHistory } from '@/core/ledger/package/doubtHistory';
import type { Package } from '@/core/model/package';
import type { Sql } from '@/store/database';
import { type Household, lockHousehold } from '@/store/households';
import type { SectionRow } from '@/store/sections';
import { todayIn } from '../door/clock';
import { loadReference, type Reference } from '../household/household';

/** What is told of packages in a document, as far as it is believed. */
export interface Believing {
  household: Household;
  reference: Reference;
  /** @returns the image itself, or the package as past where its history cannot be */
  believed: (image: Package) => Package;
}

export async function believing(db: Sql, householdId: number): Promise<Believing> {
  const household = await lockHousehold(db, householdId);
  if (!household) throw new Error('the household that is coming in is gone');
  const reference = await loadReference(db, householdId);
  const today = todayIn(household.timeZone);
  const { caution } = household.settings;
  return {
    household,
    reference,
    believed: (image) => {
      const food = reference.byId.get(image.foodId);
      return food ? doubtHistory(image, { today, caution, food: () => food }) : image;
    },
  };
}

/** What an undo would bring back is doubted like what is here. */
export function believedEvent(row: SectionRow, { believed }: Believing): SectionRow {
  if (row.package_id === null) return row;
  const image = (told: unknown): unknown => (told ? believed(told as Package) : told);
  return { ...row, before_image: image(row.before_image), after_image: image(row.after_image) };
}
