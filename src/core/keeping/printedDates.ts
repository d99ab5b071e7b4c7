import { sayPlainDate } from '../calendar/sayDate';
import type { PrintedDate } from './history';
import { type KeepingCase, type KeepingState, noteRule, notAfter, setDates } from './keepingState';

const MAKER = "the maker's printed date";

/**
 * Rule K3: what a printed date does to a package that is unopened and was never frozen. A use-by (or freeze-by, until
 * frozen) is the earlier of it and K2 on a raw animal food, and takes over on any other. A best-before becomes the
 * best by; except on raw animal food it also carries an earlier use by up to it. A sell-by sets nothing.
 */
export function printedDates(state: KeepingState, { food }: KeepingCase, printed: PrintedDate): void {
  const raw = food.readiness === 'raw-animal';
  const shown = sayPlainDate(printed.date);
  const { kind, date } = printed;
  switch (kind) {
    case 'use-by':
    case 'freeze-by': {
      const useBy = raw && state.useBy !== null ? notAfter(state.useBy, date) : date;
      const says = raw
        ? `Printed ${kind} ${shown}: on raw animal food the earlier of it and our figure counts.`
        : `Printed ${kind} ${shown}: the maker's date counts while the package is closed.`;
      setDates(state, 'K3', { useBy, bestBy: state.bestBy }, says, MAKER);
      return;
    }
    case 'best-before': {
      const carried = !raw && state.useBy !== null && state.useBy < date ? date : state.useBy;
      const says = raw
        ? `Printed best-before ${shown}: the best by; the use by stays ours on raw animal food.`
        : `Printed best-before ${shown}: the maker vouches for the closed package.`;
      setDates(state, 'K3', { useBy: carried, bestBy: date }, says, MAKER);
      return;
    }
    case 'sell-by':
      noteRule(state, 'K3', `Printed sell-by ${shown}: for the shop, it sets nothing here.`, MAKER);
  }
}
