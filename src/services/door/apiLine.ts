import type { IntakeLine } from '@/core/model/intakeLine';

/** A line as the API takes it: the same keys in snake case. */
export function toApiLine({ priceMinor, openedOn, frozenOn, counterSince, ...line }: IntakeLine) {
  return {
    ...line,
    price_minor: priceMinor,
    opened_on: openedOn,
    frozen_on: frozenOn,
    ...(counterSince === undefined ? {} : { counter_since: counterSince }),
  };
}
