import { daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import type { Food } from '../model/food';
import { type Eaters, forWhom } from '../foods/forWhom';
import { soldSealed } from '../foods/soldSealed';
import type { Caution, HistoryEvent } from '../model/history';
import { isOfUnknownAge, isStart, START_WORDS } from '../keeping/startDates';
import { judgeKeeping } from '../keeping/judgeKeeping';
import { conditionsOf } from '../ledger/package/conditionsOf';
import type { Package } from '../model/package';
import { sayAmount } from '../units/sayAmount';
import { type Standing, thenDo } from './thenDo';

/** What stands on one label. */
export interface LabelText {
  name: string;
  amount: string;
  code: string;
  happened: string;
  due: string;
  thenDo: string;
  /** Whom it is not for, by name (K14); empty: it is for everybody. */
  notFor: string;
}

/** Events that are no news on a label. */
const UNTOLD: readonly HistoryEvent['did'][] = ['moved', 'counter', 'washed', 'found-turning', 'found-bad'];

/** What happened last; of what nobody knows the age of, the day it came into the books. */
function happenedLine({ history, cameOn }: Pick<Package, 'history' | 'cameOn'>): string {
  if (isOfUnknownAge(history)) return `in stock since ${sayPlainDate(cameOn)}`;
  const told = [...history].reverse().find(({ did }) => !UNTOLD.includes(did));
  if (!told) return '';
  const frozen = 'frozen' in told && told.frozen === true ? ' frozen' : '';
  const word = isStart(told.did)
    ? `${START_WORDS[told.did]}${frozen}`
    : told.did === 'thawing'
      ? 'thawing since'
      : told.did;
  const [first] = history;
  // How old a dinner is stays on it, whatever happened since.
  const cooked =
    first?.did === 'cooked' && told !== first
      ? `cooked ${sayPlainDate(first.on).replace(/ \d{4}$/, '')}, `
      : '';
  return `${cooked}${word} ${sayPlainDate(told.on)}`;
}

/** Days of safety it has once thawed, by its own clock: what was spent before freezing stays spent (K6). */
function thawDays(item: Package, food: Food, caution: Caution): number | null {
  if (item.state !== 'frozen' || !food.controlled) return null;
  const on = item.history.at(-1)?.on ?? item.startOn;
  const thawed: HistoryEvent[] = [...item.history, { did: 'thawed', on, method: 'fridge' }];
  const conditions = { ...conditionsOf(item, food, caution), recorded: item.history.length };
  const { useBy } = judgeKeeping(food, thawed, on, conditions);
  return useBy === null ? null : Math.max(0, daysBetween(on, useBy));
}

function standingOf(item: Package, food: Food, caution: Caution): Standing {
  const { state, openedOn } = item;
  const open = openedOn !== null && food.openedDaysMax !== null && state !== 'frozen';
  return {
    state,
    openDays: open ? Math.max(0, daysBetween(openedOn, item.governingDate)) : null,
    thawDays: thawDays(item, food, caution),
  };
}

/** "400 g"; of what is counted in pots or bottles, "6 pots". */
function amountLine({ amount, unit }: Pick<Package, 'amount' | 'unit'>, food: Food | undefined): string {
  const kind = unit === 'pc' && food ? soldSealed(food) : undefined;
  const word = amount === 1 ? kind?.one : kind?.many;
  return [sayAmount(amount, unit), ...(word ? [word] : [])].join(' ');
}

/** By which school its printed date was read (K3, K3c), where that decided; empty: it did not. */
function schoolOf({ trail, printed, state, openedOn, governingDate }: Package): string {
  if (printed === null || state !== 'chilled' || openedOn !== null) return '';
  if (trail.some(({ rule }) => rule === 'K3c')) return 'by the maker’s date, while closed';
  return printed.kind === 'use-by' && governingDate < printed.date ? 'shorter than the pack’s own date' : '';
}

/**
 * What stands on the label of a package: both dates, what to do with it, and the cook's own note before that.
 *
 * @param eaters who eats here, and how careful the household is
 */
export function labelText(item: Package, food: Food | undefined, eaters: Eaters): LabelText {
  const kind = item.governingKind === 'use-by' ? 'use by' : 'best by';
  const about = item.note.startsWith('about') ? 'about ' : '';
  const told = [
    item.note.replace(/^about, by eye( · )?/, ''),
    schoolOf(item),
    food ? thenDo(food, standingOf(item, food, eaters.caution)) : '',
  ];
  return {
    name: item.called,
    amount: [about + amountLine(item, food), item.form ?? ''].filter((part) => part !== '').join(' · '),
    code: item.code,
    happened: happenedLine(item),
    due: `${kind} ${sayPlainDate(item.governingDate)}`,
    thenDo: told.filter((part) => part !== '').join(' · '),
    notFor: food ? forWhom(food, eaters, false).replace(/^N/, 'n').replace(/\.$/, '') : '',
  };
}
