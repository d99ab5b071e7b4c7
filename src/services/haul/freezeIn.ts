import { instantInZone } from '@/core/calendar/instantInZone';
import { gramsOf } from '@/core/portions/packLayout';
import type { FreezingDay } from '@/core/portions/spreadFreezing';
import { warmedTo } from '@/core/thermal/warmedTo';
import { sql } from '@/store/database';
import { readFrozenSince } from '@/store/packages';
import type { HouseholdContext } from '../household/context';
import { gramsIn, type HaulGroup } from './haulGroups';
import { FROZEN_SHARE } from './shareFreezers';

/** What a freezer takes in a day, and on which day what goes in. */
export interface FreezeInView {
  id: string;
  called: string;
  limit_g: number;
  today_g: number;
  days: {
    day: number;
    grams: number;
    packs: { key: string; called: string; count: number; grams: number }[];
  }[];
  warnings: string[];
  says: string;
}

const CHILLED_C = 4;

/** Grams frozen today by compartment. */
export async function readFrozenToday({ household, kitchen, reference, today }: HouseholdContext) {
  const since = instantInZone(today, '00:00', household.timeZone);
  const compartmentOf = new Map(kitchen.zones.map((zone) => [zone.id, zone.compartmentId]));
  const grams = new Map<string, number>();
  for (const found of await readFrozenSince(sql(), household.id, since)) {
    const compartment = found.zoneId === null ? undefined : compartmentOf.get(found.zoneId);
    const frozen = found.history.some(
      ({ did, on }) => (did === 'frozen' || did === 'refrozen') && on === today,
    );
    const [start] = found.history;
    const cameFrozen = start !== undefined && 'frozen' in start && found.cameOn === today;
    if (compartment === undefined || (!frozen && !cameFrozen)) continue;
    const density = reference.byId.get(found.foodId)?.densityKgPerL ?? 1;
    const share = frozen ? 1 : FROZEN_SHARE;
    const more = Math.round(gramsOf(found.amount, found.unit, density) * share);
    grams.set(compartment, (grams.get(compartment) ?? 0) + more);
  }
  return grams;
}

/** A freezer's own days, with what the load does to what lies there. */
export function toFreezeIn(
  compartment: { id: string; called: string; litres: number; temperatureC: number },
  limit: number,
  todayG: number,
  days: readonly FreezingDay[],
  warnings: readonly string[],
  groupOf: ReadonlyMap<string, HaulGroup>,
  thereG: number,
): FreezeInView {
  const first = days.find(({ day }) => day === 1)?.grams ?? 0;
  const touching = warmedTo(1, CHILLED_C, 1, compartment.temperatureC).toFixed(0).replace('-', '−');
  const all =
    first > 0 && thereG > 0
      ? ` Shared by all that lies there it would be ${warmedTo(
          first,
          CHILLED_C,
          thereG,
          compartment.temperatureC,
        )
          .toFixed(0)
          .replace('-', '−')} °C at worst until the machine has caught up.`
      : '';
  return {
    id: compartment.id,
    called: compartment.called,
    limit_g: limit,
    today_g: todayG,
    warnings: [...warnings],
    says: `Lay them one deep on the cold floor or a metal tray, apart, not against what is frozen: where two of a size touch, the frozen one warms to about ${touching} °C. File them upright tomorrow.${all}`,
    days: days.map(({ day, grams, ids }) => {
      const counted = new Map<HaulGroup, number>();
      for (const name of ids) {
        const group = groupOf.get(name);
        if (group) counted.set(group, (counted.get(group) ?? 0) + 1);
      }
      return {
        day,
        grams,
        packs: [...counted].map(([group, count]) => ({
          key: group.key,
          called: group.line.called,
          count,
          grams: gramsIn(group, group.amounts.slice(0, 1)) * count,
        })),
      };
    }),
  };
}
