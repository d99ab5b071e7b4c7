import type { CalendarDate } from '../calendar/calendarDate';

/** What the order needs to know of a package. */
export interface FirstOutPackage {
  code: string;
  governingDate: CalendarDate;
  governingKind: 'use-by' | 'best-by';
  openedOn: CalendarDate | null;
  startOn: CalendarDate;
}

/**
 * First out as one text that sorts: shortest governing date first, then safety before quality, then opened before
 * whole, then oldest start, then code. Kept with the package and indexed, so that a list in this order is one range
 * read and a page of it begins after a key.
 */
export function firstOutKey(found: FirstOutPackage): string {
  return [
    found.governingDate,
    found.governingKind === 'use-by' ? '0' : '1',
    found.openedOn === null ? '1' : '0',
    found.startOn,
    found.code,
  ].join(' ');
}
