import { keptPromises } from '../../firstout/promised';
import type { LedgerEvent } from '../../model/package';

/**
 * A package promises no more than is in it, whatever happened to it: what left promises nothing, what became less keeps the
 * earliest promises, what is new came without any.
 */
export function settlePromises(event: LedgerEvent): LedgerEvent {
  const { before, after } = event;
  const { promised } = after;
  if (promised === undefined || promised.length === 0) return event;
  const kept = before === null || after.gone ? [] : keptPromises(promised, after.amount);
  const same =
    kept.length === promised.length && kept.every((one, at) => one.amount === promised[at]?.amount);
  return same ? event : { ...event, after: { ...after, promised: kept } };
}
