import { addDays, type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { Refusal } from '../model/refusal';
import { type KeepingCase, type KeepingState, noteRule, notAfter, setDates } from './keepingState';
import { refuseCondemned } from './frozenDates';
import { frozenLife } from './frozenLife';
import { chilledRate, slowedDays } from './spoilageRate';

/** The dates that content of a given day would have by itself in this pot, as it stands now. */
function contentDates(state: KeepingState, kase: KeepingCase, content: CalendarDate) {
  const { food, conditions } = kase;
  if (state.state === 'frozen')
    return { useBy: null, bestBy: frozenLife(kase, content, state.celsius).bestBy };
  const rate = chilledRate(state.celsius);
  const most = slowedDays(food.fridgeDaysMax ?? 0, rate);
  const least = slowedDays(food.fridgeDaysMin ?? 0, rate);
  if (!food.controlled) return { useBy: null, bestBy: addDays(content, most) };
  return {
    useBy: addDays(content, conditions.caution === 'careful' ? least : most),
    bestBy: addDays(content, least),
  };
}

/**
 * Rule K11: a pot is as old as its oldest content. What is added may bring its dates forward, never put them back; once
 * its cap is reached it says "use me". Frozen content keeps the freezer's months from its own day.
 *
 * @throws Refusal K11 when the pot is thawing, to be thrown out, or past its date, or the content is not there yet
 */
export function toppedUpDates(
  state: KeepingState,
  kase: KeepingCase,
  event: { on: CalendarDate; content: CalendarDate; full?: boolean },
): void {
  refuseCondemned(state, kase, 'K11');
  if (state.state === 'thawing' || state.thawed !== null) {
    throw new Refusal('K11', 'It was thawed: nothing fresh goes on top of it.');
  }
  if (event.content > event.on) throw new Refusal('K11', 'What is added cannot be from a later day.');
  if (state.useBy !== null && event.on > state.useBy && !kase.recorded) {
    throw new Refusal('K11', `Its use by was ${sayPlainDate(state.useBy)}: throw it out, add nothing.`);
  }
  const own = contentDates(state, kase, event.content);
  if (own.useBy !== null && own.useBy < event.on && !kase.recorded) {
    throw new Refusal('K11', 'What is to be added is past its own date: throw that out.');
  }
  const older = event.content < state.startOn;
  if (older) state.startOn = event.content;
  if (state.daysRemembered !== null) {
    const spent = Math.max(0, daysBetween(event.content, event.on));
    const left = Math.max(0, slowedDays(kase.food.fridgeDaysMax ?? 0, 1) - spent);
    state.daysRemembered = Math.min(state.daysRemembered, left);
  }
  setDates(
    state,
    'K11',
    {
      useBy: own.useBy === null ? state.useBy : notAfter(state.useBy, own.useBy),
      bestBy: notAfter(state.bestBy, own.bestBy) ?? state.bestBy,
    },
    older
      ? `Topped up with something older, from ${sayPlainDate(event.content)}: the pot is as old as that now.`
      : `Topped up: the pot stays as old as its oldest content, from ${sayPlainDate(state.startOn)}.`,
    'the oldest content counts',
  );
  if (event.full) noteRule(state, 'K11', 'The pot is full: use me.', 'the pot’s own cap');
}
