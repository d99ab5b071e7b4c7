import type { CalendarDate } from '../calendar/calendarDate';

/** What the order needs to know of a package. */
export interface FirstOutPackage {
  code: string;
  governingDate: CalendarDate;
  governingKind: 'use-by' | 'best-by';
  opened: boolean;
  startOn: CalendarDate;
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/**
 * First out: the order in which to eat. Shortest governing date first, then safety before quality, then opened before
 * whole, then oldest start, then code. For `Array.sort`; the same order as the index `package_first_out`.
 */
export function firstOutOrder(a: FirstOutPackage, b: FirstOutPackage): number {
  return (
    compare(a.governingDate, b.governingDate) ||
    Number(b.governingKind === 'use-by') - Number(a.governingKind === 'use-by') ||
    Number(b.opened) - Number(a.opened) ||
    compare(a.startOn, b.startOn) ||
    compare(a.code, b.code)
  );
}
