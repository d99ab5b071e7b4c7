import { daysBetween } from '@/core/calendar/calendarDate';
import { sayDueDate, sayFullDate } from '@/core/calendar/sayDate';
import { type ChoiceKind, whatIf } from '@/core/keeping/whatIf';
import { conditionsOf } from '@/core/ledger/package/conditionsOf';
import { counterOf } from '@/core/ledger/package/judgePackage';
import type { Package } from '@/core/model/package';
import { readPackageCode } from '@/core/labels/readPackageCode';
import { sql } from '@/store/database';
import { readPackageByCode } from '@/store/packages';
import { type HouseholdContext, viewContext } from '../household/context';
import { freezerCold } from '../haul/freezerCold';
import { Problem } from '../door/problem';

/** One choice, the date it would give, and how far off that is. */
export interface WhatIfView {
  key: string;
  choice: ChoiceKind;
  /** "Freeze on Thu". */
  says: string;
  on: string;
  date: string | null;
  kind: 'use-by' | 'best-by' | null;
  /** "use by Friday 4 December 2026". */
  date_words: string;
  days: number | null;
  refused: string | null;
}

/** How many days on freezing is tried, today among them. */
const FREEZE_DAYS = 5;

/** What a raw food is judged as once it is cooked, by its group. */
const COOKED_AS: Readonly<Record<string, string>> = {
  'raw-meat': 'stew',
  'raw-poultry': 'chicken-cooked',
  'raw-fish': 'fish-cooked',
  shellfish: 'shellfish-cooked',
  vegetable: 'vegetables-cooked',
  egg: 'eggs-hard-boiled',
};

function saysChoice(choice: ChoiceKind, on: string, today: string, cookedAs: string): string {
  const day = on === today ? 'today' : sayDueDate(on, today);
  switch (choice) {
    case 'leave':
      return 'Leave it';
    case 'open':
      return 'Open it now';
    case 'freeze':
      return on === today ? 'Freeze it now' : `Freeze it ${day === 'tomorrow' ? day : `on ${day}`}`;
    case 'thaw':
      return 'Move it down to thaw';
    case 'cook':
      return `Cook it (kept as ${cookedAs.toLowerCase()})`;
  }
}

/** The choices for a package as screens and the API show them. */
function toWhatIf(found: Package, context: HouseholdContext): WhatIfView[] {
  const { reference, today, household, kitchen, at } = context;
  const food = reference.byId.get(found.foodId);
  if (!food) return [];
  const cooked = reference.byId.get(COOKED_AS[food.group] ?? '') ?? null;
  // What was accepted stays so, and the minutes it stands out now count like any others.
  const history = [...found.history, ...counterOf(found, { today, at, now: at })];
  const told = conditionsOf(found, food, household.settings.caution, true);
  const conditions = { ...told, recorded: history.length };
  const cold = freezerCold(kitchen);
  return whatIf(food, history, conditions, today, FREEZE_DAYS, cooked, cold).map(
    ({ choice, on, governing, refused }): WhatIfView => ({
      key: `${choice}-${on}`,
      choice,
      says: saysChoice(choice, on, today, cooked?.name ?? food.name),
      on,
      date: governing?.date ?? null,
      kind: governing?.kind ?? null,
      date_words: governing
        ? `${governing.kind === 'use-by' ? 'use by' : 'best by'} ${sayFullDate(governing.date)}`
        : '',
      days: governing ? daysBetween(today, governing.date) : null,
      refused,
    }),
  );
}

/** GET /api/v1/packages/{code}/what-if. @throws Problem 404 */
export async function readWhatIf(code: string): Promise<{ code: string; choices: WhatIfView[] }> {
  const context = await viewContext();
  const found = await readPackageByCode(sql(), context.household.id, readPackageCode(code));
  if (!found || found.gone) {
    throw new Problem(
      404,
      'not-found',
      `No package in the store carries the code ${code.toUpperCase().slice(0, 12)}.`,
    );
  }
  return { code: found.code, choices: toWhatIf(found, context) };
}
