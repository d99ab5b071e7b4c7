import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { Refusal } from '../model/refusal';
import { countedMinutes, MOST_COUNTER_MINUTES } from './counterMinutes';
import {
  capGoverning,
  type KeepingCase,
  type KeepingState,
  noteRule,
  notAfter,
  setDates,
} from './keepingState';
import { days } from './startDates';

const MINUTES_A_DAY = 24 * 60;
const COUNTER_SOURCE = 'FoodSafety.gov: two hours out of the cold, one above 32 °C';

/** The governing date, and only it, moved to the day the minutes were up, for good. */
function end(state: KeepingState, on: CalendarDate, says: string, source: string): void {
  capGoverning(state, on);
  const useBy = notAfter(state.useBy, on);
  const bestBy = state.useBy === null ? (notAfter(state.bestBy, on) ?? on) : state.bestBy;
  setDates(state, 'K10', { useBy, bestBy }, says, source);
}

function condemn(state: KeepingState, on: CalendarDate, says: string, source: string): void {
  state.condemned = true;
  state.endsOn ??= on;
  end(state, on, says, source);
}

/** Minutes that cannot have been, since the food has not been there that long. @throws Refusal K10 */
function refuseOverlap(state: KeepingState, on: CalendarDate): void {
  if (state.clockMinutes > (daysBetween(state.startOn, on) + 1) * MINUTES_A_DAY) {
    throw new Refusal(
      'K10',
      'More minutes out of the cold than have gone by since it came in: some are told twice.',
    );
  }
}

/** Not controlled: its own counter days; once opened the hours of its class; else a note after a day. */
function qualityStay(state: KeepingState, { food }: KeepingCase, on: CalendarDate, before: number): void {
  const { counterDaysMax, warmHours, source } = food;
  if (counterDaysMax !== null) {
    if (state.counterMinutes < counterDaysMax * MINUTES_A_DAY) return;
    end(state, on, `Out of the cold for its ${days(counterDaysMax)} and more: look at it first.`, source);
  } else if (warmHours !== undefined && state.openedOn !== null) {
    if (state.openedMinutes < warmHours * 60) return;
    condemn(state, on, `Open and out of the cold for ${warmHours} hours in all: throw it out.`, source);
  } else if (before < MINUTES_A_DAY && state.counterMinutes >= MINUTES_A_DAY) {
    noteRule(state, 'K10', 'Out of the cold for more than a day in all: look at it first.', source);
  }
}

/**
 * Rule K10: minutes out of the cold add up over a package's life, in every state: 120 in all, 60 above 32 °C (so a hot minute
 * counts for two). Hard-frozen food has 15 minutes of grace each time. A food with counter days of its own follows those; one
 * that is not controlled the hours of its class once it is open.
 *
 * @param stay minutes by the clock; `hot` above 32 °C, `soft` when it was not hard frozen then
 * @throws Refusal K10 for more minutes than there have been
 */
export function counterDates(
  state: KeepingState,
  kase: KeepingCase,
  {
    on,
    minutes,
    hot = false,
    soft = false,
  }: { on: CalendarDate; minutes: number; hot?: boolean; soft?: boolean },
): void {
  state.clockMinutes += minutes;
  if (!kase.recorded) refuseOverlap(state, on);
  const before = state.counterMinutes;
  const counted = countedMinutes(soft ? 'chilled' : state.state, minutes, hot);
  state.counterMinutes += counted;
  if (state.openedOn !== null) state.openedMinutes += counted;
  if (!kase.food.controlled) {
    if (state.state !== 'frozen') qualityStay(state, kase, on, before);
    return;
  }
  if (state.counterMinutes < MOST_COUNTER_MINUTES || state.condemned) return;
  condemn(
    state,
    on,
    'Out of the cold for two hours in all (one above 32 °C): throw it out. Freezing does not set the minutes back.',
    COUNTER_SOURCE,
  );
}
