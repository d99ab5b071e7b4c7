import { addMonths } from '../calendar/addMonths';
import { type CalendarDate, earlier } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { sayMonths } from './frozenDates';
import { capGoverning, type KeepingCase, type KeepingState, notAfter, setDates } from './keepingState';
import { frozenRate } from './spoilageRate';

const SOURCE = 'FoodSafety.gov power outage chart';

/**
 * A power cut left it above 4.4 °C for less than its limit (O1), or thawed for less (O3): whatever else, it is used by that day.
 *
 * @param limit the last day; `ends`: it was frozen and has to be cooked, so no freezing makes it later; `out`: it is to be thrown out
 */
export function warmedDates(
  state: KeepingState,
  { limit, ends = false, out = false }: { limit: CalendarDate; ends?: boolean; out?: boolean },
): void {
  if (out) state.condemned = true;
  if (state.daysRemembered !== null) state.daysRemembered = ends ? 0 : Math.min(state.daysRemembered, 1);
  capGoverning(state, limit);
  if (ends) state.endsOn = earlier(state.endsOn, limit);
  setDates(
    state,
    ends ? 'O3' : 'O1',
    {
      useBy: ends ? (earlier(state.useBy, limit) ?? limit) : notAfter(state.useBy, limit),
      bestBy: ends || state.useBy === null ? (earlier(state.bestBy, limit) ?? limit) : state.bestBy,
    },
    out
      ? 'A power cut was too long for it: throw it out.'
      : ends
        ? `It thawed in a power cut: cooked by ${sayPlainDate(limit)}, or thrown out.`
        : `It warmed in a power cut: eaten by ${sayPlainDate(limit)}.`,
    SOURCE,
  );
}

/**
 * It softened in a power cut and froze again where it lay (O8): as after any refreezing half of the shortest freezer figure is left
 * at most, and the days it was soft are spent (K8, K6).
 *
 * @param on the day the power was back, @param days it was soft, at least 1
 */
export function softenedDates(state: KeepingState, kase: KeepingCase, on: CalendarDate, days: number): void {
  const months = (kase.food.freezerMonthsMin ?? 0) / 2 / frozenRate(state.celsius);
  const limit = addMonths(on, months);
  if (state.daysRemembered !== null) state.daysRemembered = Math.max(0, state.daysRemembered - days);
  capGoverning(state, limit);
  setDates(
    state,
    'O8',
    { useBy: state.useBy, bestBy: earlier(state.bestBy, limit) ?? limit },
    `It softened in a power cut and froze again: best within ${sayMonths(months)}, with some loss of texture.`,
    SOURCE,
  );
}
