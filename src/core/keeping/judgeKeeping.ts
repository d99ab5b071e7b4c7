import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayDelicate } from '../foods/forWhom';
import { asControlled } from '../foods/openedFood';
import type { Food } from '../model/food';
import { Refusal } from '../model/refusal';
import { frozenDates } from './frozenDates';
import { boughtFrozenDates } from './boughtFrozenDates';
import { counterDates } from './counterDates';
import { softenedDates, warmedDates } from './cutDates';
import { findingDates } from './findingDates';
import {
  type HistoryEvent,
  type KeepingConditions,
  type PackageState,
  type ThawMethod,
  type TrailLine,
  USUAL_CONDITIONS,
} from '../model/history';
import { governingOf, type KeepingCase, type KeepingState, noteRule } from './keepingState';
import { joinedDates } from './joinedDates';
import { movedDates } from './movedDates';
import { openedDates } from './openedDates';
import { printedDates } from './printedDates';
import { keptOutDates } from './keptOutDates';
import { refrozenDates } from './refrozenDates';
import { isStartEvent, START_WORDS, startDates } from './startDates';
import { chilledRate } from './spoilageRate';
import { thawedDates, thawingDates } from './thawedDates';
import { toppedUpDates } from './toppedUpDates';
import { washedDates } from './washedDates';

export type Band = 'settled' | 'soon' | 'today' | 'past';
export type Verdict = 'eat' | 'look-first' | 'discard';

/** The food as it is by now. */
function foodNow(food: Food, { spoils, thawDays }: KeepingState): Food {
  if (!spoils && thawDays === null) return food;
  const now = spoils ? asControlled(food) : food;
  return thawDays === null ? now : { ...now, thawedDays: Math.min(now.thawedDays ?? 1, thawDays) };
}

/** All that the history says, whatever day it is. Kept with the package; {@link keepingOn} adds today. */
export interface Keeping {
  state: PackageState;
  startOn: CalendarDate;
  openedOn: CalendarDate | null;
  useBy: CalendarDate | null;
  bestBy: CalendarDate;
  governing: { date: CalendarDate; kind: 'use-by' | 'best-by' };
  /** To be thrown out whatever the dates say (K10, K12). */
  condemned: boolean;
  /** Temperature its clocks run at, °C. */
  celsius: number;
  /** Minutes out of the cold so far (K10). */
  counterMinutes: number;
  /** Days of safety remembered while it is frozen (K6); `null`: none are. */
  daysRemembered: number | null;
  /** It has a safety date: its food does, or it was cut or put together with what does. */
  controlled: boolean;
  /** How it was thawed last; `null`: it was not, since it was last frozen. */
  thawedBy: ThawMethod | null;
  /** The day its safety ended, whatever is done since. */
  endsOn: CalendarDate | null;
  trail: TrailLine[];
}

/** How a package stands on a day. */
export interface KeepingToday {
  daysLeft: number;
  band: Band;
  verdict: Verdict;
}

const CAUTION_SOURCE = 'public advice for people at higher risk';

function begin(kase: KeepingCase, event: HistoryEvent): KeepingState {
  if (!isStartEvent(event)) {
    throw new Refusal('K2', 'A history begins with bought, cooked, harvested or given.');
  }
  return {
    state: 'chilled',
    startOn: event.on,
    lastOn: event.on,
    useBy: null,
    bestBy: event.on,
    openedOn: null,
    daysRemembered: null,
    thawed: null,
    spoils: false,
    inFreezer: false,
    turning: false,
    thawDays: null,
    counterMinutes: 0,
    clockMinutes: 0,
    openedMinutes: 0,
    caps: { useBy: null, bestBy: null },
    celsius: kase.conditions.fridgeC,
    condemned: false,
    endsOn: null,
    trail: [],
  };
}

function tellStart(state: KeepingState, kase: KeepingCase, event: HistoryEvent, own: boolean): void {
  if (!isStartEvent(event)) return;
  const { food, conditions } = kase;
  const frozen = event.frozen ?? false;
  if (frozen) boughtFrozenDates(state, kase, event.c);
  else startDates(state, kase, event.did, own);
  if (event.about)
    noteRule(state, 'A1', event.about, 'as remembered by the household; the earliest day it can mean');
  const rate = chilledRate(state.celsius);
  if (!frozen && rate > 1) {
    noteRule(
      state,
      'K9',
      `The fridge stands at ${state.celsius} °C: chilled days pass ${rate.toFixed(1)} times as fast.`,
      'our fit to public time and temperature data',
    );
  }
  if (food.wished) noteRule(state, 'wish', food.wished, 'your household’s own wish');
  const delicate = conditions.caution === 'careful' ? sayDelicate(food) : '';
  if (delicate) noteRule(state, 'K13', delicate, CAUTION_SOURCE);
}

/** True for what no maker packed: made or picked at home, sold loose, or given open (K3, K3b). */
const isOwn = (first: HistoryEvent, rest: readonly HistoryEvent[]): boolean =>
  isStartEvent(first) &&
  (first.did === 'cooked' ||
    first.did === 'harvested' ||
    first.loose === true ||
    (first.did === 'given' && rest.some(({ did, on }) => did === 'opened' && on <= first.on)));

