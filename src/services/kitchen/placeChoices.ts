import { daysBetween } from '@/core/calendar/calendarDate';
import { packedLitres } from '@/core/packaging/packedLitres';
import { rankZones } from '@/core/placement/rankZones';
import { readPackageCode } from '@/core/labels/readPackageCode';
import { sql } from '@/store/database';
import { readPackageByCode } from '@/store/packages';
import { viewContext } from '../household/context';
import { isClosed, readKitchenContents } from './kitchenContents';
import { Problem } from '../door/problem';

/** A zone in a list for one package: the best is marked, and what speaks against the others is said. */
export interface PlaceChoice {
  id: string;
  name: string;
  appliance: string;
  best: boolean;
  /** What speaks for it; empty where something speaks against it. */
  why: string;
  /** What speaks against it; empty: nothing. */
  against: string;
  /** The rule that speaks hard against it; empty: none. */
  rule: string;
}

/** Zones for a package, chilled or frozen, the best first. @throws Problem 400 or 404 */
export async function readPlaceChoices(
  code: string,
  state: string,
): Promise<{ code: string; places: PlaceChoice[] }> {
  if (state !== 'chilled' && state !== 'frozen') {
    throw new Problem(400, 'invalid', '“state” is chilled or frozen.', {
      fields: [{ path: 'state', message: 'chilled or frozen' }],
    });
  }
  const context = await viewContext();
  const { household, reference, today } = context;
  const found = await readPackageByCode(sql(), household.id, readPackageCode(code));
  const food = found && reference.byId.get(found.foodId);
  const back = found?.gone == null || found.gone.how === 'taken' || found.gone.how === 'lost';
  if (!found || !food || !back) {
    throw new Problem(404, 'not-found', `No package in the store carries the code ${code.slice(0, 12)}.`);
  }
  const { zones, lying } = await readKitchenContents(context);
  const cold = state === 'frozen' ? 'freezer' : 'fridge';
  const ranked = rankZones(
    {
      id: found.id,
      food,
      closed: isClosed(found, food),
      state,
      litres: packedLitres(found, food.densityKgPerL),
      rigidMm: null,
      daysLeft: state === 'frozen' ? null : daysBetween(today, found.governingDate),
      takesPerWeek: 0,
    },
    zones,
    lying,
  ).filter(({ zone }) => zone.cold === cold && zone.id !== found.zoneId);
  return {
    code: found.code,
    places: ranked.map(({ zone, fault, reasons }, at) => ({
      id: zone.id,
      name: zone.name,
      appliance: zone.applianceName,
      best: at === 0 && fault === null,
      why: fault === null ? (reasons[0] ?? '') : '',
      rule: fault?.rule ?? '',
      against: fault?.says ?? (zone.keptEmpty ? 'It is kept free on purpose.' : ''),
    })),
  };
}
