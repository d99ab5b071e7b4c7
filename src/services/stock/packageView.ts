import { daysBetween } from '@/core/calendar/calendarDate';
import { sayDaysLeft, sayFullDate, sayKeptUntil, sayPastDate } from '@/core/calendar/sayDate';
import type { Food } from '@/core/model/food';
import { counterMinutesLeft } from '@/core/keeping/counterMinutes';
import type { HistoryEvent, PackageState, Wrap } from '@/core/model/history';
import { type Band, keepingOn } from '@/core/keeping/judgeKeeping';
import { asEdible, type Eatable, type EatingAnswer, type Edible } from '@/core/keeping/mayEat';
import { isOfUnknownAge, isStart, START_WORDS } from '@/core/keeping/startDates';
import { promisesOf } from '@/core/firstout/promised';
import { isHandsOff, sayKept, sayPromised } from '@/core/ledger/package/kept';
import type { Form } from '@/core/model/intakeLine';
import type { Package } from '@/core/model/package';
import { type AmountUnit, sayAmount } from '@/core/units/sayAmount';
import type { Kitchen, PlacedZone } from '@/store/kitchens';
import type { Reference } from '../household/household';

/** A zone by name, with its appliance. */
export interface PlaceView {
  id: string;
  name: string;
  appliance: string;
  cold: 'fridge' | 'freezer';
}

export const toPlace = ({ id, name, applianceName, cold }: PlacedZone): PlaceView => ({
  id,
  name,
  appliance: applianceName,
  cold,
});

/** A package as screens and the API show it: words ready to read, figures beside them. */
export interface PackageView {
  id: string;
  code: string;
  version: number;
  /** `name` as on the label, `judged_as` as in the reference table. */
  food: { id: string; name: string; judged_as: string };
  amount: number;
  unit: AmountUnit;
  amount_words: string;
  form: Form | null;
  wrap: Wrap | null;
  note: string;
  state: PackageState;
  opened: boolean;
  controlled: boolean;
  zone: PlaceView | null;
  counter_since: string | null;
  /** Safe minutes that are left out of the cold; `null` in a zone, or for food that may stand out. */
  minutes_left: number | null;
  start_on: string;
  use_by: string | null;
  best_by: string;
  governing: { date: string; kind: 'use-by' | 'best-by' };
  days_left: number;
  band: Band;
  verdict: Eatable;
  /** Why it is not simply eaten; empty: it is. */
  why: string;
  rule: string;
  /** Whom it is not for, in words (K14); empty: it is for everybody. */
  not_for: string;
  /** "tonight", "Thu", "4 Dec". */
  due_words: string;
  due_full: string;
  left_words: string;
  /** "Top shelf · cooked Sun". */
  story: string;
  /** Share of its time that is spent, 0 to 1. */
  spent: number;
  gone: Package['gone'];
  /** Whose it is, or for whom and when it is kept. */
  kept_for: { whose: string; on: string | null; hands_off: boolean; words: string } | null;
}

/** What turns packages into views for one household on one day. */
export interface ViewContext {
  reference: Reference;
  kitchen: Kitchen;
  today: string;
  /** Now, ISO 8601 UTC. */
  at: string;
  /** What may be done with something now: the one answer (L7). */
  mayEat: (found: Edible) => EatingAnswer;
}

const STORY_WORDS: Partial<Record<HistoryEvent['did'], string>> = {
  opened: 'opened',
  frozen: 'frozen',
  refrozen: 'frozen again',
  thawing: 'thawing since',
  thawed: 'thawed',
  'found-turning': 'found turning',
};

/** The last thing worth telling of a history, in words: "frozen 4 Dec", "cooked Sun". */
function lastStory({ history, cameOn }: Package, today: string): string {
  if (isOfUnknownAge(history)) return `in stock since ${sayPastDate(cameOn, today)}`;
  for (const event of [...history].reverse()) {
    const word = isStart(event.did) ? START_WORDS[event.did] : STORY_WORDS[event.did];
    if (word) return `${word} ${sayPastDate(event.on, today)}`;
  }
  return '';
}

/** The day from which the present clock runs: opened, frozen or thawed last, else its start. */
function clockStart(found: Package): string {
  const turning = found.history.filter(({ did }) => STORY_WORDS[did] !== undefined).at(-1);
  return turning?.on ?? found.startOn;
}

function spentShare(found: Package, today: string): number {
  const from = clockStart(found);
  const whole = daysBetween(from, found.governingDate);
  if (whole <= 0) return 1;
  return Math.min(1, Math.max(0, daysBetween(from, today) / whole));
}

/** The food of a package; a retired or unknown one still shows under its id. */
function foodOf(reference: Reference, id: string): Pick<Food, 'id' | 'name' | 'controlled'> {
  return reference.byId.get(id) ?? { id, name: id, controlled: true };
}

export function toPackageView(found: Package, context: ViewContext): PackageView {
  const { reference, kitchen, today, at } = context;
  const food = foodOf(reference, found.foodId);
  const zone = kitchen.zones.find(({ id }) => id === found.zoneId);
  const governing = { date: found.governingDate, kind: found.governingKind };
  const controlled = food.controlled || found.spoils === true;
  const left = counterMinutesLeft(found.counterMinutes, found.counterSince, at, found.state);
  const standing = keepingOn({ ...found, governing }, today);
  const answer = context.mayEat(asEdible(found));
  const place = zone ? zone.name : found.state === 'room' ? 'Kept out of the cold' : 'On the counter';
  return {
    id: found.id,
    code: found.code,
    version: found.version,
    food: { id: food.id, name: found.called, judged_as: food.name },
    amount: found.amount,
    unit: found.unit,
    amount_words: sayAmount(found.amount, found.unit),
    form: found.form,
    wrap: found.wrap,
    note: found.note,
    state: found.counterSince === null ? found.state : 'counter',
    opened: found.openedOn !== null,
    controlled,
    zone: zone ? toPlace(zone) : null,
    counter_since: found.counterSince,
    minutes_left: controlled && found.counterSince !== null ? left : null,
    start_on: found.startOn,
    use_by: found.useBy,
    best_by: found.bestBy,
    governing,
    days_left: standing.daysLeft,
    band: standing.band,
    verdict: answer.may,
    why: answer.says,
    rule: answer.rule,
    not_for: answer.notFor,
    due_words:
      standing.band === 'past' ? 'past' : sayKeptUntil(found.governingDate, today, found.state === 'frozen'),
    due_full: `${found.governingKind === 'use-by' ? 'use by' : 'best by'} ${sayFullDate(found.governingDate)}`,
    left_words: sayDaysLeft(standing.daysLeft),
    story: [
      place,
      lastStory(found, today),
      found.keptFor ? sayKept(found.keptFor) : '',
      sayPromised(promisesOf(found, today)),
      found.note,
    ]
      .filter((part) => part !== '')
      .join(' · '),
    spent: spentShare(found, today),
    gone: found.gone,
    kept_for: found.keptFor
      ? {
          whose: found.keptFor.whose,
          on: found.keptFor.on,
          hands_off: isHandsOff(found, today),
          words: sayKept(found.keptFor),
        }
      : null,
  };
}
