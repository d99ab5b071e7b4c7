import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import type { Start } from '../model/history';
import type { Package } from '../model/package';
import kinds from './pantryKinds.json';

/** A package as far as giving it away goes. */
export type GivenPackage = Pick<
  Package,
  'state' | 'openedOn' | 'useBy' | 'governingDate' | 'governingKind' | 'counterMinutes'
> & { did: Start };

/** Who may have it. */
export interface MayGive {
  pantry: boolean;
  neighbours: boolean;
  /** Until when it should be with them. */
  until: CalendarDate;
  /** Why a food pantry does not take it; empty: it does. */
  why: string;
}

/** A pantry passes it on: days that must be left of a safety date, and of what is frozen. */
const PANTRY_DAYS = 2;
const KINDS: Readonly<Record<'chilled' | 'frozen' | 'dry' | 'never', readonly string[]>> = kinds;

/**
 * Who may be given a package in time: neighbours what is sound and closed, a food pantry only what was bought, is closed, in date for two
 * days more, and of a kind that pantries take (our own table, on the careful side; the local one says what it takes). `null`: nobody.
 *
 * @param sound it may be eaten without a look
 */
export function mayGive(
  found: GivenPackage,
  { group }: Pick<Food, 'group'>,
  today: CalendarDate,
  sound: boolean,
): MayGive | null {
  const { state, openedOn, governingDate, useBy } = found;
  if (!sound || openedOn !== null || state === 'thawing' || state === 'counter') return null;
  if (governingDate < today || (useBy !== null && useBy <= today)) return null;
  const left = daysBetween(today, governingDate);
  const kept = state === 'frozen' ? 'frozen' : state === 'room' ? 'dry' : 'chilled';
  const why =
    found.did === 'cooked'
      ? 'homemade'
      : found.did !== 'bought'
        ? 'not from a shop'
        : KINDS.never.includes(group) || !KINDS[kept].includes(group)
          ? 'of a kind pantries do not take'
          : left < PANTRY_DAYS
            ? 'too near its date for a pantry'
            : found.counterMinutes > 0
              ? 'stood out of the cold'
              : '';
  return { pantry: why === '', neighbours: true, until: governingDate, why };
}
