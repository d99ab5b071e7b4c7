import { Refusal } from '../model/refusal';
import { cutTimes } from './airDuringCut';
import { judgeInTime, tellsFrom } from './judgeInTime';
import { judgeSpoiled } from './judgeSpoiled';
import type { CutAppliance, CutItem, ItemVerdict } from './powerCut';

/** "2 readings after the power came back count for nothing". */
const sayLate = (count: number): string =>
  `${count} ${count === 1 ? 'reading' : 'readings'} after the end of the cut ${count === 1 ? 'counts' : 'count'} for nothing`;

/**
 * The verdict for every item after (or during) a power cut, in the order given. An observation of the item beats a
 * reading of the air, a reading beats a telltale, a telltale beats the clock, and doubt means discard (RULES 5). What was looked at has its time, where it is told (O10).
 *
 * @param now ISO 8601 UTC; stands for the end of a cut that lasts. A reading after it, or after the power came back, counts for
 *   nothing.
 * @throws Refusal `outage` when a time cannot be: the end before the start, or a start still to come
 */
export function judgeOutage(
  appliances: readonly CutAppliance[],
  items: readonly (CutItem & { appliance: string; seenAt?: string | null })[],
  now: string,
): ItemVerdict[] {
  const byId = new Map(
    appliances.map((appliance) => {
      const times = cutTimes(appliance, now);
      const nowMs = Date.parse(now);
      if (times.fromMs > nowMs) throw new Refusal('outage', `${appliance.id}: the cut begins after now.`);
      if (times.hours < 0)
        throw new Refusal('outage', `${appliance.id}: the power came back before it went.`);
      if (times.endMs > nowMs)
        throw new Refusal('outage', `${appliance.id}: the power comes back after now.`);
      const late = appliance.readings.filter(({ at }) => Date.parse(at) > times.endMs).length;
      const from = tellsFrom(times.endMs, appliance.until === null);
      return [appliance.id, { appliance, times, late, from }] as const;
    }),
  );
  return items.map((item) => {
    const found = byId.get(item.appliance);
    if (!found) throw new Refusal('outage', `Item ${item.id} stands in an appliance that is not listed.`);
    const verdict =
      judgeSpoiled(item) ??
      judgeInTime(item, found.appliance, found.times, {
        look: (item.seenAt ?? found.from) < found.from,
        telltale: (found.appliance.telltaleAt ?? found.from) < found.from,
      });
    return found.late === 0
      ? verdict
      : { ...verdict, evidence: `${verdict.evidence}; ${sayLate(found.late)}` };
  });
}
