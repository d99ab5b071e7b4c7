import { isAnswered } from '../../firstout/askOn';
import type { LedgerEvent, Package } from '../../model/package';

/** True when a package's date went by with no answer while it was in the store, and that is not written down yet. */
export function passedUnanswered(found: Package, today: string): boolean {
  return (
    found.gone === null &&
    found.governingDate < today &&
    found.cameOn <= found.governingDate &&
    !isAnswered(found) &&
    !found.unanswered.includes(found.governingDate)
  );
}

/**
 * Writes down that a date had gone by unanswered before whatever happens now: an answer, a freezing or the bin that
 * comes too late does not undo that nobody looked in time.
 */
export function settlePassing(event: LedgerEvent, today: string): LedgerEvent {
  const { before, after } = event;
  if (before === null || event.type === 'package.undone' || !passedUnanswered(before, today)) return event;
  return { ...event, after: { ...after, unanswered: [...after.unanswered, before.governingDate] } };
}
