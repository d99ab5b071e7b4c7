import { earlier } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import type { HistoryEvent } from '../model/history';
import { refuseCondemned } from './frozenDates';
import { governingOf, type KeepingCase, type KeepingState, notAfter, setDates } from './keepingState';

/**
 * Rule K11: what is put together is as old as the older of the two. Each date is the earlier one of both, for good; the minutes
 * out of the cold are the more, the days left after thawing the fewer; a use by of either binds, and so does how either was thawed. Nothing
 * here can put a date back.
 *
 * @throws Refusal K11 when it is to be thrown out
 */
export function joinedDates(
  state: KeepingState,
  kase: KeepingCase,
  event: Extract<HistoryEvent, { did: 'joined' }>,
): void {
  refuseCondemned(state, kase, 'K11');
  const { startOn, useBy, bestBy, minutes, days, anew = false, thawed, thawDays, ends } = event;
  state.spoils ||= event.controlled ?? false;
  state.endsOn = earlier(state.endsOn, ends ?? null);
  if (thawDays !== undefined) state.thawDays = Math.min(state.thawDays ?? thawDays, thawDays);
  // What was thawed out of the fridge is never frozen again, whatever it was put to (K8).
  if (thawed !== undefined && state.state !== 'frozen' && (state.thawed === null || thawed !== 'fridge'))
    state.thawed = { on: event.on, method: thawed, from: event.on };
  state.startOn = earlier(state.startOn, startOn) ?? state.startOn;
  state.counterMinutes = Math.max(state.counterMinutes, minutes);
  state.clockMinutes = Math.max(state.clockMinutes, minutes);
  if (state.openedOn !== null) state.openedMinutes = Math.max(state.openedMinutes, minutes);
  if (days !== null) state.daysRemembered = Math.min(state.daysRemembered ?? days, days);
  state.caps.useBy = earlier(state.caps.useBy, useBy);
  state.caps.bestBy = earlier(state.caps.bestBy, bestBy);
  const before = governingOf(state);
  const dates = {
    useBy: earlier(earlier(state.useBy, useBy), ends ?? null),
    bestBy: notAfter(state.bestBy, bestBy) ?? state.bestBy,
  };
  const after = dates.useBy ?? dates.bestBy;
  const says = anew
    ? 'Packed anew: its clocks go on, and no date is later than it was.'
    : after < before
      ? `Put together with something older: dated ${sayPlainDate(after)} like that.`
      : 'Put together with something younger: it stays as old as it was.';
  setDates(state, 'K11', dates, says, 'the oldest content counts');
}
