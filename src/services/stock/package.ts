import { sayFullDate } from '@/core/calendar/sayDate';
import { forWhom } from '@/core/foods/forWhom';
import { isUntrue } from '@/core/labels/isUntrue';
import type { PrintedDate, TrailLine } from '@/core/model/history';
import { partOpens } from '@/core/ledger/package/partOpens';
import { sayMoney } from '@/core/units/sayAmount';
import { readPackageCode } from '@/core/labels/readPackageCode';
import { sql } from '@/store/database';
import { readPackageByCode } from '@/store/packages';
import { viewContext } from '../household/context';
import { type HeadsUp, toHeadsUp } from '../today/headsUp';
import { type PackageView, toPackageView } from './packageView';
import { Problem } from '../door/problem';

/** One package with the trail of its date, and where it may go. */
export interface PackageDetail extends PackageView {
  trail: TrailLine[];
  price_words: string | null;
  /** Its clocks stand still, also while it is out on the counter for a moment. */
  hard_frozen: boolean;
  /** Whether taking a part opens what stays; `ask`: only the cook knows. */
  part_opens: ReturnType<typeof partOpens>;
  today: string;
  heads_up: HeadsUp;
  /** It may be kept out of the cold by design. */
  may_stay_out: boolean;
  cap: number | null;
  printed: PrintedDate | null;
  /** The day it was frozen here; `null`: it never was. */
  frozen_on: string | null;
  /** Minutes out of the cold before now (K10). */
  minutes_out: number;
  old_codes: string[];
  /** What its label says, where that is not true any more; empty: it is, or it has none. */
  label_words: string;
  /** The id of its photo. */
  photo: string | null;
  /** It may be put back though it is gone: taken today, or lost. */
  may_come_back: boolean;
}

/** The package that carries a code. @throws Problem 404 */
export async function readPackage(code: string): Promise<PackageDetail> {
  const context = await viewContext();
  const { household, reference } = context;
  const found = await readPackageByCode(sql(), household.id, readPackageCode(code));
  if (!found || found.gone?.how === 'undone') {
    throw new Problem(404, 'not-found', `No package carries the code ${code.toUpperCase().slice(0, 12)}.`);
  }
  const view = toPackageView(found, context);
  const food = reference.byId.get(found.foodId);
  const counterDays = food?.counterDaysMax ?? null;
  return {
    ...view,
    not_for: food ? forWhom(food, household.settings) : '',
    today: context.today,
    heads_up: toHeadsUp(found, view, context),
    may_stay_out: counterDays !== null && found.state === 'chilled',
    cap: found.cap,
    printed: found.printed,
    frozen_on: found.history.findLast(({ did }) => did === 'frozen')?.on ?? null,
    minutes_out: found.counterMinutes,
    old_codes: found.oldCodes ?? [],
    label_words: isUntrue(found) ? sayFullDate(found.labelled ?? found.governingDate) : '',
    photo: found.photo ?? null,
    may_come_back:
      found.gone?.how === 'lost' || (found.gone?.how === 'taken' && found.gone.on === context.today),
    trail: found.trail,
    price_words: found.priceMinor === null ? null : sayMoney(found.priceMinor, household.currency),
    hard_frozen: found.state === 'frozen',
    part_opens: food ? partOpens(found, food) : 'opens',
  };
}