/** Cooking makes a new lot: all clocks start again from a dish that was safe to cook (K2, K8). */
function cookAnew(state: KeepingState, kase: KeepingCase, event: HistoryEvent): KeepingState {
  if (!kase.recorded && (state.condemned || (state.useBy !== null && event.on > state.useBy))) {
    throw new Refusal('K2', 'It was past its use by: cooking does not make it safe. Throw it out.');
  }
  return { ...begin(kase, event), useBy: state.useBy, bestBy: state.bestBy, trail: state.trail };
}

function tell(state: KeepingState, kase: KeepingCase, event: HistoryEvent): KeepingState {
  const { on } = event;
  switch (event.did) {
    case 'cooked': {
      const fresh = cookAnew(state, kase, event);
      tellStart(fresh, kase, event, true);
      return fresh;
    }
    case 'bought':
    case 'harvested':
    case 'given':
      throw new Refusal('K2', `It was there already; it cannot be ${START_WORDS[event.did]} again.`);
    case 'opened':
      openedDates(state, kase, on);
      break;
    case 'frozen':
      if (state.thawed === null) frozenDates(state, kase, on, event.c);
      else refrozenDates(state, kase, on, event.c);
      break;
    case 'refrozen':
      refrozenDates(state, kase, on, event.c);
      break;
    case 'thawing':
      thawingDates(state, kase, on, event.c);
      break;
    case 'thawed':
      thawedDates(state, kase, on, event.method);
      break;
    case 'moved':
      movedDates(state, kase, on, event.c);
      break;
    case 'counter':
      counterDates(state, kase, event);
      break;
    case 'kept-out':
      keptOutDates(state, kase, on);
      break;
    case 'topped-up':
      toppedUpDates(state, kase, event);
      break;
    case 'joined':
      joinedDates(state, kase, event);
      break;
    case 'warmed':
      warmedDates(state, event);
      break;
    case 'softened':
      softenedDates(state, kase, event.back, event.days);
      break;
    case 'washed':
      washedDates(state, on, event.dried);
      break;
    case 'found-turning':
    case 'found-bad':
      findingDates(state, on, event.did === 'found-bad');
  }
  return state;
}

/**
 * The keeping engine: tells a package's history event by event and gives its dates with the trail of rules (RULES K1
 * to K13).
 *
 * @param history events in the order they happened; the first begins the lot
 * @param today no event may be later
 * @throws Refusal with the rule, when an event cannot follow what was before it
 */
export function judgeKeeping(
  food: Food,
  history: readonly HistoryEvent[],
  today: CalendarDate,
  conditions: KeepingConditions = USUAL_CONDITIONS,
): Keeping {
  const kase: KeepingCase = { food, conditions, recorded: (conditions.recorded ?? 0) > 0 };
  const [first, ...rest] = history;
  if (!first) throw new Refusal('K2', 'There is no history yet.');
  if (first.on > today) throw new Refusal('K2', `${first.on} is still to come.`);
  let state = begin(kase, first);
  tellStart(state, kase, first, isOwn(first, rest));
  if (conditions.printed && state.state === 'chilled')
    printedDates(state, kase, conditions.printed, isOwn(first, rest));
  for (const [at, event] of rest.entries()) {
    if (event.on > today) throw new Refusal('K2', `${event.on} is still to come.`);
    if (event.on < state.startOn)
      throw new Refusal('K2', `${event.on} is before the food came in, ${state.startOn}.`);
    if (event.on < state.lastOn)
      throw new Refusal('K2', `${event.on} is before what happened on ${state.lastOn}.`);
    // Cooking begins a new lot of the plain food.
    const now = event.did === 'cooked' ? food : foodNow(food, state);
    const next = { ...kase, food: now, recorded: at + 1 < (conditions.recorded ?? 0) };
    state = tell(state, next, event);
    state.lastOn = event.on;
  }
  return {
    state: state.state,
    startOn: state.startOn,
    openedOn: state.openedOn,
    useBy: state.useBy,
    bestBy: state.bestBy,
    governing: { date: governingOf(state), kind: state.useBy === null ? 'best-by' : 'use-by' },
    condemned: state.condemned,
    celsius: state.celsius,
    counterMinutes: state.counterMinutes,
    daysRemembered: state.daysRemembered,
    controlled: food.controlled || state.spoils,
    thawedBy: state.thawed?.method ?? null,
    endsOn: state.endsOn,
    trail: state.trail,
  };
}

/** How near a date is: past, today, soon (3 days, frozen 30), else settled. */
export function bandOn(date: CalendarDate, state: PackageState, today: CalendarDate): Band {
  const daysLeft = daysBetween(today, date);
  if (daysLeft < 0) return 'past';
  if (daysLeft === 0) return 'today';
  return daysLeft <= (state === 'frozen' ? 30 : 3) ? 'soon' : 'settled';
}

/** Days left (negative once past), band and verdict of a package on a day. */
export function keepingOn(
  keeping: Pick<Keeping, 'state' | 'useBy' | 'bestBy' | 'governing' | 'condemned'>,
  today: CalendarDate,
): KeepingToday {
  const daysLeft = daysBetween(today, keeping.governing.date);
  const band = bandOn(keeping.governing.date, keeping.state, today);
  const unsafe = keeping.condemned || (keeping.useBy !== null && keeping.useBy < today);
  return { daysLeft, band, verdict: unsafe ? 'discard' : keeping.bestBy < today ? 'look-first' : 'eat' };
}
