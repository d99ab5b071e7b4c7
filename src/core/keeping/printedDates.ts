import { addDays, type CalendarDate, daysBetween, earlier } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { Refusal } from '../model/refusal';
import type { PrintedDate } from '../model/history';
import { type KeepingCase, type KeepingState, noteRule, notAfter, setDates } from './keepingState';
import { chilledRate, slowedDays } from './spoilageRate';

/** No printed date lies further off, in years; a later one is a slip. */
const FURTHEST_YEARS = 20;
const MAKER = "the maker's printed date";
/** A closed pack of raw animal food is not believed for longer, days. */
const MOST_CLOSED_DAYS = 14;
/** Eggs are used within so many days of their best-before. */
const EGG_DAYS = 2;
const SCHOOL = 'UK and EU guidance on use-by dates, as your household chose';

/**
 * Rule K3c: the use by that a household gives a closed pack which goes by the maker's date. Raw animal food: the printed use-by, even
 * where K2 is earlier; eggs in shell: two days after their best-before, never later than K2.
 *
 * @returns `null`: the rule is not for this
 */
function byTheMaker(
  state: KeepingState,
  { food, conditions }: KeepingCase,
  { kind, date }: PrintedDate,
): { useBy: CalendarDate; cap: CalendarDate; says: string } | null {
  if (conditions.caution !== 'printed') return null;
  const shown = sayPlainDate(date);
  if (food.outageClass === 'eggs-in-shell' && kind === 'best-before' && state.useBy !== null) {
    const cap = addDays(date, EGG_DAYS);
    const says = `Printed best-before ${shown}: eggs are used within ${EGG_DAYS} days of it, and never later than our figure.`;
    return { useBy: notAfter(state.useBy, cap) ?? cap, cap, says };
  }
  if (food.readiness !== 'raw-animal' || kind !== 'use-by') return null;
  const cap = earlier(date, addDays(state.startOn, MOST_CLOSED_DAYS)) ?? date;
  const days = Math.max(0, daysBetween(state.startOn, cap));
  // In a warm zone the pack ages as fast as anything (K9).
  const useBy = earlier(cap, addDays(state.startOn, slowedDays(days, chilledRate(state.celsius)))) ?? cap;
  const least = cap < date ? `, at most ${MOST_CLOSED_DAYS} days after it came in` : '';
  return {
    useBy,
    cap,
    says: `Printed use-by ${shown}: the maker's date counts while the pack is closed${least}.`,
  };
}

/**
 * Rules K3 and K3c: what a printed date does to a package that is unopened and was never frozen. A use-by (or freeze-by, until
 * frozen) is the earlier of it and K2 on a raw animal food, and takes over on any other. A best-before becomes the
 * best by; except on raw animal food it also carries an earlier use by up to it. A sell-by sets nothing.
 *
 * @param own no maker packed it: the date lengthens nothing
 * @throws Refusal K3 for a date more than 20 years off
 */
export function printedDates(
  state: KeepingState,
  kase: KeepingCase,
  printed: PrintedDate,
  own: boolean,
): void {
  const { food } = kase;
  if (Number(printed.date.slice(0, 4)) > Number(state.startOn.slice(0, 4)) + FURTHEST_YEARS) {
    throw new Refusal('K3', `A printed date of ${sayPlainDate(printed.date)} cannot be right.`);
  }
  const early =
    printed.date < state.startOn ? ' It lies before the day the food came in: check the label.' : '';
  // Nobody vouches for what is home-made, picked, loose or given open: such a date may only shorten.
  const raw = own || food.readiness === 'raw-animal';
  const shown = sayPlainDate(printed.date);
  const { kind, date } = printed;
  const made = own ? null : byTheMaker(state, kase, printed);
  if (made) {
    state.caps.useBy = made.cap;
    if (kind === 'best-before') state.caps.bestBy = date;
    const bestBy = kind === 'best-before' ? date : state.bestBy;
    setDates(state, 'K3c', { useBy: made.useBy, bestBy }, made.says + early, SCHOOL);
    return;
  }
  switch (kind) {
    case 'use-by':
    case 'freeze-by': {
      const useBy = raw && state.useBy !== null ? notAfter(state.useBy, date) : date;
      state.caps.useBy = date;
      const says = raw
        ? `Printed ${kind} ${shown}: on ${own ? 'what no maker packed' : 'raw animal food'} the earlier of it and our figure counts.`
        : `Printed ${kind} ${shown}: the maker's date counts while the package is closed.`;
      setDates(state, 'K3', { useBy, bestBy: state.bestBy }, says + early, MAKER);
      return;
    }
    case 'best-before': {
      const carried = !raw && state.useBy !== null && state.useBy < date ? date : state.useBy;
      const says = raw
        ? `Printed best-before ${shown}: the best by; the use by stays ours on ${own ? 'what no maker packed' : 'raw animal food'}.`
        : `Printed best-before ${shown}: the maker vouches for the closed package.`;
      // The maker vouches until that day and no further, wherever the package is moved.
      if (carried === date) state.caps.useBy = date;
      state.caps.bestBy = date;
      const bestBy = own ? (earlier(state.bestBy, date) ?? date) : date;
      setDates(state, 'K3', { useBy: carried, bestBy }, says + early, MAKER);
      return;
    }
    case 'sell-by':
      noteRule(state, 'K3', `Printed sell-by ${shown}: for the shop, it sets nothing here.`, MAKER);
  }
}
